import type { LearnedRun } from '@/core/lathe/learnFrom';
import { database } from './database';

/** Keeps what a run taught of minutes; what it said before stays behind it. @returns whether there is such a run */
export async function keepLearned(
  run: number,
  { machine, says }: Pick<LearnedRun, 'machine' | 'says'>,
  by: string,
): Promise<boolean> {
  if (!(await database()('runs').where({ id: run }).first('id'))) return false;
  await database()('learned_runs').insert({
    run_id: run,
    machine,
    document: JSON.stringify(says),
    said_by: by,
    at: new Date(),
  });
  return true;
}

interface Row {
  run_id: number;
  number: string;
  machine: string;
  document: string;
}

/** What every run taught that was learned from, the newest that each said. */
export async function learnedRuns(): Promise<LearnedRun[]> {
  const knex = database();
  const rows = await knex('learned_runs as l')
    .join(knex('learned_runs').select('run_id').max('id as last').groupBy('run_id').as('newest'), function newest() {
      this.on('newest.run_id', 'l.run_id').andOn('newest.last', 'l.id');
    })
    .join('run_list as r', 'r.run_id', 'l.run_id')
    .orderBy('l.id')
    .select<Row[]>('l.run_id', 'r.number', 'l.machine', 'l.document');
  return rows.map(({ run_id: run, number, machine, document }) => ({
    run,
    number,
    machine,
    says: JSON.parse(document) as LearnedRun['says'],
  }));
}
