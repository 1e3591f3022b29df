import type { DetailFile, ElsewhereFile, HoleFile, StepFile } from '@/core/read/runFile';
import { ENTRY_KINDS, type EntryKind as Kind } from '@/core/read/entryKinds';
import { byKeys } from '@/core/read/byKeys';

export type { Kind };

export const { outside: SHAPES, details: DETAILS, bores: HOLES, elsewhere: ELSEWHERE } = ENTRY_KINDS;

export const kindOf = (kinds: readonly Kind[], name: string): Kind =>
  kinds.find((kind) => kind.name === name) ?? (kinds[0] as Kind);

/** An entry made another kind: what both kinds have stays as it was typed, what is needed waits to be filled in. */
export function madeInto<E extends StepFile | DetailFile | HoleFile | ElsewhereFile>(
  entry: E,
  key: 'shape' | 'kind',
  kind: Kind,
  keeps: readonly string[],
): E {
  const was = byKeys(entry);
  const fields = kind.fields.flatMap(({ key: field, needed, takes }) => {
    const value = was[field] ?? (needed ? (field === 'from' && Array.isArray(takes) ? 'front' : '') : undefined);
    return value === undefined ? [] : [[field, value] as const];
  });
  const kept = keeps.flatMap((field) => (was[field] === undefined ? [] : [[field, was[field]] as const]));
  return { [key]: kind.name, ...Object.fromEntries([...kept, ...fields]) } as unknown as E;
}
