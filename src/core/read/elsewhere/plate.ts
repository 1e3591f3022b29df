import { good } from '../../model/result';
import { say } from '../../model/words';
import type { ElsewhereKind } from './elsewhere';

/** Plated all over: every diameter is turned smaller by two thicknesses, every bore larger. */
export const plate: ElsewhereKind = {
  kind: 'plate',
  label: 'Plate',
  fields: [
    { key: 'thickness', label: 'Thickness', takes: 'length', needed: true },
    { key: 'with', label: 'With', takes: 'text', hint: 'as the drawing says it: nickel' },
  ],
  read(values, path, _, { units }) {
    const [length, material] = [values.number('thickness'), values.text('with')];
    return good({
      path,
      kind: 'plate',
      name: `plate ${material ? `with ${material}, ` : ''}${say(length, units)}`,
      on: [],
      length,
    });
  },
};
