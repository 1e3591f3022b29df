import type { Knex } from 'knex';
import { resumably } from './resumable';

/**
 * What lists show of every run, beside the revisions it is made from: its newest revision, what it is found and sorted
 * by, the figures of its plan, what it needs of the rack and what it uses of the shop. `wanted` counts the changes that may move the figures; they are old while `stale`.
 * `basis` is a digest of everything that they were planned from.
 */
export async function up(knex: Knex): Promise<void> {
  await resumably(
    knex,
    knex.schema.createTable('run_list', (table) => {
      table.integer('run_id').unsigned().primary().references('runs.id');
      table.integer('revision').unsigned().notNullable();
      table.datetime('saved_at', { precision: 3 }).notNullable();
      table.integer('part_id').unsigned().notNullable().references('parts.id');
      table.integer('part_revision').unsigned().notNullable();
      table.string('number', 60).notNullable();
      table.string('name', 120).notNullable();
      table.string('letter', 20).notNullable();
      table.string('material', 60).notNullable();
      table.string('quantity', 40).notNullable();
      table.string('units', 2).notNullable();
      table.string('due', 10).notNullable();
      table.string('damaged', 1000);
      table.integer('wanted').unsigned().notNullable().defaultTo(1);
      table.boolean('stale').notNullable().defaultTo(true);
      table.string('basis', 64).notNullable().defaultTo('');
      table.text('figures', 'longtext');
      table.double('batch_minutes');
      table.text('need', 'longtext');
      table.text('uses', 'longtext');
      table.index(['stale', 'run_id']);
      table.index(['part_id', 'part_revision']);
      table.index(['material']);
    }),
  );
}

export async function down(knex: Knex): Promise<void> {
  await knex.schema.dropTable('run_list');
}
