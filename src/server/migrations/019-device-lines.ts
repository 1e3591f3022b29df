import type { Knex } from 'knex';
import { resumably } from './resumable';

/**
 * What devices show, on its way from the process that got it to those that have a page which listens; and how many pages each
 * process has. Neither lasts: they are no part of a backup.
 */
export async function up(knex: Knex): Promise<void> {
  await resumably(
    knex,
    knex.schema.createTable('device_lines', (table) => {
      table.increments('id');
      table.string('process', 36).notNullable();
      table.datetime('at', { precision: 3 }).notNullable().defaultTo(knex.fn.now(3)).index();
      table.text('document').notNullable();
    }),
  );
  await resumably(
    knex,
    knex.schema.createTable('device_pages', (table) => {
      table.string('process', 36).primary();
      table.integer('pages').unsigned().notNullable();
      table.datetime('at', { precision: 3 }).notNullable();
    }),
  );
}

export async function down(knex: Knex): Promise<void> {
  for (const table of ['device_pages', 'device_lines']) await knex.schema.dropTable(table);
}
