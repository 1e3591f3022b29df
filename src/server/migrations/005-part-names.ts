import type { Knex } from 'knex';
import { sameNumber } from '@/core/model/part/partNumber';
import { resumably } from './resumable';

/**
 * A part is found by what its number is apart from spaces and the ways of writing a letter. Where two are kept already
 * whose numbers are one, both stay: the first of them is found by the number in any other way of writing it.
 */
export async function up(knex: Knex): Promise<void> {
  await resumably(
    knex,
    knex.schema.alterTable('parts', (table) => table.string('same_as', 190).unique().collate('utf8mb4_bin')),
  );
  const rows = await knex('parts').orderBy('id').select<{ id: number; number: string }[]>('id', 'number');
  const known = new Set<string>();
  for (const { id, number } of rows) {
    const same = sameNumber(number);
    if (!known.has(same)) await knex('parts').where({ id }).update({ same_as: same });
    known.add(same);
  }
}

export async function down(knex: Knex): Promise<void> {
  await knex.schema.alterTable('parts', (table) => table.dropColumn('same_as'));
}
