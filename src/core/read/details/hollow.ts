import { featureKind } from '../featureKind';
import { along } from '../../model/workpiece/segment';
import { good, refuse } from '../../model/result';
import { formatNominal } from '../../model/units/length';
import { say } from '../../model/words';
import { AT, DATUM, NAME, inAir, offPart, radiusBeside } from './at';

/** A concave form: part of a circle cut into the outside, by the middle of the form, its radius and its depth. */
export const hollow = featureKind({
  kind: 'hollow',
  label: 'Concave form',
  fields: [
    { ...AT, hint: 'its middle, from the finished front face' },
    { key: 'radius', label: 'Radius', takes: 'length', needed: true },
    { key: 'depth', label: 'Depth', takes: 'length', needed: true },
    NAME,
    DATUM,
  ],
  read(values, path, around) {
    const { units, outside } = around;
    const [at, radius, depth] = [values.at.nominal, values.radius, values.depth];
    if (depth > radius)
      return refuse(
        `${path}.depth`,
        `${say(depth, units)} is deeper than the radius: the form tool could not come out; a groove with corner radii can`,
      );
    const half = Math.sqrt(radius ** 2 - (radius - depth) ** 2);
    const [z0, z1] = [at - half, at + half];
    const off = offPart(`${path}.at`, z0, z1, around);
    if (off) return off;
    const surface = radiusBeside(outside, at, 1);
    if (depth >= surface) return refuse(`${path}.depth`, `${say(depth, units)} is as deep as the axis`);
    const cut = [along({ z: at, r: surface - depth + radius, radius, hollow: true }, z0, z1)];
    const air = inAir(`${path}.at`, cut, outside, 'this form');
    if (air) return air;
    return good({
      path,
      kind: 'hollow',
      name: `concave form R${say(radius, units)}, ${say(depth, units)} deep`,
      z0,
      z1,
      outside: cut,
      dimensions: [
        {
          kind: 'note',
          z: at,
          r: surface - depth,
          text: `R${formatNominal(radius, units)} × ${formatNominal(depth, units)}`,
        },
      ],
    });
  },
});
