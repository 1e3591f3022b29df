import type { LearnedRun, Taught } from '@/core/lathe/learnFrom';
import { database } from './database';

/** Keeps what a run taught; what it said before stays behind it. @returns whether there is such a run */
export async function keepLearned(run: number, { machine, ...taught }: Taught, by: string): Promise<boolean> {
  if (!(await database()('runs').where({ id: run }).first('id'))) return false;
  await database()('learned_runs').insert({
    run_id: run,
    machine,
    document: JSON.stringify(taught),
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

/** What is kept of a run; before edges and cost were learned it was what it says of minutes alone. */
const taughtIn = (document: string): Omit<Taught, 'machine'> => {
  const kept = JSON.parse(document) as Omit<Taught, 'machine'> | Taught['says'];
  return 'says' in kept ? (kept as Omit<Taught, 'machine'>) : { says: kept };
};

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
    ...taughtIn(document),
  }));
}
