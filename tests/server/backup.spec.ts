import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gunzipSync, gzipSync } from 'node:zlib';
import { expect, test } from '@playwright/test';
import type { Knex } from 'knex';
import { BackupRefusal, checkBackup } from '../../src/server/backup';
import { closeDatabase, openDatabase } from '../../src/server/database';
import { runAgainst, scratchDatabase, shingle } from './scratch';

const TABLES = [
  'shop_revisions',
  'parts',
  'part_revisions',
  'runs',
  'run_revisions',
  'stock_items',
  'stock_reservations',
  'stock_history',
  'stock_levels',
  'device_keys',
  'attachments',
  'lathe_events',
  'learned_runs',
  'days_revisions',
  'begun_with',
];

/** Every row of every table, as text. */
async function contents(knex: Knex): Promise<Record<string, string[]>> {
  const all: Record<string, string[]> = {};
  for (const table of TABLES) all[table] = (await knex(table).select()).map((row) => JSON.stringify(row)).sort();
  return all;
}

let folder: string;
test.beforeAll(() => void (folder = mkdtempSync(join(tmpdir(), 'shingle-backup-'))));
test.afterAll(async () => {
  rmSync(folder, { recursive: true });
  await closeDatabase();
});

test('backed up, wiped, restored: everything is there again, and the history still only grows', async () => {
  const file = join(folder, 'shop.shingle.gz');
  const url = await scratchDatabase('backup');
  expect((await runAgainst(url, 'src/server/prepare.ts')).code).toBe(0);
  let knex = openDatabase(url);
  const [{ id }] = await knex('stock_items').limit(1).select('id');
  const [run] = await knex('runs').limit(1).select('id');
  await knex('stock_reservations').insert({ item_id: id, run_id: run.id, length: '123.456' });
  await knex('device_keys').insert({ name: 'caliper “α”', digest: 'd'.repeat(64), made_at: new Date() });
  const [part] = await knex('parts').limit(1).select('id');
  const picture = { part_id: part.id, name: 'as drawn.png', type: 'image/png', bytes: 3, added_at: new Date() };
  await knex('attachments').insert({ ...picture, content: 'iVBO' });
  await knex('learned_runs').insert({ run_id: run.id, machine: 'lathe-a', document: '{}', at: new Date() });
  await knex('days_revisions').insert({ revision: 1, document: '{}', saved_at: new Date() });
  const before = await contents(knex);
  expect(Object.values(before).every((rows) => rows.length > 0)).toBe(true);

  const written = await shingle(url, 'backup', file);
  expect(written).toMatchObject({ code: 0, out: expect.stringMatching(/21 runs, 21 revisions, 13 bars.*found whole/) });
  // What is there is not overwritten without being told to.
  expect(await shingle(url, 'restore', file)).toMatchObject({
    code: 2,
    err: expect.stringContaining('The database holds 21 runs and 13 bars'),
  });
  expect(await contents(knex)).toEqual(before);
  await knex.destroy();

  const empty = await scratchDatabase('backup');
  expect(await shingle(empty, 'restore', file)).toMatchObject({ code: 0, out: expect.stringContaining('restored') });
  knex = openDatabase(empty);
  expect(await contents(knex)).toEqual(before);
  await expect(knex('stock_history').delete()).rejects.toThrow('the stock history only grows');
  // Work that came after is replaced when told so; it is backed up before.
  await knex('runs').insert({ created_at: new Date() });
  const replaced = await shingle(empty, 'restore', file, '--replace');
  expect(replaced).toMatchObject({ code: 0, out: expect.stringContaining('what was there before is in') });
  expect(await contents(knex)).toEqual(before);
  await knex.destroy();
  rmSync(/is in (.*)$/m.exec(replaced.out)?.[1] ?? '');
});

test('what is not whole, not ours, or newer is refused in a sentence', async () => {
  const file = join(folder, 'shop.shingle.gz');
  const whole = gunzipSync(readFileSync(file)).toString();
  const lines = whole.split('\n');
  const put = (name: string, bytes: Buffer | string) => {
    writeFileSync(join(folder, name), bytes);
    return join(folder, name);
  };
  const cases: [string, string, string][] = [
    ['cut off', put('cut.gz', readFileSync(file).subarray(0, 2000)), 'damaged'],
    ['its end missing', put('end.gz', gzipSync(lines.slice(0, -2).join('\n'))), 'its end is missing'],
    ['a row taken out', put('row.gz', gzipSync(lines.filter((_, at) => at !== 5).join('\n'))), 'not what was written'],
    ['a figure changed', put('figure.gz', gzipSync(whole.replace('"2026', '"2025'))), 'damaged'],
    ['no backup', put('text.gz', gzipSync('{"format":"shingle-run/1"}\n')), 'is not a backup of Shingle'],
    ['no packed file', put('plain.gz', 'hello'), 'is not a backup of Shingle'],
    ['newer', put('newer.gz', gzipSync(whole.replace('"007-', '"907-'))), 'later version'],
    ['not there', join(folder, 'none.gz'), 'is not there'],
  ];
  for (const [name, damaged, words] of cases) {
    const refusal = await checkBackup(damaged).catch((error: unknown) => error);
    expect(refusal, name).toBeInstanceOf(BackupRefusal);
    expect(String(refusal), name).toContain(words);
  }
  // On the command line the same, before anything is looked at in the database.
  const refusal = await shingle('mysql://nobody:x@127.0.0.1:1/none', 'restore', cases[0]?.[1] ?? '', '--replace');
  expect(refusal).toMatchObject({ code: 2, err: expect.stringContaining('damaged') });
  expect(refusal.err).not.toMatch(/\n\s+at /);
});
