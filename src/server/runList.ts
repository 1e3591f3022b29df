import type { Knex } from 'knex';
import type { RunFile } from '@/core/read/runFile';
import type { Skeleton } from '@/core/plan/skeleton';
import type { SetRun } from '@/core/ask/runsThatShare';
import type { Uses } from '@/core/ask/usedBy';
import type { UnitSystem } from '@/core/model/units/length';
import { AT_WORK, RUN_STATES, type RunState } from '@/core/model/runState';
import type { ListedFigures, ListedRun } from '@/core/present/listedRun';
import { database } from './database';
import { readKept } from './kept';
import type { RunFigures, StockNeed } from './runFigures';

/** What the list is sorted by; a run without it comes last. */
export const LIST_ORDERS = ['due', 'number', 'name', 'newest', 'longest'] as const;
export type ListOrder = (typeof LIST_ORDERS)[number];

/** Which states the list shows: those at work, one, or all but the deleted. */
export const LIST_STATES = ['work', ...RUN_STATES, 'all'] as const;
/** By when they are promised. */
export const LIST_DUES = ['any', 'late', 'week', 'month', 'none'] as const;
/** What runs stand together by, under a heading each. */
export const LIST_GROUPS = ['none', 'customer', 'material', 'machine', 'state', 'family'] as const;

/** Which runs are wanted: those in which every word is found, in an order, and from which on. */
export interface ListQuery {
  find: string;
  order: ListOrder;
  state: (typeof LIST_STATES)[number];
  due: (typeof LIST_DUES)[number];
  /** Today, as 2026-12-04: from the server's clock, so that all sides say the same. */
  today: string;
  group: (typeof LIST_GROUPS)[number];
  /** Id of a machine, empty for any. */
  machine: string;
  /** Only these, where they are named. */
  only?: readonly number[];
  from: number;
  most: number;
}

/** All runs at work, whatever they are, the first fifty. */
export const ANY_RUN: ListQuery = {
  find: '',
  order: 'due',
  state: 'work',
  due: 'any',
  today: '',
  group: 'none',
  machine: '',
  from: 0,
  most: 50,
};

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

/** Says that the figures of one run may have moved. */
export const wantRun = (knex: Knex, run: number) =>
  knex('run_list')
    .where({ run_id: run })
    .whereNull('damaged')
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
  customer: string;
  order_number: string;
  family: string;
  state: RunState;
  state_at: Date | null;
  state_by: string;
  machine: string;
  newer: string | null;
  stale: number;
  figures: string | null;
}

