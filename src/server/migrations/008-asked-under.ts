import type { Knex } from 'knex';
import { resumably } from './resumable';

/** What a new run was asked for as, so that one which is asked for twice is made once. */
export async function up(knex: Knex): Promise<void> {
  await resumably(
    knex,
    knex.schema.alterTable('runs', (table) => table.string('under', 40).unique()),
  );
}

export async function down(knex: Knex): Promise<void> {
  await knex.schema.alterTable('runs', (table) => table.dropColumn('under'));
}
