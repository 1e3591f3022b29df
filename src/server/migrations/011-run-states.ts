import type { Knex } from 'knex';
import { resumably } from './resumable';

/** How far each run has come: every change is kept with its time and its device, the last one stands in the list. */
export async function up(knex: Knex): Promise<void> {
  await resumably(
    knex,
    knex.schema.createTable('run_states', (table) => {
      table.increments('id');
      table.integer('run_id').unsigned().notNullable().references('runs.id');
      table.string('state', 10).notNullable();
      table.string('said_by', 60).notNullable().defaultTo('');
      table.datetime('at', { precision: 3 }).notNullable();
      table.index(['run_id', 'id']);
    }),
  );
  await resumably(
    knex,
    knex.schema.alterTable('run_list', (table) => {
      table.string('state', 10).notNullable().defaultTo('open').index();
      table.datetime('state_at', { precision: 3 });
      table.string('state_by', 60).notNullable().defaultTo('');
      table.string('machine', 60).notNullable().defaultTo('').index();
    }),
  );
}

export async function down(knex: Knex): Promise<void> {
  await knex.schema.alterTable('run_list', (table) => table.dropColumns('state', 'state_at', 'state_by', 'machine'));
  await knex.schema.dropTable('run_states');
}
