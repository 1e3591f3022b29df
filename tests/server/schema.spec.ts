import { expect, test } from '@playwright/test';
import createKnex, { type Knex } from 'knex';
import { closeDatabase, openDatabase } from '../../src/server/database';
import { migrationSource } from '../../src/server/migrations';
import { bringUpToDate } from '../../src/server/schema';
import { scratchDatabase } from './scratch';

test.afterAll(closeDatabase);

/** Tables, columns, keys and triggers as the server has them. */
async function schemaOf(url: string): Promise<unknown> {
  const knex = openDatabase(url);
  const asked = (sql: string) => knex.raw(sql).then(([rows]) => rows as unknown);
  const schema = [
    await asked(`select table_name, column_name, column_type, is_nullable, collation_name from information_schema.columns
      where table_schema = database() order by 1, 2`),
    await asked(`select table_name, index_name, seq_in_index, column_name, non_unique from information_schema.statistics
      where table_schema = database() order by 1, 2, 3`),
    await asked(`select table_name, constraint_name, referenced_table_name from information_schema.referential_constraints
      where constraint_schema = database() order by 1, 2`),
    await asked(`select trigger_name from information_schema.triggers where trigger_schema = database() order by 1`),
    await asked('select name from knex_migrations order by name'),
  ];
  await knex.destroy();
  return schema;
}

/** Every one in the long run, some of them in the short one. */
const EVERY = process.env.SHINGLE_TORTURE ? 1 : 4;

/** Statements that change the schema or the record of what was changed. */
const CHANGES = /^(create|alter|insert into `knex_migrations`|update|drop)/i;

/** The driver, in which transactions have a client of their own: what is changed is its class. */
const Driver = openDatabase('mysql://x', { patient: false }).client.constructor as new (...config: unknown[]) => {
  _query(connection: { destroy(): void }, asked: { sql: string }): Promise<unknown>;
};

/** Migrates, and breaks the line to the server before the change of that number, as a kill would. */
async function killedBefore(url: string, number: number): Promise<boolean> {
  let changes = 0;
  class Killed extends Driver {
    override _query(connection: { destroy(): void }, asked: { sql: string }): Promise<unknown> {
      if (changes >= number || (CHANGES.test(asked.sql) && (changes += 1) >= number)) {
        connection.destroy();
        return Promise.reject(new Error('killed'));
      }
      return super._query(connection, asked);
    }
  }
  const log = { warn: () => undefined, error: () => undefined };
  const knex = createKnex({ client: Killed as unknown as typeof Knex.Client, connection: url, log });
  await knex.migrate.latest({ migrationSource }).catch(() => undefined);
  await knex.destroy();
  return changes >= number;
}

test('killed before any of its statements, a migration is simply gone on with at the next start', async () => {
  const wanted = await scratchDatabase('whole');
  await bringUpToDate(openDatabase(wanted, { patient: false }));
  const whole = await schemaOf(wanted);
  let number = 1;
  for (; ; number += EVERY) {
    const url = await scratchDatabase('killed');
    const killed = await killedBefore(url, number);
    await bringUpToDate(openDatabase(url, { patient: false }));
    expect(await schemaOf(url), `killed before change ${number}`).toEqual(whole);
    if (!killed) break;
  }
  expect(number).toBeGreaterThan(30);
});

test('two starts at once: one changes the schema, the other waits for it', async () => {
  const url = await scratchDatabase('two');
  const applied = await Promise.all([0, 1].map(() => bringUpToDate(openDatabase(url, { patient: false }))));
  expect(applied.sort()).toEqual([0, (await migrationSource.getMigrations([])).length]);
});

test('a database of a later version is left alone, in a sentence', async () => {
  const url = await scratchDatabase('later');
  await bringUpToDate(openDatabase(url, { patient: false }));
  const knex = openDatabase(url);
  await knex('knex_migrations').insert({ name: '999-later', batch: 9, migration_time: new Date() });
  await knex.destroy();
  await expect(bringUpToDate(openDatabase(url, { patient: false }))).rejects.toThrow('made by a later version');
});
