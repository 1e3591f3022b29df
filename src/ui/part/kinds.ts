import type { DetailFile, HoleFile, StepFile } from '@/core/formats/runFile';
import { boreKinds } from '@/core/part/bores';
import { detailKinds } from '@/core/part/details';
import type { Field } from '@/core/part/fields';
import { DRILLED } from '@/core/part/readHoles';
import { stepShapes } from '@/core/part/shapes';

/** A kind of entry as the page offers it. */
export interface Kind {
  name: string;
  label: string;
  fields: readonly Field[];
}

export const SHAPES: readonly Kind[] = stepShapes.map(({ shape, label, fields }) => ({ name: shape, label, fields }));
export const DETAILS: readonly Kind[] = detailKinds.map(({ kind, label, fields }) => ({ name: kind, label, fields }));
export const HOLES: readonly Kind[] = [
  { name: 'drill', label: 'Drilled hole', fields: DRILLED },
  ...boreKinds.map(({ kind, label, fields }) => ({ name: kind, label, fields })),
];

export const kindOf = (kinds: readonly Kind[], name: string): Kind =>
  kinds.find((own) => own.name === name) ?? (kinds[0] as Kind);

type Entry = Record<string, unknown>;

/** An entry made another kind: what both kinds have stays as it was typed, what is needed waits to be filled in. */
export function madeInto<E extends StepFile | DetailFile | HoleFile>(
  entry: E,
  key: 'shape' | 'kind',
  kind: Kind,
  keeps: readonly string[],
): E {
  const was = entry as unknown as Entry;
  const fields = kind.fields.flatMap(({ key: field, needed, takes }) => {
    const value = was[field] ?? (needed ? (field === 'from' && Array.isArray(takes) ? 'front' : '') : undefined);
    return value === undefined ? [] : [[field, value] as const];
  });
  const kept = keeps.flatMap((field) => (was[field] === undefined ? [] : [[field, was[field]] as const]));
  return { [key]: kind.name, ...Object.fromEntries([...kept, ...fields]) } as unknown as E;
}
