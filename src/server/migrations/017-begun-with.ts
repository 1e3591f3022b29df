import type { Knex } from 'knex';
import { resumably } from './resumable';

/** What each begun run is planned with: the shop and the bars on hand as they were when the first thing happened at the lathe. */
export async function up(knex: Knex): Promise<void> {
  await resumably(
    knex,
    knex.schema.createTable('begun_with', (table) => {
      table.integer('run_id').unsigned().primary().references('runs.id');
      table.integer('shop_revision').unsigned().notNullable().references('shop_revisions.revision');
      table.text('rack', 'longtext').notNullable();
      table.datetime('at', { precision: 3 }).notNullable();
    }),
  );
}

export async function down(knex: Knex): Promise<void> {
  await knex.schema.dropTable('begun_with');
}
