import { existsSync, mkdirSync, mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test } from '@playwright/test';
import { mayListen, networkSettings } from '../../scripts/lib/network.mjs';
import { closeDatabase } from '../../src/server/database';
import { runAgainst, scratchDatabase } from './scratch';

let folder: string;
test.beforeAll(() => void (folder = mkdtempSync(join(tmpdir(), 'shingle-network-'))));
test.afterAll(async () => {
  rmSync(folder, { recursive: true });
  await closeDatabase();
});

/** What npm start finds in its environment. */
const asked = (env: Record<string, string>) => {
  const before = { ...process.env };
  Object.assign(process.env, env);
  try {
    return networkSettings();
  } finally {
    for (const name of Object.keys(env)) {
      if (before[name] === undefined) delete process.env[name];
      else process.env[name] = before[name];
    }
  }
};

test('without being asked it stays on this machine', () => {
  expect(asked({})).toBeUndefined();
});

test('beyond it: TLS only, with files that are there', () => {
  const files = { SHINGLE_CERTIFICATE: join(folder, 'a.pem'), SHINGLE_CERTIFICATE_KEY: join(folder, 'a.key') };
  const wanted = { SHINGLE_LISTEN: '192.0.2.7', SHINGLE_HOSTS: 'shop.lan', ...files };
  expect(() => asked(wanted)).toThrow(/speaks TLS only.*a\.pem is not there/);
  for (const file of Object.values(files)) writeFileSync(file, '');
  expect(asked(wanted)).toMatchObject({
    address: 'https://192.0.2.7:4611',
    env: { SHINGLE_HOSTS: 'shop.lan,192.0.2.7', SHINGLE_TLS_PORT: '4611' },
  });
  expect(() => asked({ ...wanted, SHINGLE_TLS_PORT: '99999' })).toThrow(/must be a number from 1 to 65535/);
});

test('beyond it only with a passcode', async () => {
  const url = await scratchDatabase('passcode');
  expect((await runAgainst(url, 'src/server/prepare.ts')).code).toBe(0);
  const network = { address: 'https://192.0.2.7:4611' };
  await expect(mayListen(url, network)).rejects.toThrow(/192\.0\.2\.7:4611 is beyond this machine.*no passcode/);
  const { openDatabase } = await import('../../src/server/database');
  const knex = openDatabase(url);
  await knex('passcodes').insert({ hash: 'scrypt$x', set_at: new Date() });
  await knex.destroy();
  await mayListen(url, network);
});

test('a backup of each day, once; of the days the last fourteen are kept', async () => {
  const url = await scratchDatabase('daily');
  expect((await runAgainst(url, 'src/server/prepare.ts')).code).toBe(0);
  const backups = join(folder, 'backups');
  mkdirSync(backups);
  for (let day = 1; day <= 16; day += 1)
    writeFileSync(join(backups, `2020-01-${String(day).padStart(2, '0')}.shingle.gz`), '');
  writeFileSync(join(backups, 'before-restore-1.shingle.gz'), '');
  const { code, out } = await runAgainst(url, 'src/server/dailyBackup.ts', backups);
  expect(code).toBe(0);
  expect(existsSync(out)).toBe(true);
  const kept = readdirSync(backups).sort();
  // Fourteen days, today among them, and what was kept before a restore.
  expect(kept).toHaveLength(15);
  expect([kept[0], kept.includes('before-restore-1.shingle.gz')]).toEqual(['2020-01-04.shingle.gz', true]);
  // Not written twice a day.
  expect(await runAgainst(url, 'src/server/dailyBackup.ts', backups)).toMatchObject({ code: 0, out: '' });
});
