import type { Knex } from 'knex';
import { checkShape } from '@/core/read/problems';
import type { PartFile } from '@/core/read/runFile';
import { partSchema } from '@/core/read/schemas';
import { sameNumber } from '@/core/model/part/partNumber';
import type { UnitSystem } from '@/core/model/units/length';
import { database } from './database';

/** A part as it was at one save; another save of the same figures is the same revision. */
export interface KeptRevision {
  id: number;
  /** Counts the saves of this part; the letter of the drawing is in `part.revision`. */
  count: number;
  savedAt: string;
  units: UnitSystem;
  part: PartFile;
  /** Runs whose newest save is planned with it. */
  runs: number[];
}

/** The row that holds the figures of a part: its id, the part's, and which save of it that is. */
export interface KeptPart {
  id: number;
  partId: number;
  count: number;
}

/** The part that a number names: letter for letter, else in any other way of writing it. */
async function findPart(number: string, knex: Knex, lock: boolean): Promise<number | undefined> {
  const found = (query: Knex.QueryBuilder) =>
    (lock ? query.forUpdate() : query).first<{ id: number } | undefined>('id');
  const exactly = await found(knex('parts').where({ number }).whereRaw('binary number = binary ?', [number]));
  return (exactly ?? (await found(knex('parts').where({ same_as: sameNumber(number) }))))?.id;
}

/** The part of a number with its row locked; it is made when there is none. */
async function lockedPart(number: string, knex: Knex): Promise<number> {
  const known = await findPart(number, knex, true);
  if (known !== undefined) return known;
  // Of two who make it at once the second waits here for the first, and then finds it made. No number is ever renamed.
  await knex.raw('insert into parts (number, same_as) values (?, ?) on duplicate key update id = id', [
    number,
    sameNumber(number),
  ]);
  return (await findPart(number, knex, true)) as number;
}

/** Appends a revision of a part, unless the same figures are kept already. */
export async function keepPart(part: PartFile, units: UnitSystem, at: Date, knex: Knex): Promise<KeptPart> {
  const partId = await lockedPart(part.number, knex);
  const document = JSON.stringify(part);
  const kept = await knex('part_revisions')
    .where({ part_id: partId, units })
    // Byte by byte: a collation would take `m` and `M` for the same.
    .whereRaw('binary document = binary ?', [document])
    .first<{ id: number; revision: number } | undefined>('id', 'revision');
  if (kept) return { id: kept.id, partId, count: kept.revision };
  const newest = await knex('part_revisions')
    .where({ part_id: partId })
    .max<{ last: number | null }[]>({ last: 'revision' });
  const count = (newest[0]?.last ?? 0) + 1;
  const [row] = await knex('part_revisions').insert({
    part_id: partId,
    revision: count,
    document,
    units,
    saved_at: at,
  });
  return { id: Number(row), partId, count };
}

interface RevisionRow {
  id: number;
  revision: number;
  saved_at: Date;
  units: UnitSystem;
  document: string;
}

/** Every revision of a part that reads back, the newest first; none for a number that is not kept. */
export async function revisionsOf(number: string): Promise<KeptRevision[]> {
  const partId = await findPart(number, database(), false);
  if (partId === undefined) return [];
  const rows = await database()('part_revisions')
    .where({ part_id: partId })
    .orderBy('revision', 'desc')
    .select<RevisionRow[]>('id', 'revision', 'saved_at', 'units', 'document');
  const planned = await database()('run_list')
    .where({ part_id: partId })
    .orderBy('run_id')
    .select<{ run_id: number; part_revision: number }[]>('run_id', 'part_revision');
  return rows.flatMap(({ id, revision, saved_at, units, document }) => {
    const part = checkShape(partSchema, JSON.parse(document));
    if (!part.ok) return [];
    const runs = planned.filter((row) => row.part_revision === revision).map((row) => row.run_id);
    return [{ id, count: revision, savedAt: saved_at.toISOString(), units, part: part.value, runs }];
  });
}

/**
 * Numbers that are one number and were kept as parts of their own before that was seen to: told, so that somebody can
 * give one of them another number. Both stay as they are.
 */
export async function partsKeptTwice(): Promise<string[][]> {
  const apart = await database()('parts').whereNull('same_as').select<{ number: string }[]>('number');
  if (apart.length === 0) return [];
  const rows = await database()('parts').orderBy('id').select<{ number: string }[]>('number');
  const groups = new Map<string, string[]>();
  for (const { number } of rows) {
    const same = sameNumber(number);
    groups.set(same, [...(groups.get(same) ?? []), number]);
  }
  return [...groups.values()].filter((numbers) => numbers.length > 1);
}
