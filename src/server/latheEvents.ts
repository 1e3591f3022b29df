import type { Knex } from 'knex';
import { inOrder, type LatheEvent, type Ordered } from '@/core/lathe/events';
import { isAnything, provedBy, type Earlier } from '@/core/lathe/proved';
import { database, inTransaction } from './database';
import { keepBegunWith } from './plannedWith';

interface Row {
  id: number;
  run_id: number;
  document: string;
}

const read = ({ id, document }: Row): Ordered => ({ ...(JSON.parse(document) as LatheEvent), order: id });

/**
 * Keeps what happened, each once by its own name: what came before is passed over, so that a device whose answer was lost sends it
 * again. @returns where each stands in the order; undefined where there is no such run
 */
export const keepEvents = (run: number, events: readonly LatheEvent[]): Promise<Map<string, number> | undefined> =>
  inTransaction(async (knex) => {
    if (!(await knex('runs').where({ id: run }).first('id'))) return undefined;
    const came_at = new Date();
    await knex('lathe_events')
      .insert(
        events.map((event) => ({
          name: event.id,
          run_id: run,
          device: event.device,
          seq: event.seq,
          at: new Date(event.at),
          came_at,
          kind: event.kind,
          document: JSON.stringify(event),
        })),
      )
      .onConflict('name')
      .ignore();
    await keepBegunWith(knex, run, events.find(({ shop }) => shop !== undefined)?.shop);
    const rows = await knex('lathe_events')
      .whereIn(
        'name',
        events.map(({ id }) => id),
      )
      .select<{ id: number; name: string }[]>('id', 'name');
    return new Map(rows.map(({ id, name }) => [name, id]));
  });

/** What happened in a run behind a place of the order. */
export async function eventsOf(run: number, after = 0, knex: Knex = database()): Promise<Ordered[]> {
  const rows = await knex('lathe_events')
    .where({ run_id: run })
    .where('id', '>', after)
    .orderBy('id')
    .select<Row[]>('id', 'run_id', 'document');
  return rows.map(read);
}

/** The same as the text of a JSON list, put together of the texts that are kept: a long run is not read and written anew for it. */
export async function eventsText(run: number, after: number): Promise<string> {
  const rows = await database()('lathe_events')
    .where({ run_id: run })
    .where('id', '>', after)
    .orderBy('id')
    .select<Row[]>('id', 'document');
  return `[${rows.map(({ id, document }) => `${document.slice(0, -1)},"order":${id}}`).join(',')}]`;
}

/** What is asked of the log: of which runs, which days, which words. */
export interface Asked {
  run?: number;
  from?: Date;
  to?: Date;
  /** Words of what happened, or the number or name of a part. */
  find?: string;
  /** A lathe by its id. */
  lathe?: string;
  /** A tool by its id: what was done to it. */
  tool?: string;
  most?: number;
}

/** What happened, the newest first, each with its run. */
export async function logOf({
  run,
  from,
  to,
  find,
  lathe,
  tool,
  most = 500,
}: Asked): Promise<(Ordered & { run: number })[]> {
  const query = database()('lathe_events as e')
    .join('run_list as r', 'r.run_id', 'e.run_id')
    .orderBy('e.id', 'desc')
    .limit(most);
  if (run !== undefined) void query.where({ 'e.run_id': run });
  if (from) void query.where('e.at', '>=', from);
  if (to) void query.where('e.at', '<', to);
  if (lathe) void query.where({ 'r.machine': lathe });
  if (tool) void query.where({ 'e.kind': 'edge' }).whereRaw("json_value(e.document, '$.tool') = ?", [tool]);
  if (find) {
    const like = `%${find.replace(/[\\%_]/g, '\\$&')}%`;
    void query.whereRaw('(e.document like ? or r.number like ? or r.name like ?)', [like, like, like]);
  }
  const rows = await query.select<Row[]>('e.id', 'e.run_id', 'e.document');
  return rows.map((row) => ({ ...read(row), run: row.run_id }));
}

/** Kinds of events that say what a run proved. */
const PROVING: readonly LatheEvent['kind'][] = ['corrected', 'changed', 'tried', 'struck'];

/** The newest other run of the same part at which something was proved, and what; undefined where there is none. */
export async function earlierOf(run: number): Promise<Earlier | undefined> {
  const knex = database();
  const of = await knex('lathe_events as e')
    .join('run_list as other', 'other.run_id', 'e.run_id')
    .join('run_list as self', 'self.number', 'other.number')
    .where('self.run_id', run)
    .whereNot('other.run_id', run)
    .whereIn('e.kind', PROVING)
    .orderBy('e.id', 'desc')
    .first<{ run_id: number }>('e.run_id');
  if (!of) return undefined;
  const rows = await knex('lathe_events')
    .where({ run_id: of.run_id })
    .whereIn('kind', PROVING)
    .orderBy('id')
    .select<Row[]>('id', 'run_id', 'document');
  const events = inOrder(rows.map(read));
  const last = events.at(-1);
  const proved = provedBy(events);
  return last && isAnything(proved) ? { run: of.run_id, revision: last.revision, at: last.at, proved } : undefined;
}
