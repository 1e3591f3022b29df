/** @jest-environment node */
import { mkdtempSync, readFileSync, rmSync, statSync } from 'node:fs';
import { createServer, get } from 'node:https';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { makeCertificate } from './certificate';

let folder: string;
beforeEach(() => void (folder = mkdtempSync(join(tmpdir(), 'certificate-'))));
afterEach(() => rmSync(folder, { recursive: true }));

const text = (name: string) => readFileSync(join(folder, name), 'utf8');

/** Asks a server with the certificate by a name, trusting the shop's authority alone. */
async function ask(name: string): Promise<string> {
  const server = createServer({ cert: text('server.pem'), key: text('server.key') }, (_, response) =>
    response.end('in'),
  );
  await new Promise<void>((ready) => server.listen(0, '127.0.0.1', ready));
  const { port } = server.address() as AddressInfo;
  try {
    return await new Promise<string>((resolve, reject) => {
      const options = { host: '127.0.0.1', port, servername: name, ca: text('authority.pem'), agent: false as const };
      get(options, (response) => response.on('data', (data) => resolve(String(data)))).on('error', reject);
    });
  } finally {
    server.close();
  }
}

test('a device that trusts the authority trusts the server by its names, and by no other', async () => {
  const made = await makeCertificate(folder, ['shop.lan', '127.0.0.1']);
  expect(made.authorityKept).toBe(false);
  expect(await ask('shop.lan')).toBe('in');
  await expect(ask('other.lan')).rejects.toThrow(/altnames/i);
});

test('a later certificate is of the same authority; keys are for their owner alone', async () => {
  await makeCertificate(folder, ['shop.lan']);
  const authority = text('authority.pem');
  const first = text('server.pem');
  const made = await makeCertificate(folder, ['lathe.lan']);
  expect([made.authorityKept, text('authority.pem')]).toEqual([true, authority]);
  expect(text('server.pem')).not.toBe(first);
  expect(await ask('lathe.lan')).toBe('in');
  for (const name of ['server.key', 'authority.key']) expect(statSync(join(folder, name)).mode & 0o777).toBe(0o600);
});
