import type { Knex } from 'knex';
import type { RunFile } from '@/core/read/runFile';
import type { Skeleton } from '@/core/plan/skeleton';
import type { SetRun } from '@/core/ask/runsThatShare';
import type { Uses } from '@/core/ask/usedBy';
import type { UnitSystem } from '@/core/model/units/length';
import { database } from './database';
import type { RunFigures, StockNeed } from './runFigures';

/** A run as lists show it: what it is found by, and the figures of its plan. */
export interface ListedRun {
  id: number;
  savedAt: string;
  number: string;
  name: string;
  revision: string;
  material: string;
  quantity: string;
  units: UnitSystem;
  /** Empty where no day is promised. */
  due: string;
  /** The letter that the drawing went on to, when the run keeps an earlier one. */
  newerPart: string | undefined;
  /** Whether something has changed since the figures were planned. */
  stale: boolean;
  figures: RunFigures['board'] | undefined;
}

/** What the list is sorted by; a run without it comes last. */
export const LIST_ORDERS = ['due', 'number', 'name', 'newest', 'longest'] as const;
export type ListOrder = (typeof LIST_ORDERS)[number];

/** Which runs are wanted: those in which every word is found, in an order, and from which on. */
export interface ListQuery {
  find: string;
  order: ListOrder;
  from: number;
  most: number;
}

/** Some runs of the list; how many are found, how many there are, and of how many the figures are old. */
export interface ListedRuns {
  runs: ListedRun[];
  found: number;
  all: number;
  stale: number;
  damaged: string[];
}

interface Entry {
  id: number;
  revision: number;
  savedAt: Date;
  partId: number;
  partRevision: number;
}

/** Enters a run in the list as it is saved now; its figures are planned anew. */
export async function enterInList(
  { id, revision, savedAt, partId, partRevision, file, damaged }: Entry & { file?: RunFile; damaged?: string },
  knex: Knex,
): Promise<void> {
  const row = {
    run_id: id,
    revision,
    saved_at: savedAt,
    part_id: partId,
    part_revision: partRevision,
    number: file?.part.number ?? '',
    name: file?.part.name ?? '',
    letter: file?.part.revision ?? '',
    material: [file?.part.material ?? ''].flat()[0] ?? '',
    quantity: String(file?.quantity ?? ''),
    units: file?.units ?? 'mm',
    due: file?.due ?? '',
    family: file?.family?.trim() ?? '',
    customer: file?.customer ?? '',
    order_number: file?.order ?? '',
    note: file?.note ?? '',
    damaged: damaged?.slice(0, 1000) ?? null,
    stale: damaged === undefined,
  };
  await knex('run_list')
    .insert(row)
    .onConflict('run_id')
    .merge({ ...row, wanted: knex.raw('wanted + 1') });
}

/** Says that figures may have moved: of the runs of one material, or of all. */
export const wantAnew = (knex: Knex, material?: string) =>
  knex('run_list')
    .whereNull('damaged')
    .modify((query) => void (material !== undefined && query.where({ material })))
    .update({ stale: true, wanted: knex.raw('wanted + 1') });

interface ListRow {
  run_id: number;
  saved_at: Date;
  number: string;
  name: string;
  letter: string;
  material: string;
  quantity: string;
  units: UnitSystem;
  due: string;
  newer: string | null;
  stale: number;
  figures: string | null;
}

const listedOf = (row: ListRow): ListedRun => ({
  id: row.run_id,
  savedAt: row.saved_at.toISOString(),
  number: row.number,
  name: row.name,
  revision: row.letter,
  material: row.material,
  quantity: row.quantity,
  units: row.units,
  due: row.due,
  newerPart: row.newer ?? undefined,
  stale: row.stale === 1,
  figures: row.figures === null ? undefined : (JSON.parse(row.figures) as RunFigures['board']),
});

const ORDERS: Record<ListOrder, string> = {
  due: `l.due = '', l.due, l.run_id desc`,
  number: 'l.number, l.run_id desc',
  name: `l.name = '', l.name, l.run_id desc`,
  newest: 'l.saved_at desc, l.run_id desc',
  longest: 'l.batch_minutes desc, l.run_id desc',
};

/** What `like` takes for itself, taken as it stands. */
const literally = (word: string) => word.replace(/[\\%_]/g, (sign) => `\\${sign}`);

