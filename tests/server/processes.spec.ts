import { spawn, type ChildProcess } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test } from '@playwright/test';
import { openDatabase } from '../../src/server/database';
import { kindOfTrouble } from '../../src/server/trouble';

/** Commands that last, as npm start does, and how they end: with a database of their own in a folder of their own. */
let folder: string;
test.beforeEach(() => void (folder = mkdtempSync(join(tmpdir(), 'shingle-lasting-'))));
test.afterEach(() => rmSync(folder, { recursive: true, force: true }));

const text = (...names: string[]) => readFileSync(join(folder, ...names), 'utf8');
const databasePid = () => Number(text('database', 'mariadbd.pid'));

const alive = (pid: number): boolean => {
  try {
    process.kill(pid, 0);
    // One that has ended and was not fetched yet is gone as well.
    return !/^State:\s+Z/m.test(readFileSync(`/proc/${pid}/status`, 'utf8'));
  } catch {
    return false;
  }
};

async function begin(...words: string[]): Promise<ChildProcess> {
  const child = spawn(process.execPath, [join(import.meta.dirname, 'lasting.mjs'), folder, ...words], {
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  await expect.poll(() => existsSync(join(folder, 'url'))).toBe(true);
  return child;
}

const ended = (child: ChildProcess) => child.exitCode !== null || child.signalCode !== null;

/** Nothing is left: no process, no claim on the folder. */
async function expectNothingLeft(child: ChildProcess, pid: number): Promise<void> {
  await expect.poll(() => ended(child)).toBe(true);
  expect(alive(pid)).toBe(false);
  for (const name of ['owner.pid', 'address']) expect(existsSync(join(folder, 'database', name)), name).toBe(false);
}

test('whoever reads its words goes, as with head: everything ends', async () => {
  const child = await begin('talks');
  const pid = databasePid();
  child.stdout?.destroy();
  child.stderr?.destroy();
  await expectNothingLeft(child, pid);
});

test('a closed terminal: everything ends', async () => {
  const child = await begin();
  const pid = databasePid();
  child.kill('SIGHUP');
  await expectNothingLeft(child, pid);
  expect(child.exitCode).toBe(143);
});

test('the database is killed: it is there again at the same address, with what was kept', async () => {
  const child = await begin();
  const first = databasePid();
  const knex = openDatabase(text('url'));
  await knex.raw('create table shingle.kept (a int)');
  await knex('kept').insert({ a: 7 });
  process.kill(first, 'SIGKILL');
  await expect
    .poll(() =>
      knex('kept')
        .select()
        .catch(() => []),
    )
    .toEqual([{ a: 7 }]);
  expect(databasePid()).not.toBe(first);
  await knex.destroy();
  child.kill('SIGTERM');
  await expectNothingLeft(child, databasePid());
});

test('the database is frozen: a query is given up after ten seconds, and the server is begun again', async () => {
  const child = await begin();
  const first = databasePid();
  const knex = openDatabase(text('url'));
  await knex.raw('select 1');
  process.kill(first, 'SIGSTOP');
  // The signal takes its way to every thread; what comes before it has is still answered.
  await expect.poll(() => /^State:\s+T/m.test(readFileSync(`/proc/${first}/status`, 'utf8'))).toBe(true);
  const error = await knex.raw('select 1').catch((caught: unknown) => caught);
  expect(kindOfTrouble(error)).toBe('gone');
  await expect
    .poll(() =>
      knex.raw('select 1').then(
        () => 'there',
        () => 'gone',
      ),
    )
    .toBe('there');
  expect(alive(first)).toBe(false);
  await knex.destroy();
  child.kill('SIGTERM');
  await expectNothingLeft(child, databasePid());
});

test('two databases of ours on one machine leave each other’s temporary tables alone', async () => {
  const child = await begin();
  const knex = openDatabase(process.env.DATABASE_URL ?? '', { most: 1 });
  await knex.raw('create temporary table passing (a int)');
  await knex('passing').insert({ a: 1 });
  // The other one starts anew, which clears its own folder.
  const own = openDatabase(text('url'));
  process.kill(databasePid(), 'SIGKILL');
  await expect
    .poll(() =>
      own.raw('select 1').then(
        () => 'there',
        () => 'gone',
      ),
    )
    .toBe('there');
  expect(await knex('passing').select()).toEqual([{ a: 1 }]);
  const [[{ tmpdir: ours }]] = await knex.raw('select @@tmpdir as tmpdir');
  const [[{ tmpdir: theirs }]] = await own.raw('select @@tmpdir as tmpdir');
  expect(ours).not.toBe(theirs);
  await Promise.all([knex.destroy(), own.destroy()]);
  child.kill('SIGTERM');
  await expectNothingLeft(child, databasePid());
});
