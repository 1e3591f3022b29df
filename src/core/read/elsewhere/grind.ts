import { andThen, good } from '../../model/result';
import { ON, elsewhereKind } from './elsewhere';

/** Ground to size: the lathe leaves something on it. */
export const grind = elsewhereKind({
  kind: 'grind',
  label: 'Grind',
  fields: [ON, { key: 'leave', label: 'Leave', takes: 'length', hint: 'on the diameter; empty as the shop has it' }],
  read: (values, path, surfaces) =>
    andThen(surfaces(values.on, `${path}.on`), (surface) => {
      const length = values.leave;
      return good({
        path,
        kind: 'grind',
        name: `grind ${surface.name}`,
        on: [surface.path],
        ...(length === undefined ? {} : { length }),
      });
    }),
});