/** Figures without the routes, which are for the planner alone. */
function shownOf(figures: RunFigures['board']): ListedFigures {
  if ('problem' in figures) return figures;
  const { routes, ...shown } = figures;
  void routes;
  return shown;
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
  customer: row.customer,
  order: row.order_number,
  family: row.family,
  state: row.state,
  stateAt: row.state_at?.toISOString(),
  stateBy: row.state_by,
  machine: row.machine,
  newerPart: row.newer ?? undefined,
  stale: row.stale === 1,
  figures: row.figures === null ? undefined : shownOf(readKept<RunFigures['board']>(row.figures)),
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

/** Days from a day on, as 2026-12-04. */
const daysFrom = (today: string, days: number): string =>
  new Date(Date.parse(today) + days * 86_400_000).toISOString().slice(0, 10);

/** Leaves of the list what is not asked for. */
function narrowed(query: Knex.QueryBuilder, { find, state, due, today, machine, only }: ListQuery): Knex.QueryBuilder {
  query.whereNull('l.damaged');
  for (const word of find.split(/\s+/u).filter(Boolean).slice(0, 8))
    query.whereRaw(
      `concat_ws(' ', l.number, l.name, l.letter, l.material, l.customer, l.order_number, l.note, l.family) like ?`,
      [`%${literally(word)}%`],
    );
  if (state === 'work') query.whereIn('l.state', AT_WORK);
  else if (state === 'all') query.whereNot('l.state', 'deleted');
  else query.where('l.state', state);
  if (due === 'none') query.where('l.due', '');
  else if (due === 'late') query.whereNot('l.due', '').where('l.due', '<', today);
  else if (due !== 'any')
    query.whereNot('l.due', '').whereBetween('l.due', [today, daysFrom(today, due === 'week' ? 7 : 31)]);
  if (machine !== '') query.where('l.machine', machine);
  if (only) query.whereIn('l.run_id', only);
  return query;
}

/** The runs that are asked for. */
export async function listRuns(asked: ListQuery): Promise<ListedRuns> {
  const knex = database();
  const { order, from, most, group } = asked;
  const matching = () => narrowed(knex('run_list as l'), asked);
  const [counts, found, rows, damaged] = await Promise.all([
    listProgress(),
    matching().count<{ n: number }[]>({ n: '*' }),
    matching()
      .orderByRaw(group === 'none' ? ORDERS[order] : `l.${group} = '', l.${group}, ${ORDERS[order]}`)
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
        'l.customer',
        'l.order_number',
        'l.family',
        'l.state',
        'l.state_at',
        'l.state_by',
        'l.machine',
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

/** How much each run has used of the rack already, mm. */
async function usedLengths(): Promise<ReadonlyMap<number, number>> {
  const rows = await database()('stock_history')
    .where({ what: 'used' })
    .whereNotNull('run_id')
    .groupBy('run_id')
    .select<{ run_id: number; length: string }[]>('run_id', database().raw('sum(length) as length'));
  return new Map(rows.map(({ run_id, length }) => [run_id, Number(length)]));
}

/** What a run still needs when some of its bars are used up. */
function stillNeeded(need: StockNeed, used: ReadonlyMap<number, number>): StockNeed {
  const left = Math.max(0, 1 - (used.get(need.run) ?? 0) / need.length);
  return { ...need, length: need.length * left, count: Math.ceil(need.count * left - 1e-9) };
}

/** What every planned run needs of the rack, as far as it is planned. */
export async function listNeeds(): Promise<StockNeed[]> {
  const rows = await database()('run_list')
    .whereNull('damaged')
    .whereNotNull('need')
    .whereIn('state', AT_WORK)
    .orderBy('run_id', 'desc')
    .pluck<string[]>('need');
  const used = await usedLengths();
  return rows.map((text) => stillNeeded(readKept<StockNeed>(text), used)).filter(({ count }) => count > 0);
}

/** What every planned run uses of the shop. */
export async function listUses(): Promise<Uses[]> {
  const rows = await database()('run_list')
    .whereNull('damaged')
    .whereNotNull('uses')
    .whereIn('state', AT_WORK)
    .pluck<string[]>('uses');
  return rows.map((text) => readKept<Uses>(text));
}

/** How the machine is set up for every planned run, the newest first. */
export async function listSettings(): Promise<SetRun<number>[]> {
  const rows = await database()('run_list')
    .whereNull('damaged')
    .whereNotNull('uses')
    .whereIn('state', AT_WORK)
    .orderBy('run_id', 'desc')
    .select<{ run_id: number; uses: string }[]>('run_id', 'uses');
  return rows.flatMap(({ run_id: id, uses }) => {
    const { setting } = readKept<Uses>(uses);
    return setting ? [{ id, setting }] : [];
  });
}

/** Ids of the runs that share the name of a family, the oldest first. */
export const listFamily = (family: string): Promise<number[]> =>
  database()('run_list')
    .whereNull('damaged')
    .whereIn('state', AT_WORK)
    .where({ family })
    .orderBy('run_id')
    .pluck<number[]>('run_id');

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

/** A run by the number in its address, or the newest of a part by the part's number. */
export async function runOf(named: string): Promise<number | undefined> {
  const first = (where: object) =>
    database()('run_list').where(where).orderBy('run_id', 'desc').first<{ run_id: number } | undefined>('run_id');
  const byAddress = /^\d{1,9}$/.test(named) ? await first({ run_id: Number(named) }) : undefined;
  return (byAddress ?? (await first({ number: named })))?.run_id;
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
    routes: figures === null ? undefined : readKept<{ routes?: Skeleton[] }>(figures).routes,
  }));
}
