import { isDeepStrictEqual } from 'node:util';
import type { Knex } from 'knex';
import { checkShape } from '@/core/read/problems';
import type { RunRow as AskedRow } from '@/core/formats/runsCsv';
import type { RunFile } from '@/core/read/runFile';
import { runFileSchema } from '@/core/read/schemas';
import { database, inTransaction } from './database';
import { keepPart } from './partRepository';
import { enterInList } from './runList';
import type { SavedRun } from './savedRun';

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

/** Revisions of runs with the parts they were saved with. */
const revisions = (knex: Knex) =>
  knex('run_revisions as r')
    .join('part_revisions as p', 'p.id', 'r.part_revision_id')
    .select<RunRow[]>(
      'r.run_id as id',
      'r.revision',
      'r.saved_at',
      'r.document',
      'p.document as part',
      'p.part_id',
      'p.revision as part_revision',
    );

const newestOf = async (id: number, knex: Knex): Promise<RunRow | undefined> =>
  (await revisions(knex).where('r.run_id', id).orderBy('r.revision', 'desc').limit(1))[0];

/**
 * The newest revision of a run's part that any run is planned with, when the run itself is planned with an earlier one.
 * One that was tried and taken back is no revision to go by.
 */
async function newerPartOf({ part_id, part_revision }: RunRow, knex: Knex): Promise<SavedRun['newerPart']> {
  const newer = await knex('run_list as l')
    .join('part_revisions as p', { 'p.part_id': 'l.part_id', 'p.revision': 'l.part_revision' })
    .where('l.part_id', part_id)
    .where('l.part_revision', '>', part_revision)
    .orderBy('l.part_revision', 'desc')
    .first<{ letter: string; saved_at: Date } | undefined>('l.letter', 'p.saved_at');
  return newer && { revision: newer.letter, savedAt: newer.saved_at.toISOString() };
}

/** The run that another was begun with, as it was saved then. */
async function copiedFromOf(id: number, knex: Knex): Promise<SavedRun['copiedFrom']> {
  const copy = await knex('runs')
    .where({ id })
    .whereNotNull('copied_from')
    .first<{ copied_from: number; copied_revision: number } | undefined>('copied_from', 'copied_revision');
  if (!copy) return undefined;
  const [row] = await revisions(knex)
    .where({ 'r.run_id': copy.copied_from, 'r.revision': copy.copied_revision })
    .limit(1);
  return row && { id: row.id, file: read(row).file };
}

/** The documents of some runs as they are saved now, by their ids; in words those whose rows do not read back. */
export async function readRuns(ids: readonly number[]): Promise<{ runs: SavedRun[]; damaged: Map<number, string> }> {
  const runs: SavedRun[] = [];
  const damaged = new Map<number, string>();
  const rows = await revisions(database())
    .join('run_list as l', { 'l.run_id': 'r.run_id', 'l.revision': 'r.revision' })
    .whereIn('r.run_id', ids)
    .orderBy('r.run_id', 'desc');
  for (const row of rows)
    try {
      runs.push(read(row));
    } catch (error) {
      if (!(error instanceof DamagedRow)) throw error;
      damaged.set(row.id, error.message);
    }
  return { runs, damaged };
}

/** One run, or undefined. */
export async function findRun(id: number, knex: Knex = database()): Promise<SavedRun | undefined> {
  const row = await newestOf(id, knex);
  if (!row) return undefined;
  const [newerPart, copiedFrom] = await Promise.all([newerPartOf(row, knex), copiedFromOf(id, knex)]);
  return { ...read(row), ...(newerPart ? { newerPart } : {}), ...(copiedFrom ? { copiedFrom } : {}) };
}

async function append(id: number, revision: number, file: RunFile, knex: Knex): Promise<SavedRun> {
  const { part, ...rest } = file;
  const at = new Date();
  const kept = await keepPart(part, file.units, at, knex);
  await knex('run_revisions').insert({
    run_id: id,
    revision,
    part_revision_id: kept.id,
    document: JSON.stringify(rest),
    saved_at: at,
  });
  await enterInList({ id, revision, savedAt: at, file, partId: kept.partId, partRevision: kept.count }, knex);
  return { id, revision, savedAt: at.toISOString(), file };
}

