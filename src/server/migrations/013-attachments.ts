import type { Knex } from 'knex';
import { resumably } from './resumable';

/**
 * Drawings and photos of a part, with the part, so that each of its runs has them and a backup takes them along. The content is
 * kept as text, base64; what is taken away stays, marked.
 */
export async function up(knex: Knex): Promise<void> {
  await resumably(
    knex,
    knex.schema.createTable('attachments', (table) => {
      table.increments('id');
      table.integer('part_id').unsigned().notNullable().references('parts.id');
      table.string('name', 120).notNullable();
      table.string('type', 20).notNullable();
      table.integer('bytes').unsigned().notNullable();
      table.string('added_by', 60).notNullable().defaultTo('');
      table.datetime('added_at', { precision: 3 }).notNullable();
      table.datetime('taken_away_at', { precision: 3 });
      table.text('content', 'mediumtext').notNullable();
      table.index(['part_id', 'id']);
    }),
  );
}

export async function down(knex: Knex): Promise<void> {
  await knex.schema.dropTable('attachments');
}
