import type { Knex } from 'knex';
import { onlyGrows } from './onlyGrows';
import { resumably } from './resumable';

/**
 * The rack: bars and offcuts, what of them is reserved, and the history of all of it. An item is one bar or one offcut;
 * its lengths are millimetres. The history only grows.
 */
export async function up(knex: Knex): Promise<void> {
  await resumably(
    knex,
    knex.schema.createTable('stock_items', (table) => {
      table.increments('id');
      table.string('material', 60).notNullable();
      table.string('form', 10).notNullable();
      table.decimal('size', 10, 4).notNullable();
      table.decimal('bore', 10, 4).notNullable().defaultTo(0);
      table.string('condition', 20).notNullable();
      table.decimal('length', 10, 3).notNullable();
      table.boolean('offcut').notNullable().defaultTo(false);
      table.string('batch', 120).notNullable().defaultTo('');
      table.string('place', 60).notNullable().defaultTo('');
      table.decimal('price', 10, 2);
      table.integer('cut_from').unsigned().references('stock_items.id');
      table.datetime('gone_at', { precision: 3 });
    }),
  );
  await resumably(
    knex,
    knex.schema.createTable('stock_reservations', (table) => {
      table.integer('item_id').unsigned().notNullable().references('stock_items.id');
      table.integer('run_id').unsigned().notNullable().references('runs.id');
      table.decimal('length', 10, 3).notNullable();
      table.primary(['item_id', 'run_id']);
    }),
  );
  await resumably(
    knex,
    knex.schema.createTable('stock_history', (table) => {
      table.increments('id');
      table.integer('item_id').unsigned().notNullable().references('stock_items.id');
      table.integer('run_id').unsigned().references('runs.id');
      table.string('what', 20).notNullable();
      table.decimal('length', 10, 3).notNullable();
      table.string('note', 200).notNullable().defaultTo('');
      table.datetime('at', { precision: 3 }).notNullable();
    }),
  );
  await onlyGrows(knex, 'stock_history');
}

export async function down(knex: Knex): Promise<void> {
  for (const table of ['stock_history', 'stock_reservations', 'stock_items']) await knex.schema.dropTable(table);
}
