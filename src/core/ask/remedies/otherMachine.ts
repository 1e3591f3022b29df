import type { RemedyKind } from './remedy';

/** Another machine of the shop. */
export const otherMachine: RemedyKind = ({ machine }, { machines }) =>
  machines
    .filter(({ id }, index) => id !== (machine ?? machines[0]?.id) && (machine !== undefined || index > 0))
    .map(({ id, name }) => ({ path: 'machine', value: id, words: `On ${name}` }));
