import { createHash, X509Certificate } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { expect, expectAccessible, living, send, test } from './page';

const PASSCODE = 'chalk and oil can';

/** A browser that finds a name in the shop's network and trusts the shop's own authority, and nothing else that is wrong. */
async function tabletOf(network: URL, launch: { executablePath?: string; args?: string[] }) {
  const pem = readFileSync(join(process.env.TEST_FOLDER ?? '', 'certificate/authority.pem'));
  const key = new X509Certificate(pem).publicKey.export({ type: 'spki', format: 'der' });
  const trusted = createHash('sha256').update(key).digest('base64');
  return chromium
    .launch({
      ...launch,
      args: [
        ...(launch.args ?? []),
        `--host-resolver-rules=MAP shingle.test 127.0.0.1`,
        `--ignore-certificate-errors-spki-list=${trusted}`,
      ],
    })
    .then(async (browser) => ({
      browser,
      context: await browser.newContext({ baseURL: `https://shingle.test:${network.port}` }),
    }));
}

test('a tablet by name over TLS: signed in, the lathe’s page goes on without a net and opens without one', async ({
  page,
  launchOptions,
}) => {
  expect((await send(page, 'put', '/api/passcode', { passcode: PASSCODE })).status()).toBe(200);
  const part = { number: 'WS-710', name: 'Spigot by name', material: 'brass-cw614n' };
  const outside = [
    { shape: 'cylinder', diameter: '10 h9', length: 16 },
    { shape: 'cylinder', diameter: 16, length: 8 },
  ];
  const file = { format: 'shingle-run/1', units: 'mm', quantity: 3, way: 'from-bar', part: { ...part, outside } };
  const { run } = (await (await send(page, 'post', '/api/runs', { file })).json()) as { run: { id: number } };

  const { browser, context } = await tabletOf(new URL(process.env.NETWORK_URL ?? ''), launchOptions);
  const tablet = living(await context.newPage());
  await tablet.goto(`/runs/${run.id}/lathe`);
  await tablet.getByLabel('Name of this device').fill('lathe 1');
  await tablet.getByLabel('Passcode').fill(PASSCODE);
  await tablet.getByRole('button', { name: 'Sign in' }).click();
  await tablet.getByRole('button', { name: 'Begin with piece 1' }).click();
  expect(await tablet.evaluate(() => [window.isSecureContext, location.hostname])).toEqual([true, 'shingle.test']);
  await expect(tablet.getByText('all is kept; opens without a net')).toBeVisible();

  await context.setOffline(true);
  await tablet.goto(`/runs/${run.id}/lathe`);
  const heading = tablet.getByRole('heading', { level: 2 }).first();
  const before = await heading.textContent();
  await tablet.getByRole('button', { name: /^(Done, next|Forward)/ }).click();
  await expect(heading).not.toHaveText(before ?? '');
  await expect(tablet.getByText(/No net: it goes on, 1 kept/)).toBeVisible();
  await context.setOffline(false);
  await expect(tablet.getByText(/^all is kept/)).toBeVisible();
  const { events } = (await (await page.request.get(`/api/runs/${run.id}/events`)).json()) as {
    events: { kind: string; device: string }[];
  };
  expect(events.map(({ kind }) => kind)).toEqual(['begun', 'done']);

  // The same name without TLS is no secure page: what it cannot do is said, and what happens is kept all the same.
  const plain = living(await context.newPage());
  const { port } = new URL(process.env.BASE_URL ?? '');
  await plain.goto(`http://shingle.test:${port}/runs/${run.id}/lathe`);
  await expect(plain.getByText(/^This address is not secure/)).toBeVisible();
  await plain.getByRole('button', { name: /^(Done, next|Forward)/ }).click();
  await expect(plain.getByText(/^all is kept$/)).toBeVisible();
  await expect(heading).not.toHaveText(before ?? '');
  await expectAccessible(plain);
  await browser.close();
});
