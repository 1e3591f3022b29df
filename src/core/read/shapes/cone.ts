import { sayFigure } from '../../model/units/mark';
import { andThen, good, refuse, type Result, missing, bad } from '../../model/result';
import { say, sayDiameter } from '../../model/words';
import type { Field, ValuesOf } from '../fields';
import { readSize, type Size } from '../../model/part/size';
import { stepShape, type Place } from './shape';

const CONE = [
  { key: 'from', label: 'Front ⌀', takes: 'size' },
  { key: 'to', label: 'Back ⌀', takes: 'size' },
  { key: 'length', label: 'Length', takes: 'size' },
  { key: 'included', label: 'Included angle', takes: 'angle', hint: 'the whole angle, in degrees' },
  { key: 'half', label: 'Half angle', takes: 'angle', hint: 'from the axis, in degrees' },
  { key: 'rises', label: 'Widens to', takes: ['back', 'front'], hint: 'with one diameter and an angle; else back' },
] as const satisfies readonly Field[];

type ConeValues = ValuesOf<typeof CONE>;

const RADIANS = Math.PI / 180;

/** Half of the included angle, degrees; the drawing may give either. */
function halfAngle({ included, half }: ConeValues, path: string): Result<number | undefined> {
  if (included !== undefined && half !== undefined)
    return refuse(`${path}.half`, 'give the included angle or half of it, not both');
  const angle = half ?? (included === undefined ? undefined : included / 2);
  if (angle !== undefined && angle >= 90)
    return refuse(`${path}.half`, `half an angle of ${sayFigure(angle)}° is not a cone`);
  return good(angle);
}

const general = (mm: number, place: Place, path: string) => readSize(`${Number(mm.toFixed(9))} mm`, { ...place, path });

interface Ends {
  from: Size;
  to: Size;
  length: Size;
}

/** The two diameters and the length, whichever three figures the drawing gives. */
function endsOf(
  { from, to, length, rises }: ConeValues,
  path: string,
  place: Place,
  half: number | undefined,
): Result<Ends> {
  const falls = rises === 'front';
  if (from && to && length)
    return half === undefined
      ? good({ from, to, length })
      : refuse(`${path}.length`, 'two diameters and an angle give the length: leave one of the four out');
  if (half === undefined)
    return bad(
      missing(
        `${path}.${!from ? 'from' : !to ? 'to' : 'length'}`,
        ': a cone is two diameters and a length, or an angle in the place of one of them',
      ),
    );
  const slope = Math.tan(half * RADIANS);
  if (from && to) {
    const long = Math.abs(to.nominal - from.nominal) / 2 / slope;
    return andThen(general(long, place, `${path}.length`), (length) => good({ from, to, length }));
  }
  const known = from ?? to;
  if (!known || !length)
    return bad(
      missing(`${path}.${length ? 'from' : 'length'}`, ': with an angle, a cone needs two of from, to and length'),
    );
  const grows = (from ? 1 : -1) * (falls ? -1 : 1);
  const other = known.nominal + grows * 2 * length.nominal * slope;
  if (other <= 0)
    return refuse(
      `${path}.length`,
      `at this angle the cone comes to a point after ${say(known.nominal / 2 / slope, place.units)}`,
    );
  return andThen(general(other, place, path), (size) =>
    good(from ? { from, to: size, length } : { from: size, to: known, length }),
  );
}

/** A cone: two diameters and a length, or an angle (included or half) in the place of one of them. */
export const cone = stepShape({
  shape: 'cone',
  label: 'Cone',
  fields: CONE,
  read(values, path, place) {
    return andThen(halfAngle(values, path), (half) =>
      andThen(endsOf(values, path, place, half), ({ from, to, length }) => {
        if (Math.abs(from.nominal - to.nominal) < 0.001)
          return refuse(`${path}.to`, `${sayDiameter(to.nominal, place.units)} at both ends is a cylinder`);
        const { z, units } = place;
        const [z0, z1] = [z, z + length.nominal];
        const outline = [{ z0, z1, r0: from.nominal / 2, r1: to.nominal / 2 }];
        const angle = (2 * Math.atan(Math.abs(to.nominal - from.nominal) / 2 / length.nominal)) / RADIANS;
        return good({
          length,
          diameter: from.nominal > to.nominal ? from : to,
          outline,
          feature: {
            path,
            kind: 'cone',
            name: `cone ${sayDiameter(from.nominal, units)} to ${sayDiameter(to.nominal, units)}, ${say(length.nominal, units)} long`,
            z0,
            z1,
            outside: outline,
            dimensions: [
              { kind: 'diameter', z: z0, size: from },
              { kind: 'diameter', z: z1, size: to },
              {
                kind: 'note',
                z: (z0 + z1) / 2,
                r: (from.nominal + to.nominal) / 4,
                text: `${sayFigure(angle, 2)}° incl.`,
              },
            ],
          },
        });
      }),
    );
  },
});
