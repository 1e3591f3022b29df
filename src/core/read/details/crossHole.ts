import { sayFigure } from '../../model/units/mark';
import { featureKind } from '../featureKind';
import { good, refuse } from '../../model/result';
import { say, sayDiameter } from '../../model/words';
import { AT, DATUM, NAME, lowestRadius, offPart } from './at';

/** A hole across the axis, right through or to a depth from the outside: drilled on another machine. */
export const crossHole = featureKind({
  kind: 'cross-hole',
  label: 'Cross hole',
  fields: [
    AT,
    { key: 'diameter', label: 'Diameter', takes: 'size', needed: true },
    { key: 'depth', label: 'Depth', takes: 'depth', hint: 'from the outside, or “through”, as when it is empty' },
    { key: 'angle', label: 'About the axis', takes: 'turn', hint: 'degrees from the first' },
    { key: 'tilt', label: 'Out of square', takes: 'turn', hint: 'degrees' },
    NAME,
    DATUM,
  ],
  read(values, path, around) {
    const { units, outside } = around;
    const [at, diameter] = [values.at.nominal, values.diameter];
    const [z0, z1] = [at - diameter.nominal / 2, at + diameter.nominal / 2];
    const off = offPart(`${path}.at`, z0, z1, around);
    if (off) return off;
    const radius = lowestRadius(outside, z0, z1);
    if (diameter.nominal / 2 >= radius)
      return refuse(
        `${path}.diameter`,
        `${sayDiameter(diameter.nominal, units)} across ${sayDiameter(2 * radius, units)} would cut the part in two`,
      );
    const [turnedTo, tilt] = [values.angle, values.tilt];
    if (tilt !== undefined && tilt >= 90)
      return refuse(`${path}.tilt`, `${sayFigure(tilt)}° out of square is along the axis`);
    const deep = typeof values.depth === 'object' ? values.depth : undefined;
    const depth = deep?.aim ?? (typeof values.depth === 'number' ? values.depth : undefined);
    if (depth !== undefined && depth >= 2 * radius)
      return refuse(`${path}.depth`, `${say(depth, units)} is right through; write “through”`);
    return good({
      path,
      kind: 'cross-hole',
      name: `${sayDiameter(diameter.nominal, units)} across, ${depth === undefined ? 'through' : `${say(depth, units)} deep`}${tilt ? `, ${sayFigure(tilt)}° out of square` : ''}`,
      z0,
      z1,
      cross: {
        diameter: diameter.nominal,
        ...(depth === undefined ? {} : { depth }),
        ...(tilt ? { tilt } : {}),
      },
      ...(deep ? { deep } : {}),
      ...(turnedTo === undefined ? {} : { turnedTo }),
      dimensions: [{ kind: 'note', z: at, r: radius, text: `${sayDiameter(diameter.nominal, units)} across` }],
    });
  },
});
