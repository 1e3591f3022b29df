import type { Knex } from 'knex';
import { checkShape } from '@/core/formats/problems';
import type { PartFile, RunFile } from '@/core/formats/runFile';
import { runFileSchema } from '@/core/formats/schemas';
import { database, inTransaction } from './database';

/** A run as it is kept: its document, and which revision that is. */
export interface SavedRun {
  id: number;
  revision: number;
  savedAt: string;
  file: RunFile;
}

/** How a save ended. A conflict brings what the other one saved. */
export type SaveOutcome =
  { kind: 'saved'; run: SavedRun } | { kind: 'conflict'; current: SavedRun } | { kind: 'missing' };

interface RunRow {
  id: number;
  revision: number;
  saved_at: Date;
  document: string;
  part: string;
}

/** What went wrong with a row that does not read back; the one kind of damage that is not the user's to mend. */
export class DamagedRow extends Error {}

const damage = (row: RunRow, what: string) => new DamagedRow(`run ${row.id} revision ${row.revision}: ${what}`);

/** The document of a row, run and part put together again. */
function documentOf(row: RunRow): unknown {
  try {
    return { ...(JSON.parse(row.document) as object), part: JSON.parse(row.part) as unknown };
  } catch {
    throw damage(row, 'is not JSON');
  }
}

function read(row: RunRow): SavedRun {
  const file = checkShape(runFileSchema, documentOf(row));
  if (!file.ok) throw damage(row, file.problems.map(({ path, message }) => `${path} ${message}`).join('; '));
  return { id: row.id, revision: row.revision, savedAt: row.saved_at.toISOString(), file: file.value };
}

/** The newest revision of every run, or of one. */
const newest = (knex: Knex) =>
  knex('run_revisions as r')
    .join('part_revisions as p', 'p.id', 'r.part_revision_id')
    .whereNotExists(
      knex('run_revisions as later')
        .select(knex.raw('1'))
        .whereRaw('later.run_id = r.run_id and later.revision > r.revision'),
    )
    .select<RunRow[]>('r.run_id as id', 'r.revision', 'r.saved_at', 'r.document', 'p.document as part');

/** Every run, the newest first, and in words those whose rows do not read back: one of them must not hide the others. */
export async function listRuns(): Promise<{ runs: SavedRun[]; damaged: string[] }> {
  const runs: SavedRun[] = [];
  const damaged: string[] = [];
  for (const row of await newest(database()).orderBy('r.run_id', 'desc'))
    try {
      runs.push(read(row));
    } catch (error) {
      if (!(error instanceof DamagedRow)) throw error;
      damaged.push(error.message);
    }
  return { runs, damaged };
}

/** One run, or undefined. */
export async function findRun(id: number, knex: Knex = database()): Promise<SavedRun | undefined> {
  const row = (await newest(knex).where('r.run_id', id))[0];
  return row && read(row);
}

/** Appends a revision of a part when it differs from the newest one; returns the row that holds it. */
async function keepPart(part: PartFile, at: Date, knex: Knex): Promise<number> {
  // Written even when it is there, so that the row is locked for what follows.
  await knex('parts').insert({ number: part.number }).onConflict('number').merge(['number']);
  const { id } = await knex('parts').where({ number: part.number }).first<{ id: number }>('id');
  const last = await knex('part_revisions')
    .where({ part_id: id })
    .orderBy('revision', 'desc')
    .first<{ id: number; revision: number; document: string } | undefined>();
  const document = JSON.stringify(part);
  if (last?.document === document) return last.id;
  const [row] = await knex('part_revisions').insert({
    part_id: id,
    revision: (last?.revision ?? 0) + 1,
    document,
    saved_at: at,
  });
  return Number(row);
}

async function append(id: number, revision: number, file: RunFile, knex: Knex): Promise<SavedRun> {
  const { part, ...rest } = file;
  const at = new Date();
  const partRevision = await keepPart(part, at, knex);
  await knex('run_revisions').insert({
    run_id: id,
    revision,
    part_revision_id: partRevision,
    document: JSON.stringify(rest),
    saved_at: at,
  });
  return { id, revision, savedAt: at.toISOString(), file };
}

/** Keeps a new run. */
export const createRun = (file: RunFile): Promise<SavedRun> =>
  inTransaction(async (knex) => {
    const [id] = await knex('runs').insert({ created_at: new Date() });
    return append(Number(id), 1, file, knex);
  });

/**
 * Appends a revision to a run, if the newest is still the one that the edit started from. The row of the run is locked
 * meanwhile, so that of two saves at once one wins and the other is told.
 */
export const saveRun = (id: number, base: number, file: RunFile): Promise<SaveOutcome> =>
  inTransaction(async (knex): Promise<SaveOutcome> => {
    const locked = await knex('runs').where({ id }).forUpdate().first('id');
    const current = locked && (await findRun(id, knex));
    if (!current) return { kind: 'missing' };
    if (current.revision !== base) return { kind: 'conflict', current };
    return { kind: 'saved', run: await append(id, base + 1, file, knex) };
  });
