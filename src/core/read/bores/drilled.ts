import { pointLength } from '../../model/workpiece/drillPoint';
import { DRAWN_POINT } from '../../model/workpiece/finishedPart';
import { andThen, good, refuse, type Result } from '../../model/result';
import type { Hole } from '../../model/part/part';
import { say } from '../../model/words';
import type { Surroundings } from '../featureKind';
import { readFields, type Field } from '../fields';
import { DEPTH, FROM, NAME, WHY, depthOf } from './hole';

const FIELDS = [
  FROM,
  { key: 'diameter', label: 'Diameter', takes: 'size', needed: true, fitOf: 'hole' },
  DEPTH,
  {
    key: 'depthTo',
    label: 'Depth to',
    takes: ['full', 'point'],
    hint: 'the full diameter, unless the drawing says to the point',
  },
  NAME,
  WHY,
] as const satisfies readonly Field[];

/** A drilled hole. Its depth is to the full diameter, unless the drawing says to the point (trade: Stock). */
export const drilled = {
  kind: 'drill',
  label: 'Drilled hole',
  fields: FIELDS,
  read: (entry: object, path: string, around: Surroundings): Result<Hole> =>
    andThen(readFields(FIELDS, entry, path, around), ({ from, diameter, depth: asked, depthTo, name }) =>
      andThen(depthOf({ depth: asked }, path, around), ({ depth, through, deep }) => {
        const point = !through && depthTo === 'point' ? pointLength(diameter.nominal, DRAWN_POINT) : 0;
        if (depth <= point)
          return refuse(
            `${path}.depth`,
            `${say(depth, around.units)} to the point is less than the point itself (${say(Number(point.toFixed(3)), around.units)})`,
          );
        return good({
          path,
          from,
          diameter,
          depth: depth - point,
          through,
          ...(deep ? { deep } : {}),
          ...(name ? { name } : {}),
        });
      }),
    ),
} as const;
