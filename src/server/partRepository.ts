import type { Knex } from 'knex';
import { checkShape } from '@/core/formats/problems';
import type { PartFile } from '@/core/formats/runFile';
import { partSchema } from '@/core/formats/schemas';
import type { UnitSystem } from '@/core/units/length';
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

/** Appends a revision of a part, unless the same figures are kept already; returns the row that holds them. */
export async function keepPart(part: PartFile, units: UnitSystem, at: Date, knex: Knex): Promise<number> {
  // Written even when it is there, so that the row is locked for what follows.
  await knex('parts').insert({ number: part.number }).onConflict('number').merge(['number']);
  const { id } = await knex('parts').where({ number: part.number }).first<{ id: number }>('id');
  const document = JSON.stringify(part);
  const kept = await knex('part_revisions')
    .where({ part_id: id, units })
    // Byte by byte: a collation would take `m` and `M` for the same.
    .whereRaw('binary document = binary ?', [document])
    .first<{ id: number } | undefined>('id');
  if (kept) return kept.id;
  const { last } = await knex('part_revisions')
    .where({ part_id: id })
    .max<{ last: number | null }[]>({ last: 'revision' })
    .then((rows) => rows[0] ?? { last: null });
  const [row] = await knex('part_revisions').insert({
    part_id: id,
    revision: (last ?? 0) + 1,
    document,
    units,
    saved_at: at,
  });
  return Number(row);
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
  const rows = await database()('part_revisions as p')
    .join('parts', 'parts.id', 'p.part_id')
    .where('parts.number', number)
    .orderBy('p.revision', 'desc')
    .select<RevisionRow[]>('p.id', 'p.revision', 'p.saved_at', 'p.units', 'p.document');
  const planned = await database()('run_revisions as r')
    .whereIn(
      'r.part_revision_id',
      rows.map(({ id }) => id),
    )
    .whereNotExists(
      database()('run_revisions as later')
        .select(database().raw('1'))
        .whereRaw('later.run_id = r.run_id and later.revision > r.revision'),
    )
    .select<{ run_id: number; part_revision_id: number }[]>('r.run_id', 'r.part_revision_id');
  return rows.flatMap(({ id, revision, saved_at, units, document }) => {
    const part = checkShape(partSchema, JSON.parse(document));
    if (!part.ok) return [];
    const runs = planned.filter((row) => row.part_revision_id === id).map((row) => row.run_id);
    return [{ id, count: revision, savedAt: saved_at.toISOString(), units, part: part.value, runs }];
  });
}
