import type { Knex } from 'knex';
import { resumably } from './resumable';

/**
 * A revision of a part says which units its figures are in: until now only the run beside it did. What is kept already
 * takes them from the first run that was saved with it.
 */
export async function up(knex: Knex): Promise<void> {
  await resumably(
    knex,
    knex.schema.alterTable('part_revisions', (table) => table.string('units', 2).notNullable().defaultTo('mm')),
  );
  await knex.raw(
    `update part_revisions p set p.units = coalesce((
       select json_value(r.document, '$.units') from run_revisions r where r.part_revision_id = p.id order by r.id limit 1
     ), 'mm')`,
  );
}

export async function down(knex: Knex): Promise<void> {
  await knex.schema.alterTable('part_revisions', (table) => table.dropColumn('units'));
}
