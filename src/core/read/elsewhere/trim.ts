import { FACES } from '../../model/part/faces';
import { good } from '../../model/result';
import { elsewhereKind } from './elsewhere';

/** An end trimmed at assembly, where the piece sets another's position: the lathe leaves it long (trade: Small practices). */
export const trim = elsewhereKind({
  kind: 'trim',
  label: 'Trim at assembly',
  fields: [
    { key: 'end', label: 'End', takes: ['front', 'back'], needed: true },
    { key: 'leave', label: 'Leave', takes: 'length', hint: 'on the length; empty as the shop has it' },
  ],
  read: ({ end, leave }, path) =>
    good({
      path,
      kind: 'trim',
      name: `trim the ${end} at assembly`,
      on: [FACES[end]],
      end,
      ...(leave === undefined ? {} : { length: leave }),
    }),
});
