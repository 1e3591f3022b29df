import { createHash } from 'node:crypto';
import type { RunOnLathe, RunToMake } from '@/core/schedule/runToMake';
import { runsWaiting } from '@/core/rack/waiting';
import { runOnLathes } from '@/core/schedule/onLathes';
import { database } from './database';
import { readKept } from './kept';
import { learnedRuns } from './learned';
import { plannedWith } from './plannedWith';
import { listRack } from './rackRepository';
import { listNeeds } from './runList';
import { readRuns } from './runRepository';
import { currentRevision, currentShop } from './shopRepository';

/** What a run on every lathe is planned from: the run and the planner, the shop, and what was learned last. */
async function basisFor(): Promise<(basis: string) => string> {
  const [{ revision }, newest] = await Promise.all([
    currentRevision(),
    database()('learned_runs').max<{ id: number | null }[]>({ id: 'id' }),
  ]);
  return (basis) =>
    createHash('sha256')
      .update(`${basis} ${revision} ${newest[0]?.id ?? 0}`)
      .digest('hex');
}

interface Row {
  run_id: number;
  number: string;
  name: string;
  quantity: string;
  customer: string;
  due: string;
  state: string;
  machine: string;
  basis: string;
  lathes: string | null;
  lathes_basis: string;
}

/** Steps at the lathe that are done of each run: of how many pieces, by their keys, but for those that were struck out again. */
async function stepsDone(): Promise<Map<number, Record<string, number>>> {
  const struck = await database()('lathe_events')
    .where({ kind: 'struck' })
    .select<{ name: string }[]>(database().raw("json_value(document, '$.event') as name"));
  const rows = await database()('lathe_events')
    .where({ kind: 'done' })
    .whereNotIn(
      'name',
      struck.map(({ name }) => name),
    )
    .groupBy('run_id', 'operation')
    .select<{ run_id: number; operation: string | null; pieces: number }[]>(
      'run_id',
      database().raw("json_value(document, '$.operation') as operation"),
      database().raw("count(distinct json_value(document, '$.piece')) as pieces"),
    );
  const done = new Map<number, Record<string, number>>();
  for (const { run_id, operation, pieces } of rows)
    if (operation !== null) done.set(run_id, { ...done.get(run_id), [operation]: Number(pieces) });
  return done;
}

/** Days until the bars come that a run waits for, where its material says how long they are on their way. */
async function daysUntilBars(): Promise<ReadonlyMap<number, number>> {
  const [needs, items, { materials }, dues] = await Promise.all([
    listNeeds(),
    listRack(),
    currentShop(),
    database()('run_list').select<{ run_id: number; due: string }[]>('run_id', 'due'),
  ]);
  const dueOf = new Map(dues.map(({ run_id, due }) => [run_id, due]));
  const waiting = runsWaiting(
    needs.map((need) => ({ ...need, due: dueOf.get(need.run) ?? '' })),
    items,
  );
  return new Map(
    needs.flatMap(({ run, section }): [number, number][] => {
      const days = materials.find(({ id }) => id === section.material)?.deliveryDays;
      return waiting.has(run) && days !== undefined ? [[run, days]] : [];
    }),
  );
}

/**
 * Runs that are released, begun, or promised for a day, on every lathe as far as that is planned; what is missing is planned beside the server.
 * @param also a run that may be a draft, of which it is asked when it would be there
 */
export async function runsToMake(also?: number): Promise<RunToMake[]> {
  const rows = await database()('run_list')
    .whereNull('damaged')
    // What is neither released nor promised is a draft, and takes nobody's days.
    .where(
      (query) =>
        void query
          .whereIn('state', ['released', 'running'])
          .orWhere((open) => void open.where({ state: 'open' }).whereNot({ due: '' }))
          .orWhere({ run_id: also ?? null }),
    )
    .orderBy('run_id')
    .select<Row[]>(
      'run_id',
      'number',
      'name',
      'quantity',
      'customer',
      'due',
      'state',
      'machine',
      'basis',
      'lathes',
      'lathes_basis',
    );
  const [basisOf, done, barsIn] = await Promise.all([basisFor(), stepsDone(), daysUntilBars()]);
  const isOld = (row: Row) => row.lathes === null || row.lathes_basis !== basisOf(row.basis);
  const old = rows.filter(isOld).map(({ run_id }) => run_id);
  if (old.length > 0) await database()('run_list').whereIn('run_id', old).update({ lathes_wanted: true });
  return rows.map((row) => ({
    id: row.run_id,
    number: row.number,
    name: row.name,
    quantity: Number(row.quantity),
    customer: row.customer,
    due: row.due,
    state: row.state,
    machine: row.machine,
    lathes: row.lathes === null ? undefined : readKept<RunOnLathe[]>(row.lathes),
    ...(isOld(row) ? { isOld: true as const } : {}),
    done: done.get(row.run_id) ?? {},
    ...(barsIn.has(row.run_id) ? { barsIn: barsIn.get(row.run_id) as number } : {}),
  }));
}

/** Plans one run on every lathe for which a schedule waits. @returns how many were */
export async function planForSchedule(): Promise<number> {
  const row = await database()('run_list')
    .where({ lathes_wanted: true, stale: false })
    .orderBy('run_id')
    .first<{ run_id: number; basis: string } | undefined>('run_id', 'basis');
  if (!row) return 0;
  const [{ runs }, withOf, learned, basisOf] = await Promise.all([
    readRuns([row.run_id]),
    plannedWith([row.run_id]),
    learnedRuns(),
    basisFor(),
  ]);
  const [run] = runs;
  const lathes = run ? runOnLathes(run.file, withOf(row.run_id).shop, learned) : [];
  await database()('run_list')
    .where({ run_id: row.run_id, basis: row.basis })
    .update({ lathes: JSON.stringify(lathes), lathes_basis: basisOf(row.basis), lathes_wanted: false });
  return 1;
}
