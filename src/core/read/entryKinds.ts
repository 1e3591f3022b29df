import type { DetailFile, ElsewhereFile, HoleFile, StepFile } from './runFile';
import { boreKinds } from './bores';
import { detailKinds } from './details';
import { elsewhereKinds } from './elsewhere';
import type { Field } from './fields';
import { stepShapes } from './shapes';
import { byKeys } from './byKeys';

/** A kind of entry as files, lines and pages offer it. */
export interface EntryKind {
  name: string;
  label: string;
  fields: readonly Field[];
}

/** Lists of a part that hold entries of several kinds. */
export type EntryListName = 'outside' | 'details' | 'bores' | 'elsewhere';

/** The key of an entry that says its kind. */
export const KIND_KEY = { outside: 'shape', details: 'kind', bores: 'shape', elsewhere: 'kind' } as const;

/** Every kind of entry by the list it stands in, in the order that the page offers them. */
export const ENTRY_KINDS: Record<EntryListName, readonly EntryKind[]> = {
  outside: stepShapes.map(({ shape, label, fields }) => ({ name: shape, label, fields })),
  details: detailKinds.map(({ kind, label, fields }) => ({ name: kind, label, fields })),
  bores: boreKinds.map(({ kind, label, fields }) => ({ name: kind, label, fields })),
  elsewhere: elsewhereKinds.map(({ kind, label, fields }) => ({ name: kind, label, fields })),
};

/** The kind of an entry; undefined for a word that is none. */
export const kindOfEntry = (
  list: EntryListName,
  entry: StepFile | DetailFile | HoleFile | ElsewhereFile,
): EntryKind | undefined => {
  const name = byKeys(entry)[KIND_KEY[list]];
  return ENTRY_KINDS[list].find((kind) => kind.name === name);
};
