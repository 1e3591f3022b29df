import type { Knex } from 'knex';

/**
 * What MariaDB says of something that is there already: a table, a column, a key by its name, a foreign key, a
 * trigger; and of something that is gone already.
 */
const DONE_BEFORE = new Set([
  'ER_TABLE_EXISTS_ERROR',
  'ER_DUP_FIELDNAME',
  'ER_DUP_KEYNAME',
  'ER_FK_DUP_NAME',
  'ER_DUP_CONSTRAINT_NAME',
  'ER_TRG_ALREADY_EXISTS',
  'ER_MULTIPLE_PRI_KEY',
]);

/** A foreign key that is there already is told as a table that cannot be made, with this inside. */
const SAME_KEY = /errno: 121/;

const doneBefore = (error: unknown): boolean => {
  const { code = '', message = '' } = error as { code?: string; message?: string };
  return DONE_BEFORE.has(code) || (code === 'ER_CANT_CREATE_TABLE' && SAME_KEY.test(message));
};

/**
 * Changes the schema statement by statement, and passes over what is there already. The server commits every such
 * statement by itself, so that a migration which was cut off in the middle is simply run again.
 */
export async function resumably(knex: Knex, change: Knex.SchemaBuilder): Promise<void> {
  for (const { sql, bindings } of change.toSQL() as unknown as { sql: string; bindings?: Knex.RawBinding[] }[])
    await passOver(knex.raw(sql, bindings ?? []));
}

/** The same for a statement that Knex has no words for. */
export async function passOver(statement: Knex.Raw): Promise<void> {
  try {
    await statement;
  } catch (error) {
    if (!doneBefore(error)) throw error;
  }
}
