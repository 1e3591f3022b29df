import { featureKind } from '../featureKind';
import { along, cylinder, type Segment } from '../../model/workpiece/segment';
import { good, refuse } from '../../model/result';
import { say, sayDiameter } from '../../model/words';
import { AT, DATUM, NAME, inAir, lowestRadius, offPart } from './at';

/** The cut of a groove from z0 to z1 down to a radius, its bottom corners rounded. */
export function grooveCut(z0: number, z1: number, bottom: number, corner: number): Segment[] {
  if (corner <= 0) return [cylinder(z0, z1, bottom)];
  const centre = (z: number) => ({ z, r: bottom + corner, radius: corner, hollow: true });
  const flat = z1 - z0 - 2 * corner;
  return [
    along(centre(z0 + corner), z0, z0 + corner),
    ...(flat > 1e-9 ? [cylinder(z0 + corner, z1 - corner, bottom)] : []),
    along(centre(z1 - corner), z1 - corner, z1),
  ];
}

/** A groove by width and bottom: square, or a relief with rounded bottom corners. */
export const groove = featureKind({
  kind: 'groove',
  label: 'Groove',
  fields: [
    AT,
    { key: 'width', label: 'Width', takes: 'size', needed: true },
    { key: 'bottom', label: 'Bottom ⌀', takes: 'size', needed: true },
    { key: 'radius', label: 'Corner radius', takes: 'length', hint: 'of a relief; a square groove has none' },
    NAME,
    DATUM,
  ],
  read(values, path, around) {
    const { units, outside } = around;
    const [z0, width, bottom, corner] = [values.at.nominal, values.width, values.bottom, values.radius ?? 0];
    const z1 = z0 + width.nominal;
    const off = offPart(`${path}.at`, z0, z1, around);
    if (off) return off;
    if (2 * corner > width.nominal + 1e-9)
      return refuse(
        `${path}.radius`,
        `two corners of ${say(corner, units)} are wider than the groove (${say(width.nominal, units)})`,
      );
    const stands = lowestRadius(outside, z0, z1);
    if (bottom.nominal / 2 > stands - 1e-6)
      return refuse(
        `${path}.bottom`,
        `${sayDiameter(bottom.nominal, units)} is not below the ${sayDiameter(2 * stands, units)} that it sits in`,
      );
    const cut = grooveCut(z0, z1, bottom.nominal / 2, corner);
    const air = inAir(`${path}.bottom`, cut, outside, 'this groove');
    if (air) return air;
    return good({
      path,
      kind: 'groove',
      name: `${corner > 0 ? `relief R${say(corner, units)}` : 'groove'} ${say(width.nominal, units)} wide to ${sayDiameter(bottom.nominal, units)}`,
      z0,
      z1,
      outside: cut,
      size: bottom,
      dimensions: [
        { kind: 'diameter', z: (z0 + z1) / 2, size: bottom },
        { kind: 'length', z0, z1, size: width },
      ],
    });
  },
});