/** The runs that are asked for. */
export async function listRuns({ find, order, from, most }: ListQuery): Promise<ListedRuns> {
  const knex = database();
  const matching = () =>
    find
      .split(/\s+/u)
      .filter(Boolean)
      .slice(0, 8)
      .reduce(
        (query, word) =>
          query.whereRaw(
            `concat_ws(' ', l.number, l.name, l.letter, l.material, l.customer, l.order_number, l.note, l.family) like ?`,
            [`%${literally(word)}%`],
          ),
        knex('run_list as l').whereNull('l.damaged'),
      );
  const [counts, found, rows, damaged] = await Promise.all([
    listProgress(),
    matching().count<{ n: number }[]>({ n: '*' }),
    matching()
      .orderByRaw(ORDERS[order])
      .offset(from)
      .limit(most)
      .select<ListRow[]>(
        'l.run_id',
        'l.saved_at',
        'l.number',
        'l.name',
        'l.letter',
        'l.material',
        'l.quantity',
        'l.units',
        'l.due',
        'l.stale',
        'l.figures',
        knex.raw(
          `(select n.letter from run_list n where n.part_id = l.part_id and n.part_revision > l.part_revision
            order by n.part_revision desc limit 1) as newer`,
        ),
      ),
    knex('run_list').whereNotNull('damaged').limit(20).pluck<string[]>('damaged'),
  ]);
  return { runs: rows.map(listedOf), found: Number(found[0]?.n ?? 0), ...counts, damaged };
}

/** How many runs there are, and of how many the figures are still old. */
export async function listProgress(): Promise<{ all: number; stale: number }> {
  const [row] = await database()('run_list')
    .whereNull('damaged')
    .select<{ all: number; stale: number | null }[]>(database().raw('count(*) as `all`, sum(stale) as stale'));
  return { all: Number(row?.all ?? 0), stale: Number(row?.stale ?? 0) };
}

/** What every planned run needs of the rack, as far as it is planned. */
export async function listNeeds(): Promise<StockNeed[]> {
  const rows = await database()('run_list')
    .whereNull('damaged')
    .whereNotNull('need')
    .orderBy('run_id', 'desc')
    .pluck<string[]>('need');
  return rows.map((text) => JSON.parse(text) as StockNeed);
}

/** What every planned run uses of the shop. */
export async function listUses(): Promise<Uses[]> {
  const rows = await database()('run_list').whereNull('damaged').whereNotNull('uses').pluck<string[]>('uses');
  return rows.map((text) => JSON.parse(text) as Uses);
}

/** How the machine is set up for every planned run, the newest first. */
export async function listSettings(): Promise<SetRun<number>[]> {
  const rows = await database()('run_list')
    .whereNull('damaged')
    .whereNotNull('uses')
    .orderBy('run_id', 'desc')
    .select<{ run_id: number; uses: string }[]>('run_id', 'uses');
  return rows.flatMap(({ run_id: id, uses }) => {
    const { setting } = JSON.parse(uses) as Uses;
    return setting ? [{ id, setting }] : [];
  });
}

/** Ids of the runs that share the name of a family, the oldest first. */
export const listFamily = (family: string): Promise<number[]> =>
  database()('run_list').whereNull('damaged').where({ family }).orderBy('run_id').pluck<number[]>('run_id');

/** Ids, numbers and names of all runs, the newest first. */
export async function runNames(): Promise<{ id: number; number: string; name: string }[]> {
  const rows = await database()('run_list')
    .whereNull('damaged')
    .orderBy('run_id', 'desc')
    .select<{ run_id: number; number: string; name: string; letter: string }[]>('run_id', 'number', 'name', 'letter');
  // Two runs of one part are told apart by their revisions.
  return rows.map(({ run_id: id, number, name, letter }) => ({
    id,
    number,
    name: [name, letter && `rev ${letter}`].filter(Boolean).join(', '),
  }));
}

/** Minutes over the batch of every run as it is planned now; undefined where there is no plan. */
export async function batchMinutes(): Promise<
  { id: number; minutes: number | undefined; routes: readonly Skeleton[] | undefined }[]
> {
  const rows = await database()('run_list')
    .whereNull('damaged')
    .orderBy('run_id', 'desc')
    .select<{ run_id: number; batch_minutes: number | null; figures: string | null }[]>(
      'run_id',
      'batch_minutes',
      'figures',
    );
  return rows.map(({ run_id: id, batch_minutes, figures }) => ({
    id,
    minutes: batch_minutes ?? undefined,
    routes: figures === null ? undefined : (JSON.parse(figures) as { routes?: Skeleton[] }).routes,
  }));
}