/**
 * Keeps a new run.
 * @param under what it is asked for as: asked for again, because the answer was lost on the way, it is the same run
 * @param copiedFrom what it was begun with
 */
export const createRun = (
  file: RunFile,
  { under, copiedFrom }: { under?: string | undefined; copiedFrom?: SavedRun } = {},
): Promise<SavedRun> =>
  inTransaction(async (knex) => {
    const before = under && (await knex('runs').where({ under }).first<{ id: number } | undefined>('id'));
    if (before) return (await findRun(before.id, knex)) as SavedRun;
    return insertRun(file, knex, { under, copiedFrom });
  });

async function insertRun(
  file: RunFile,
  knex: Knex,
  { under, copiedFrom }: { under?: string | undefined; copiedFrom?: SavedRun | undefined },
): Promise<SavedRun> {
  const [id] = await knex('runs').insert({
    created_at: new Date(),
    under: under ?? null,
    copied_from: copiedFrom?.id ?? null,
    copied_revision: copiedFrom?.revision ?? null,
  });
  return append(Number(id), 1, file, knex);
}

/** What of a run is of that run alone, and not of the next one of its part. */
const ofItself = ['due', 'order', 'customer', 'note'] as const;

/**
 * Makes a run of each row of a list, each begun with the newest run of its part; all of them or none.
 * @returns the runs, or the places in the list of those whose part nobody has planned yet
 */
export const createFromList = (rows: readonly AskedRow[]): Promise<{ made: SavedRun[] } | { unknown: number[] }> =>
  inTransaction(async (knex) => {
    const newest = await knex('run_list')
      .whereNull('damaged')
      .whereNot('state', 'deleted')
      .whereIn('number', [...new Set(rows.map(({ number }) => number))])
      .groupBy('number')
      .select<{ number: string; id: number }[]>('number', knex.raw('max(run_id) as id'));
    const idOf = new Map(newest.map(({ number, id }) => [number, id]));
    const unknown = rows.flatMap(({ number }, index) => (idOf.has(number) ? [] : [index]));
    if (unknown.length > 0) return { unknown };
    const made: SavedRun[] = [];
    for (const { number, ...asked } of rows) {
      const before = (await findRun(idOf.get(number) as number, knex)) as SavedRun;
      const kept = Object.fromEntries(
        Object.entries(before.file).filter(([key]) => !(ofItself as readonly string[]).includes(key)),
      ) as unknown as RunFile;
      made.push(await insertRun({ ...kept, ...asked }, knex, { copiedFrom: before }));
    }
    return { made };
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
    // The same once more, because the answer was lost on the way: it is saved already.
    if (current.revision === base + 1 && isDeepStrictEqual(current.file, file)) return { kind: 'saved', run: current };
    if (current.revision !== base) return { kind: 'conflict', current };
    return { kind: 'saved', run: await append(id, base + 1, file, knex) };
  });

/** Enters in the list the runs that are missing there or stand there with an earlier revision; says how many. */
export async function completeRunList(): Promise<number> {
  const knex = database();
  const rows = await revisions(knex)
    .join(
      knex('run_revisions').select('run_id').max('revision as last').groupBy('run_id').as('newest'),
      function newest() {
        this.on('newest.run_id', 'r.run_id').andOn('newest.last', 'r.revision');
      },
    )
    .leftJoin('run_list as l', { 'l.run_id': 'r.run_id', 'l.revision': 'r.revision' })
    .whereNull('l.run_id');
  for (const row of rows) {
    const entry = { id: row.id, revision: row.revision, savedAt: row.saved_at };
    const part = { partId: row.part_id, partRevision: row.part_revision };
    try {
      await enterInList({ ...entry, ...part, file: read(row).file }, knex);
    } catch (error) {
      if (!(error instanceof DamagedRow)) throw error;
      await enterInList({ ...entry, ...part, damaged: error.message }, knex);
    }
  }
  return rows.length;
}
