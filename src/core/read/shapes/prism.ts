import { cylinder } from '../../model/workpiece/segment';
import { good } from '../../model/result';
import { sayDiameter, say } from '../../model/words';
import { LENGTH, stepShape } from './shape';

/** A step with n flat sides: its corners lie on the round that is turned or drawn, across flats / cos(180°/n). */
const prism = <const Name extends string>(shape: Name, label: string, count: number) =>
  stepShape({
    shape,
    label,
    fields: [{ key: 'across', label: 'Across flats', takes: 'size', needed: true }, LENGTH],
    read(values, path, { z, units }) {
      const [across, length] = [values.across, values.length];
      const corners = across.nominal / Math.cos(Math.PI / count);
      const [z0, z1] = [z, z + length.nominal];
      return good({
        length,
        diameter: { ...across, nominal: corners, aim: corners },
        outline: [cylinder(z0, z1, corners / 2)],
        feature: {
          path,
          kind: shape,
          name: `${label.toLowerCase()} ${say(across.nominal, units)} across flats, ${sayDiameter(Number(corners.toFixed(2)), units)} over its corners`,
          z0,
          z1,
          flats: { count, fromAxis: across.nominal / 2 },
          size: across,
          dimensions: [{ kind: 'diameter', z: (z0 + z1) / 2, size: across, text: `${label.toLowerCase()} ` }],
        },
      });
    },
  });

/** Six flats, left from the stock or milled. */
export const hex = prism('hex', 'Hexagon', 6);

/** Four flats, left from the stock or milled. */
export const square = prism('square', 'Square', 4);
