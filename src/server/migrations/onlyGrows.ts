import type { Knex } from 'knex';
import { passOver } from './resumable';

/** Tables to which is only ever added, and what is said of it. */
const GROWING = {
  stock_history: 'the stock history only grows',
  lathe_events: 'what happened at the lathe only grows',
};
export type Growing = keyof typeof GROWING;

const CHANGES = ['update', 'delete'] as const;

/** Has the server refuse every change of a table that only grows; nothing to do where it does already. */
export async function onlyGrows(knex: Knex, table: Growing): Promise<void> {
  for (const change of CHANGES)
    await passOver(
      knex.raw(
        `create trigger ${table}_no_${change} before ${change} on ${table} for each row
         signal sqlstate '45000' set message_text = '${GROWING[table]}'`,
      ),
    );
}

/** The same for all of them: a restore that was cut off may have left some open. */
export async function keepGrowing(knex: Knex): Promise<void> {
  for (const table of Object.keys(GROWING) as Growing[]) await onlyGrows(knex, table);
}

/** Lets such tables be replaced as a whole while something is done, for a restore. */
export async function replacing<T>(knex: Knex, work: () => Promise<T>): Promise<T> {
  for (const table of Object.keys(GROWING))
    for (const change of CHANGES) await knex.raw(`drop trigger if exists ${table}_no_${change}`);
  try {
    return await work();
  } finally {
    await keepGrowing(knex);
  }
}
