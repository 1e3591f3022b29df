import { sayFigure } from '../../model/units/mark';
import { featureKind } from '../featureKind';
import { cylinder } from '../../model/workpiece/segment';
import { good, refuse } from '../../model/result';
import { formatNominal } from '../../model/units/length';
import { say } from '../../model/words';
import { AT, DATUM, NAME, inAir, offPart, radiusBeside } from './at';

/** A vee groove, by the place of its bottom, its included angle and its depth; its bottom is sharp, or flat and so wide. */
export const vee = featureKind({
  kind: 'vee',
  label: 'Vee groove',
  fields: [
    { ...AT, hint: 'the middle of its bottom, from the finished front face' },
    { key: 'included', label: 'Included angle', takes: 'angle', needed: true },
    { key: 'depth', label: 'Depth', takes: 'length', needed: true },
    { key: 'bottom', label: 'Bottom', takes: 'place', hint: 'width of a flat one; empty is sharp' },
    NAME,
    DATUM,
  ],
  read(values, path, around) {
    const { units, outside } = around;
    const [at, included, depth] = [values.at.nominal, values.included, values.depth];
    const flat = values.bottom?.nominal ?? 0;
    const half = flat / 2 + depth * Math.tan((included * Math.PI) / 360);
    const [z0, z1] = [at - half, at + half];
    const off = offPart(`${path}.at`, z0, z1, around);
    if (off) return off;
    const surface = radiusBeside(outside, at, 1);
    const bottom = surface - depth;
    if (bottom <= 0) return refuse(`${path}.depth`, `${say(depth, units)} is as deep as the axis`);
    // The flanks go on beyond the surface, so that a step or a cone beside it is cut as the tool would.
    const cut = [
      { z0, z1: at - flat / 2, r0: surface, r1: bottom },
      ...(flat > 0 ? [cylinder(at - flat / 2, at + flat / 2, bottom)] : []),
      { z0: at + flat / 2, z1, r0: bottom, r1: surface },
    ];
    const air = inAir(`${path}.at`, cut, outside, 'this vee');
    if (air) return air;
    return good({
      path,
      kind: 'vee',
      name: `vee ${sayFigure(included)}°, ${say(depth, units)} deep${flat > 0 ? `, ${say(flat, units)} wide at its bottom` : ''}`,
      z0,
      z1,
      outside: cut,
      dimensions: [
        {
          kind: 'note',
          z: at,
          r: bottom,
          text: `vee ${sayFigure(included)}° × ${formatNominal(depth, units)}${flat > 0 ? `, flat ${formatNominal(flat, units)}` : ''}`,
        },
      ],
    });
  },
});
