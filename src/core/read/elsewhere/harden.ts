import { good } from '../../model/result';
import { elsewhereKind } from './elsewhere';

/** Hardened, the whole part: it may grow. */
export const harden = elsewhereKind({
  kind: 'harden',
  label: 'Harden',
  fields: [
    { key: 'to', label: 'To', takes: 'text', hint: 'as the drawing says it: 58 HRC' },
    { key: 'growth', label: 'Grows', takes: 'length', hint: 'on every diameter; empty where nobody knows' },
  ],
  read(values, path) {
    const [to, length] = [values.to, values.growth];
    return good({
      path,
      kind: 'harden',
      name: to ? `harden to ${to}` : 'harden',
      on: [],
      ...(length === undefined ? {} : { length }),
    });
  },
});
