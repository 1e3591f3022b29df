import { along } from '../../model/workpiece/segment';
import { good, refuse } from '../../model/result';
import { say, sayDiameter } from '../../model/words';
import { LENGTH, stepShape } from './shape';

/** A spherical end: a ball, or as much of one as its length says, measured from its pole. */
export const ball = stepShape({
  shape: 'sphere',
  label: 'Spherical end',
  fields: [
    { key: 'diameter', label: 'Ball ⌀', takes: 'size', needed: true },
    { ...LENGTH, label: 'Length from the pole' },
  ],
  read(values, path, { z, first, last, units }) {
    const [diameter, length] = [values.diameter, values.length];
    const radius = diameter.nominal / 2;
    if (!first && !last)
      return refuse(
        `${path}.shape`,
        'a spherical end is the first or the last step; between others give a radius or a cone',
      );
    if (length.nominal > diameter.nominal - 0.001)
      return refuse(
        `${path}.length`,
        `${say(length.nominal, units)} is as long as the whole ball (${say(diameter.nominal, units)}): nothing would hold it`,
      );
    const [z0, z1] = [z, z + length.nominal];
    const arc = { z: first ? z0 + radius : z1 - radius, r: 0, radius, hollow: false };
    const outline = [along(arc, z0, z1)];
    const half = length.nominal < radius;
    const edge = 2 * Math.sqrt(Math.max(0, radius ** 2 - (radius - length.nominal) ** 2));
    const widest = half ? { ...diameter, nominal: edge, aim: edge } : diameter;
    return good({
      length,
      diameter: widest,
      outline,
      feature: {
        path,
        kind: 'sphere',
        name: `spherical end, ball ${sayDiameter(diameter.nominal, units)}`,
        z0,
        z1,
        outside: outline,
        size: diameter,
        dimensions: [{ kind: 'note', z: arc.z, r: radius, text: `ball ${sayDiameter(diameter.nominal, units)}` }],
      },
    });
  },
});
