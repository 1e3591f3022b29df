import type { Knex } from 'knex';

/** What runs take on each lathe is now kept set-up by set-up: what was kept before is planned anew when it is asked for. */
export async function up(knex: Knex): Promise<void> {
  await knex('run_list').update({ lathes: null, lathes_basis: '' });
}

export const down = up;
