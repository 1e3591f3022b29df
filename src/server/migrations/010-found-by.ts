import type { Knex } from 'knex';
import { resumably } from './resumable';

/** What else a run is found by: the family that it belongs to, for whom it is made, by which order of theirs, and its note. */
export async function up(knex: Knex): Promise<void> {
  await resumably(
    knex,
    knex.schema.alterTable('run_list', (table) => {
      table.string('family', 60).notNullable().defaultTo('').index();
      table.string('customer', 80).notNullable().defaultTo('');
      table.string('order_number', 40).notNullable().defaultTo('');
      table.string('note', 500).notNullable().defaultTo('');
    }),
  );
}

export async function down(knex: Knex): Promise<void> {
  await knex.schema.alterTable('run_list', (table) => table.dropColumns('family', 'customer', 'order_number', 'note'));
}
