import { sayFigure, sayFixed } from '../../model/units/mark';
import { featureKind } from '../featureKind';
import { andThen, good, refuse, type Result, missing, bad } from '../../model/result';
import { say, sayDiameter } from '../../model/words';
import type { Field, ValuesOf } from '../fields';
import { FROM, NAME, depthDimension, seenFrom } from './hole';

const CONE = [
  FROM,
  { key: 'mouth', label: 'Mouth ⌀', takes: 'length' },
  { key: 'small', label: 'Small end ⌀', takes: 'length' },
  { key: 'depth', label: 'Depth', takes: 'length' },
  { key: 'included', label: 'Included angle', takes: 'angle' },
  NAME,
] as const satisfies readonly Field[];

const halfTan = (included: number) => Math.tan((included * Math.PI) / 360);

/** Mouth, small end, depth and included angle: any three give the fourth (trade: Cutting: D = d + 2 · depth · tan half). */
function coneOf(
  { mouth, small, depth, included }: ValuesOf<typeof CONE>,
  path: string,
): Result<{ mouth: number; small: number; depth: number }> {
  const given = [mouth, small, depth, included].filter((value) => value !== undefined).length;
  if (given === 4) return refuse(`${path}.depth`, 'mouth, small end, depth and angle: give three, the fourth follows');
  if (mouth !== undefined && small !== undefined) {
    if (mouth <= small)
      return refuse(
        `${path}.mouth`,
        `the mouth (${sayFigure(mouth)} mm) must be wider than the small end (${sayFigure(small)} mm)`,
      );
    if (depth !== undefined) return good({ mouth, small, depth });
    if (included !== undefined) return good({ mouth, small, depth: (mouth - small) / 2 / halfTan(included) });
  }
  if (included !== undefined && depth !== undefined) {
    const widens = 2 * depth * halfTan(included);
    if (small !== undefined) return good({ mouth: small + widens, small, depth });
    if (mouth !== undefined)
      return mouth > widens
        ? good({ mouth, small: mouth - widens, depth })
        : refuse(
            `${path}.depth`,
            `at this angle the cone comes to a point after ${sayFixed(mouth / 2 / halfTan(included), 2)} mm`,
          );
  }
  const asked = mouth === undefined ? 'mouth' : small === undefined ? 'small' : 'depth';
  return bad(missing(`${path}.${asked}`, ': a conical bore is three of mouth, small end, depth and included angle'));
}

/** A conical bore to a small end. */
export const conical = featureKind({
  kind: 'cone',
  label: 'Conical bore',
  fields: CONE,
  read(values, path, around) {
    const { length, units } = around;
    const { from } = values;
    return andThen(coneOf(values, path), ({ mouth, small, depth }) => {
      if (depth > length + 0.001)
        return refuse(
          `${path}.depth`,
          `the cone is ${say(Number(depth.toFixed(3)), units)} deep, and the part ${say(length, units)} long`,
        );
      const show = (mm: number) => sayDiameter(Number(mm.toFixed(3)), units);
      return good({
        path,
        kind: 'conical-bore',
        name: `conical bore ${show(mouth)} to ${show(small)}, ${say(Number(depth.toFixed(3)), units)} deep${from === 'back' ? ', from the back' : ''}`,
        from,
        z0: from === 'front' ? 0 : length - depth,
        z1: from === 'front' ? depth : length,
        bore: seenFrom(from, [{ z0: 0, z1: depth, r0: mouth / 2, r1: small / 2 }], length),
        dimensions: [
          {
            kind: 'note',
            z: from === 'front' ? 0 : length,
            r: mouth / 2,
            text: `mouth ${show(mouth)}, small end ${show(small)}, ${sayFigure((2 * Math.atan((mouth - small) / 2 / depth) * 180) / Math.PI, 2)}° included`,
          },
          depthDimension(from, depth, length),
        ],
      });
    });
  },
});

/** A countersink: a cone from its mouth to the axis, of which an existing hole leaves the rim. */
export const countersink = featureKind({
  kind: 'countersink',
  label: 'Countersink',
  fields: [
    FROM,
    { key: 'mouth', label: 'Mouth ⌀', takes: 'length', needed: true },
    { key: 'included', label: 'Included angle', takes: 'angle', hint: '90° when left empty' },
    NAME,
  ],
  read(values, path, { length, units }) {
    const { from } = values;
    const mouth = values.mouth;
    const included = values.included ?? 90;
    // To its point, or through the part, where a hole is that wide (`checkPart`).
    const depth = Math.min(mouth / 2 / halfTan(included), length);
    const small = mouth / 2 - depth * halfTan(included);
    return good({
      path,
      kind: 'countersink',
      name: `countersink ${sayDiameter(mouth, units)} × ${sayFigure(included)}°${from === 'back' ? ', from the back' : ''}`,
      from,
      z0: from === 'front' ? 0 : length - depth,
      z1: from === 'front' ? depth : length,
      bore: seenFrom(from, [{ z0: 0, z1: depth, r0: mouth / 2, r1: small }], length),
      dimensions: [
        {
          kind: 'note',
          z: from === 'front' ? 0 : length,
          r: mouth / 2,
          text: `countersink ${sayDiameter(mouth, units)} × ${sayFigure(included)}°`,
        },
      ],
    });
  },
});
