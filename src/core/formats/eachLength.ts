import { KIND_KEY, kindOfEntry, type EntryListName } from '../read/entryKinds';
import { isSize, type LengthEntry, type SizeEntry } from '../model/part/size';
import type { DetailFile, ElsewhereFile, HoleFile, PartFile, StepFile } from '../read/runFile';

/** What of a part has lengths in it. */
export type WithLengths = Pick<PartFile, 'outside' | 'details' | 'bores' | 'lengths' | 'runout' | 'elsewhere'>;

/** Which length it is: the list that its entry stands in, the kind of the entry and its field. */
export interface LengthPlace {
  list: EntryListName | 'lengths' | 'runout';
  kind?: string;
  key: string;
}

/** What becomes of a length, and of one with limits. */
export type ChangeLength = <E extends SizeEntry>(entry: E, place: LengthPlace) => E;

const LONG: readonly unknown[] = ['size', 'place', 'depth', 'length'];

function changedEntry<E extends StepFile | DetailFile | HoleFile | ElsewhereFile>(
  list: EntryListName,
  entry: E,
  change: ChangeLength,
): E {
  const kind = kindOfEntry(list, entry);
  const named: unknown = Object.entries(entry).find(([key]) => key === KIND_KEY[list])?.[1];
  const at = (key: string): LengthPlace => ({ list, ...(typeof named === 'string' ? { kind: named } : {}), key });
  const fields = Object.entries(entry).map(([key, value]: [string, unknown]) => {
    const field = key === KIND_KEY[list] ? undefined : kind?.fields.find((known) => known.key === key);
    if (key === 'chamfers')
      return [
        key,
        Object.fromEntries(
          Object.entries(value as Record<string, LengthEntry>).map(([side, leg]) => [side, change(leg, at(key))]),
        ),
      ];
    return [key, field && LONG.includes(field.takes) && isSize(value) ? change(value, at(key)) : value];
  });
  return Object.fromEntries(fields) as E;
}

/** A part with each of its lengths changed; everything else stays. */
export function withEachLength<P extends WithLengths>(part: P, change: ChangeLength): P {
  return {
    ...part,
    outside: part.outside.map((step) => changedEntry('outside', step, change)),
    ...(part.details ? { details: part.details.map((detail) => changedEntry('details', detail, change)) } : {}),
    ...(part.bores ? { bores: part.bores.map((bore) => changedEntry('bores', bore, change)) } : {}),
    ...(part.elsewhere ? { elsewhere: part.elsewhere.map((work) => changedEntry('elsewhere', work, change)) } : {}),
    ...(part.lengths
      ? {
          lengths: part.lengths.map((drawn) => ({
            ...drawn,
            size: change(drawn.size, { list: 'lengths', key: 'size' }),
          })),
        }
      : {}),
    ...(part.runout
      ? { runout: part.runout.map((tie) => ({ ...tie, limit: change(tie.limit, { list: 'runout', key: 'limit' }) })) }
      : {}),
  };
}
