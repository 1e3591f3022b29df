import type { Knex } from 'knex';
import { resumably } from './resumable';

/** How much of a section the shop wants to keep on the rack, mm. */
export async function up(knex: Knex): Promise<void> {
  await resumably(
    knex,
    knex.schema.createTable('stock_levels', (table) => {
      table.string('material', 60).notNullable();
      table.string('form', 10).notNullable();
      table.decimal('size', 10, 4).notNullable();
      table.decimal('bore', 10, 4).notNullable();
      table.string('condition', 20).notNullable();
      table.decimal('least', 12, 3).notNullable();
      table.primary(['material', 'form', 'size', 'bore', 'condition']);
    }),
  );
}

export async function down(knex: Knex): Promise<void> {
  await knex.schema.dropTable('stock_levels');
}
