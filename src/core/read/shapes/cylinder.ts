import { cylinder as piece } from '../../model/workpiece/segment';
import { good } from '../../model/result';
import { LENGTH, stepShape } from './shape';

/** A plain diameter. */
export const cylinder = stepShape({
  shape: 'cylinder',
  label: 'Cylinder',
  fields: [{ key: 'diameter', label: 'Diameter', takes: 'size', needed: true, fitOf: 'shaft' }, LENGTH],
  read(values, _path, { z }) {
    const [diameter, length] = [values.diameter, values.length];
    return good({ diameter, length, outline: [piece(z, z + length.nominal, diameter.nominal / 2)] });
  },
});
