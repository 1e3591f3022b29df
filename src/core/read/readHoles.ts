import type { Surroundings } from './featureKind';
import { pointLength } from '../model/workpiece/drillPoint';
import type { HoleFile } from './runFile';
import { andThen, good, refuse, type Result } from '../model/result';
import { DRAWN_POINT } from '../model/workpiece/finishedPart';
import { say } from '../model/words';
import { boreKinds } from './bores';
import { DEPTH, FROM, NAME, depthOf, endOf } from './bores/hole';
import type { Feature } from '../model/part/feature';
import { readFields, type Field } from './fields';
import type { Hole } from '../model/part/part';

/** A drilled hole. Its depth is to the full diameter, unless the drawing says to the point (trade: Stock). */
export const DRILLED: readonly Field[] = [
  FROM,
  { key: 'diameter', label: 'Diameter', takes: 'size', needed: true },
  DEPTH,
  {
    key: 'depthTo',
    label: 'Depth to',
    takes: ['full', 'point'],
    hint: 'the full diameter, unless the drawing says to the point',
  },
  NAME,
];

function readDrilled(entry: HoleFile, path: string, around: Surroundings): Result<Hole> {
  return andThen(readFields(DRILLED, entry, path, around), (values) =>
    andThen(depthOf(values, path, around), ({ depth, through, deep }) => {
      const diameter = values.size('diameter');
      const point = !through && values.text('depthTo') === 'point' ? pointLength(diameter.nominal, DRAWN_POINT) : 0;
      if (depth <= point)
        return refuse(
          `${path}.depth`,
          `${say(depth, around.units)} to the point is less than the point itself (${say(Number(point.toFixed(3)), around.units)})`,
        );
      return good({
        path,
        from: endOf(values),
        diameter,
        depth: depth - point,
        through,
        ...(deep ? { deep } : {}),
        ...(values.text('name') ? { name: values.text('name') as string } : {}),
      });
    }),
  );
}

/** A hole of the run file: drilled, or a feature that another tool makes. */
export function readHole(entry: HoleFile, path: string, around: Surroundings): Result<Hole | Feature> {
  if (entry.shape === 'drill') return readDrilled(entry, path, around);
  const kind = boreKinds.find((boreKind) => boreKind.kind === entry.shape);
  if (!kind) return refuse(`${path}.shape`, `“${entry.shape}” is not a shape of a hole`);
  return andThen(readFields(kind.fields, entry, path, around), (values) => kind.read(values, path, around));
}

/** Whether a hole is a drilled one. */
export const isDrilled = (hole: Hole | Feature): hole is Hole => 'depth' in hole;
