import type { Knex } from 'knex';
import { resumably } from './resumable';

/**
 * When the shop works and in which order it makes its runs: every revision stays. And beside each run what it takes on every lathe,
 * planned when a schedule wants it; `lathes_basis` is a digest of what that was planned from.
 */
export async function up(knex: Knex): Promise<void> {
  await resumably(
    knex,
    knex.schema.createTable('days_revisions', (table) => {
      table.integer('revision').unsigned().primary();
      table.text('document', 'longtext').notNullable();
      table.string('said_by', 60).notNullable().defaultTo('');
      table.datetime('saved_at', { precision: 3 }).notNullable();
    }),
  );
  await resumably(
    knex,
    knex.schema.alterTable('run_list', (table) => {
      table.text('lathes', 'longtext');
      table.string('lathes_basis', 64).notNullable().defaultTo('');
      table.boolean('lathes_wanted').notNullable().defaultTo(false).index();
    }),
  );
}

export async function down(knex: Knex): Promise<void> {
  await knex.schema.alterTable('run_list', (table) => table.dropColumns('lathes', 'lathes_basis', 'lathes_wanted'));
  await knex.schema.dropTable('days_revisions');
}
