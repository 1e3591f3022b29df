import type { Knex } from 'knex';
import { resumably } from './resumable';

/** What runs taught of minutes: what each says by itself, group by group. Of a run the newest counts; what it said before stays. */
export async function up(knex: Knex): Promise<void> {
  await resumably(
    knex,
    knex.schema.createTable('learned_runs', (table) => {
      table.increments('id');
      table.integer('run_id').unsigned().notNullable().references('runs.id');
      table.string('machine', 60).notNullable();
      table.text('document').notNullable();
      table.string('said_by', 60).notNullable().defaultTo('');
      table.datetime('at', { precision: 3 }).notNullable();
      table.index(['run_id', 'id']);
    }),
  );
}

export async function down(knex: Knex): Promise<void> {
  await knex.schema.dropTable('learned_runs');
}
