import { andThen, good, refuse } from '../../model/result';
import { ON, elsewhereKind } from './elsewhere';

/** A bore honed to size: the lathe leaves it a little narrow. */
export const hone = elsewhereKind({
  kind: 'hone',
  label: 'Hone',
  fields: [ON, { key: 'leave', label: 'Leave', takes: 'length', hint: 'on the diameter; empty as the shop has it' }],
  read: (values, path, surfaces) =>
    andThen(surfaces(values.on, `${path}.on`), (surface) => {
      if (!surface.inside) return refuse(`${path}.on`, `“${values.on}” is no bore; only bores are honed`);
      const length = values.leave;
      return good({
        path,
        kind: 'hone',
        name: `hone ${surface.name}`,
        on: [surface.path],
        ...(length === undefined ? {} : { length }),
      });
    }),
});
