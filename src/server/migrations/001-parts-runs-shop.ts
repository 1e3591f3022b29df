import type { Knex } from 'knex';
import { resumably } from './resumable';

/**
 * Parts, runs and the shop, each as appended revisions. A document is kept as the text of its JSON: every length and
 * price stands there as it was typed, digit for digit, with its unit, and is converted only when it is read.
 */
export async function up(knex: Knex): Promise<void> {
  await resumably(
    knex,
    knex.schema.createTable('shop_revisions', (table) => {
      table.integer('revision').unsigned().primary();
      table.text('document', 'longtext').notNullable();
      table.datetime('saved_at', { precision: 3 }).notNullable();
    }),
  );
  await resumably(
    knex,
    knex.schema.createTable('parts', (table) => {
      table.increments('id');
      table.string('number', 60).notNullable().unique().collate('utf8mb4_bin');
    }),
  );
  await resumably(
    knex,
    knex.schema.createTable('part_revisions', (table) => {
      table.increments('id');
      table.integer('part_id').unsigned().notNullable().references('parts.id');
      table.integer('revision').unsigned().notNullable();
      table.text('document', 'longtext').notNullable();
      table.datetime('saved_at', { precision: 3 }).notNullable();
      table.unique(['part_id', 'revision']);
    }),
  );
  await resumably(
    knex,
    knex.schema.createTable('runs', (table) => {
      table.increments('id');
      table.datetime('created_at', { precision: 3 }).notNullable();
    }),
  );
  await resumably(
    knex,
    knex.schema.createTable('run_revisions', (table) => {
      table.increments('id');
      table.integer('run_id').unsigned().notNullable().references('runs.id');
      table.integer('revision').unsigned().notNullable();
      table.integer('part_revision_id').unsigned().notNullable().references('part_revisions.id');
      table.text('document', 'longtext').notNullable();
      table.datetime('saved_at', { precision: 3 }).notNullable();
      table.unique(['run_id', 'revision']);
    }),
  );
}

export async function down(knex: Knex): Promise<void> {
  for (const table of ['run_revisions', 'runs', 'part_revisions', 'parts', 'shop_revisions'])
    await knex.schema.dropTable(table);
}
