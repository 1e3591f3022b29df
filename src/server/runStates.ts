import type { StateChange } from '@/core/formats/runStateFile';
import type { RunState } from '@/core/model/runState';
import { inTransaction } from './database';

/**
 * Says how far some runs have come; what is said before stays on record. Runs that there are not are left out.
 * @returns what each of them was before, so that it can be taken back
 */
export const changeStates = ({ runs, by = '' }: StateChange): Promise<StateChange['runs']> =>
  inTransaction(async (knex) => {
    const rows = await knex('run_list')
      .whereIn(
        'run_id',
        runs.map(({ id }) => id),
      )
      .orderBy('run_id')
      .forUpdate()
      .select<{ run_id: number; state: RunState }[]>('run_id', 'state');
    const at = new Date();
    for (const { run_id } of rows) {
      const state = runs.find(({ id }) => id === run_id)?.state ?? 'open';
      await knex('run_states').insert({ run_id, state, said_by: by, at });
      await knex('run_list').where({ run_id }).update({ state, state_at: at, state_by: by });
    }
    return rows.map(({ run_id, state }) => ({ id: run_id, state }));
  });
