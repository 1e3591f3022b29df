import type { Knex } from 'knex';
import { checkShape } from '@/core/formats/problems';
import type { RunFile } from '@/core/formats/runFile';
import { runFileSchema } from '@/core/formats/schemas';
import { database, inTransaction } from './database';
import { keepPart } from './partRepository';

/** A run as it is kept: its document, and which revision that is. */
export interface SavedRun {
  id: number;
  revision: number;
  savedAt: string;
  file: RunFile;
  /** The newest kept revision of its part, when that is another one than the run was planned with. */
  newerPart?: { revision: string; savedAt: string };
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
  part_id: number;
  part_revision: number;
  part_letter: string | null;
  part_saved_at: Date;
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

function read(row: RunRow, rows: RunRow[]): SavedRun {
  const file = checkShape(runFileSchema, documentOf(row));
  if (!file.ok) throw damage(row, file.problems.map(({ path, message }) => `${path} ${message}`).join('; '));
  const newerPart = newerPartOf(row, rows);
  return {
    id: row.id,
    revision: row.revision,
    savedAt: row.saved_at.toISOString(),
    file: file.value,
    ...(newerPart ? { newerPart } : {}),
  };
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
    .select<RunRow[]>(
      'r.run_id as id',
      'r.revision',
      'r.saved_at',
      'r.document',
      'p.document as part',
      'p.part_id',
      'p.revision as part_revision',
      // Nothing when the document is damaged, which must not hide the other runs of the part.
      knex.raw(`json_value(p.document, '$.revision') as part_letter`),
      'p.saved_at as part_saved_at',
    );

/**
 * The newest revision of a run's part that any run is planned with, when the run itself is planned with an earlier one.
 * One that was tried and taken back is no revision to go by.
 */
function newerPartOf(row: RunRow, rows: RunRow[]): SavedRun['newerPart'] {
  const newer = rows
    .filter(({ part_id, part_revision }) => part_id === row.part_id && part_revision > row.part_revision)
    .sort((a, b) => b.part_revision - a.part_revision)[0];
  return newer && { revision: newer.part_letter ?? '', savedAt: newer.part_saved_at.toISOString() };
}

/** Every run, the newest first, and in words those whose rows do not read back: one of them must not hide the others. */
export async function listRuns(): Promise<{ runs: SavedRun[]; damaged: string[] }> {
  const runs: SavedRun[] = [];
  const damaged: string[] = [];
  const rows = await newest(database()).orderBy('r.run_id', 'desc');
  for (const row of rows)
    try {
      runs.push(read(row, rows));
    } catch (error) {
      if (!(error instanceof DamagedRow)) throw error;
      damaged.push(error.message);
    }
  return { runs, damaged };
}

/** One run, or undefined. */
export async function findRun(id: number, knex: Knex = database()): Promise<SavedRun | undefined> {
  const row = (await newest(knex).where('r.run_id', id))[0];
  return row && read(row, await newest(knex).where('p.part_id', row.part_id));
}

async function append(id: number, revision: number, file: RunFile, knex: Knex): Promise<SavedRun> {
  const { part, ...rest } = file;
  const at = new Date();
  const partRevision = await keepPart(part, file.units, at, knex);
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
