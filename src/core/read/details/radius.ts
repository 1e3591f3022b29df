import { featureKind } from '../featureKind';
import { along } from '../../model/workpiece/segment';
import { andThen, good, refuse } from '../../model/result';
import { formatNominal } from '../../model/units/length';
import { say } from '../../model/words';
import { AT, DATUM, NAME } from './at';
import { CLOSE } from '../../model/tolerances';
import { cornerAt } from './corner';

/** A radius at a shoulder or an end: the fillet in its inner corner, or the rounding of its outer one. */
export const radius = featureKind({
  kind: 'radius',
  label: 'Radius',
  onCorner: true,
  fields: [
    AT,
    { key: 'size', label: 'Radius', takes: 'length', needed: true },
    {
      key: 'form',
      label: 'Form',
      takes: ['fillet', 'corner'],
      hint: 'a fillet at a shoulder, a corner at an end, when left empty',
    },
    NAME,
    DATUM,
  ],
  read(values, path, around) {
    const { units } = around;
    const size = values.size;
    return andThen(cornerAt(values.at.nominal, `${path}.at`, around), ({ z, low, high, faces }) => {
      const form = values.form ?? (low < CLOSE ? 'corner' : 'fillet');
      if (form === 'fillet' && low < CLOSE)
        return refuse(`${path}.form`, `there is no inner corner at ${say(z, units)}: it is an end of the part`);
      const height = high - low;
      if (size > height + 1e-9)
        return refuse(
          `${path}.size`,
          `a radius of ${say(size, units)} is higher than the shoulder (${say(height, units)})`,
        );
      const toBack = (form === 'corner') === (faces === 'front');
      const [z0, z1] = toBack ? [z, z + size] : [z - size, z];
      const centre = toBack ? z + size : z - size;
      const arc =
        form === 'corner'
          ? { z: centre, r: high - size, radius: size, hollow: false }
          : { z: centre, r: low + size, radius: size, hollow: true };
      const crowded = around.edges.some((edge) => edge > z0 + CLOSE && edge < z1 - CLOSE);
      if (crowded || z0 < -CLOSE || z1 > around.length + CLOSE)
        return refuse(`${path}.size`, `a radius of ${say(size, units)} is longer than the step beside the corner`);
      const cut = [along(arc, z0, z1)];
      return good({
        path,
        kind: 'radius',
        name: `${form} R${say(size, units)}`,
        z0,
        z1,
        ...(form === 'corner' ? { outside: cut } : { leaves: cut }),
        dimensions: [
          {
            kind: 'note',
            z: (z0 + z1) / 2,
            r: arc.r + (arc.hollow ? -1 : 1) * size * Math.SQRT1_2,
            text: `R${formatNominal(size, units)}`,
          },
        ],
      });
    });
  },
});
