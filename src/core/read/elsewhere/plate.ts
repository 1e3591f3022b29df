import { good } from '../../model/result';
import { say } from '../../model/words';
import { elsewhereKind } from './elsewhere';

/** Plated all over: every diameter is turned smaller by two thicknesses, every bore larger. */
export const plate = elsewhereKind({
  kind: 'plate',
  label: 'Plate',
  fields: [
    { key: 'thickness', label: 'Thickness', takes: 'length', needed: true },
    { key: 'with', label: 'With', takes: 'text', hint: 'as the drawing says it: nickel' },
  ],
  read(values, path, _, { units }) {
    const [length, material] = [values.thickness, values.with];
    return good({
      path,
      kind: 'plate',
      name: `plate ${material ? `with ${material}, ` : ''}${say(length, units)}`,
      on: [],
      length,
    });
  },
});
