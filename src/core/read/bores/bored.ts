import { featureKind, type FeatureKind } from '../featureKind';
import { andThen, good } from '../../model/result';
import { say, sayDiameter } from '../../model/words';
import { DEPTH, FROM, NAME, WHY, depthDimension, depthOf, placeOf, straight } from './hole';

/** A straight hole that a tool other than a drill finishes: its kind, and what it is called. */
const finishedHole = <const Kind extends string>(kind: Kind, label: string, verb: string) =>
  featureKind({
    kind,
    label,
    fields: [
      FROM,
      { key: 'diameter', label: 'Diameter', takes: 'size', needed: true, fitOf: 'hole' },
      DEPTH,
      NAME,
      WHY,
    ],
    read(values, path, around) {
      const { length, units } = around;
      const { from } = values;
      const diameter = values.diameter;
      return andThen(depthOf(values, path, around), ({ depth, through, deep }) =>
        good({
          path,
          kind,
          name: `${verb} ${sayDiameter(diameter.nominal, units)}${diameter.fit ? ` ${diameter.fit}` : ''}, ${through ? 'through' : `${say(depth, units)} deep`}${from === 'back' ? ', from the back' : ''}`,
          from,
          z0: from === 'front' ? 0 : length - depth,
          z1: from === 'front' ? depth : length,
          bore: straight(from, depth, diameter.nominal / 2, length),
          size: diameter,
          ...(deep ? { deep } : {}),
          dimensions: [
            { kind: 'diameter', z: placeOf(from, depth / 2, length), size: diameter },
            ...(through ? [] : [depthDimension(from, depth, length, deep)]),
          ],
        }),
      );
    },
  });

/** Bored to size, with a flat bottom. */
const straightBore = finishedHole('bore', 'Bored hole', 'bore');
export const bore = {
  ...straightBore,
  fields: [...straightBore.fields, { key: 'bottom', label: 'Bottom', takes: ['flat'] }],
} as const satisfies FeatureKind;

/** Reamed over a drilled hole. */
export const ream = finishedHole('ream', 'Reamed hole', 'ream');

/** A flat-bottomed seat. */
export const counterbore = finishedHole('counterbore', 'Counterbore', 'counterbore');
