import type { Knex } from 'knex';
import { onlyGrows } from './onlyGrows';
import { resumably } from './resumable';

/** What happened at the lathe: appended, never changed; each once by its own name, in the order in which they came. */
export async function up(knex: Knex): Promise<void> {
  await resumably(
    knex,
    knex.schema.createTable('lathe_events', (table) => {
      table.increments('id');
      table.string('name', 36).notNullable().unique();
      table.integer('run_id').unsigned().notNullable().references('runs.id');
      table.string('device', 60).notNullable();
      table.integer('seq').unsigned().notNullable();
      // By the clock of the device; when it came stands beside it.
      table.datetime('at', { precision: 3 }).notNullable();
      table.datetime('came_at', { precision: 3 }).notNullable();
      table.string('kind', 12).notNullable();
      table.text('document').notNullable();
      table.index(['run_id', 'id']);
      table.index(['at']);
    }),
  );
  await onlyGrows(knex, 'lathe_events');
}

export async function down(knex: Knex): Promise<void> {
  await knex.schema.dropTable('lathe_events');
}
