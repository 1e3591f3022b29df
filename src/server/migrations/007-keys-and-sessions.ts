import type { Knex } from 'knex';
import { resumably } from './resumable';

/**
 * Who may come in without a page of ours, or from the network: keys for devices and scripts, the passcode of the shop,
 * and the sessions that it opened. Of secrets only what proves them is kept.
 */
export async function up(knex: Knex): Promise<void> {
  await resumably(
    knex,
    knex.schema.createTable('device_keys', (table) => {
      table.increments('id');
      table.string('name', 60).notNullable();
      table.string('digest', 64).notNullable().unique();
      table.datetime('made_at', { precision: 3 }).notNullable();
      table.datetime('used_at', { precision: 3 });
      table.datetime('taken_back_at', { precision: 3 });
    }),
  );
  await resumably(
    knex,
    knex.schema.createTable('passcodes', (table) => {
      table.increments('id');
      table.string('hash', 200).notNullable();
      table.datetime('set_at', { precision: 3 }).notNullable();
    }),
  );
  await resumably(
    knex,
    knex.schema.createTable('sessions', (table) => {
      table.string('digest', 64).primary();
      table.string('device', 60).notNullable();
      table.datetime('opened_at', { precision: 3 }).notNullable();
      table.datetime('ends_at', { precision: 3 }).notNullable();
    }),
  );
}

export async function down(knex: Knex): Promise<void> {
  for (const table of ['sessions', 'passcodes', 'device_keys']) await knex.schema.dropTable(table);
}
