import type { Knex } from 'knex';
import { resumably } from './resumable';

/** Which revision of which run another one was begun with. */
export async function up(knex: Knex): Promise<void> {
  await resumably(
    knex,
    knex.schema.alterTable('runs', (table) => {
      table.integer('copied_from').unsigned();
      table.integer('copied_revision').unsigned();
    }),
  );
}

export async function down(knex: Knex): Promise<void> {
  await knex.schema.alterTable('runs', (table) => table.dropColumns('copied_from', 'copied_revision'));
}
