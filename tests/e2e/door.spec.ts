import { readFileSync } from 'node:fs';
import { get } from 'node:https';
import { join } from 'node:path';
import { request as newRequest } from '@playwright/test';
import { expect, expectAccessible, send, test } from './page';

const receipt = { material: 'copper', size: 9, length: 500 };

test('other people’s pages neither write nor read', async ({ page, baseURL }) => {
  const post = (headers: Record<string, string>) =>
    page.request.post('/api/rack', { headers, data: JSON.stringify(receipt) });
  const json = { 'content-type': 'application/json' };
  const answers: [string, Record<string, string>, number][] = [
    ['a form of theirs, as text', { 'content-type': 'text/plain', origin: 'http://other.example' }, 415],
    ['JSON from their page', { ...json, origin: 'http://other.example' }, 403],
    ['a page that hides its origin', { ...json, origin: 'null' }, 403],
    ['another site, says the browser', { ...json, 'sec-fetch-site': 'cross-site' }, 403],
    ['a script without a key', json, 401],
    ['our own page', { ...json, origin: baseURL ?? '' }, 201],
  ];
  for (const [who, headers, status] of answers) expect((await post(headers)).status(), who).toBe(status);
  for (const path of ['/', '/api/rack', '/api/runs/1', '/api/shop']) {
    const foreign = await page.request.get(path, { headers: { host: 'other.example' } });
    expect(foreign.status(), path).toBe(421);
    expect(await foreign.text()).not.toContain('materials');
  }
});

test('every way of writing is behind the door', async ({ page }) => {
  const ways: ['post' | 'put' | 'delete', string][] = [
    ['post', '/api/runs'],
    ['put', '/api/runs/1'],
    ['post', '/api/import'],
    ['post', '/api/rack'],
    ['post', '/api/rack/1'],
    ['post', '/api/rack/levels'],
    ['put', '/api/shop'],
    ['put', '/api/days'],
    ['post', '/api/runs/from-list'],
    ['post', '/api/shop/preview'],
    ['post', '/api/keys'],
    ['delete', '/api/keys/1'],
    ['delete', '/api/sessions'],
    ['put', '/api/passcode'],
    ['post', '/api/sign-in'],
  ];
  for (const [method, path] of ways) {
    const foreign = await page.request[method](path, {
      headers: { origin: 'http://other.example', 'content-type': 'application/json' },
      data: '{}',
    });
    expect([method, path, foreign.status()]).toEqual([method, path, 403]);
  }
});

test('a page of ours runs its own scripts alone, and stands in nobody’s frame', async ({ page, browser, baseURL }) => {
  const answer = await page.goto('/');
  const headers = answer?.headers() ?? {};
  expect(headers).toMatchObject({
    'x-content-type-options': 'nosniff',
    'referrer-policy': 'no-referrer',
    'x-frame-options': 'DENY',
  });
  const policy = headers['content-security-policy'] ?? '';
  expect(policy).toContain("frame-ancestors 'none'");
  expect(policy).toMatch(/script-src 'self' 'nonce-[^']{20,}' 'wasm-unsafe-eval'/);
  expect(/script-src[^;]*unsafe-inline|style-src [^;]*unsafe-inline/.test(policy)).toBe(false);
  // A worker goes by what comes with its script.
  const worker = page.waitForResponse(
    async (response) => (await response.request().headerValue('sec-fetch-dest')) === 'worker',
  );
  await page.goto('/runs/1');
  expect((await worker).headers()['content-security-policy']).toContain("script-src 'self' 'wasm-unsafe-eval'");
  const again = (await page.request.get('/')).headers()['content-security-policy'];
  expect(again).not.toBe(policy);
  // A script that got into the page all the same does not run, and what it would send goes nowhere.
  const attacked = await (await browser.newContext({ baseURL: baseURL ?? '' })).newPage();
  await attacked.goto('/');
  const ran = await attacked.evaluate(async () => {
    const script = document.createElement('script');
    script.textContent = 'window.intruder = true';
    document.body.append(script);
    const sent = await fetch('http://other.example/').then(
      () => 'sent',
      () => 'kept',
    );
    return [(window as { intruder?: boolean }).intruder ?? false, sent];
  });
  expect(ran).toEqual([false, 'kept']);
  await attacked.context().close();
});

test('a key lets a script in until it is taken back', async ({ page }) => {
  await page.goto('/devices');
  await expectAccessible(page);
  await page.getByLabel('For what').fill('bench caliper');
  await page.getByRole('button', { name: 'Make a key' }).click();
  const key = await page.locator('code').innerText();
  const script = () =>
    page.request.post('/api/rack', {
      headers: { authorization: `Bearer ${key}`, 'content-type': 'application/json' },
      data: JSON.stringify(receipt),
    });
  expect((await script()).status()).toBe(201);
  // A calendar program says no more than an address: there, and nowhere else, the key may stand in it.
  const network = process.env.NETWORK_URL ?? '';
  const ca = readFileSync(join(process.env.TEST_FOLDER ?? '', 'certificate/authority.pem'));
  const asked = (path: string) =>
    new Promise<number | undefined>((resolve, reject) => {
      get(`${network}${path}`, { ca }, (answer) => resolve(answer.resume().statusCode)).on('error', reject);
    });
  expect(await asked('/api/days/calendar')).toBe(401);
  expect(await asked('/api/days/calendar?key=shingle_none')).toBe(401);
  expect([200, 409]).toContain(await asked(`/api/days/calendar?key=${key}`));
  expect(await asked(`/api/rack?key=${key}`)).toBe(401);
  await page.getByRole('button', { name: 'I have it' }).click();
  await page.reload();
  await expect(page.getByRole('list', { name: 'Keys' })).toContainText(/bench caliper.*used last/);
  await expect(page.getByText(key)).toHaveCount(0);
  await page.getByRole('button', { name: 'Take back the key of bench caliper' }).click();
  await expect(page.getByText('opens nothing any more')).toBeVisible();
  expect((await script()).status()).toBe(401);
});

test('over the network: a passcode, a name that signs, and out again', async ({ page, browser }) => {
  await page.goto('/devices');
  const set = page.getByRole('button', { name: 'Set', exact: true });
  await page.getByLabel('Passcode').fill('short');
  await set.click();
  await expect(page.getByText('is too short: 8 signs or more')).toBeVisible();
  await page.getByLabel('Passcode').fill('oil can and chalk');
  await set.click();
  await expect(page.getByText('The passcode is set')).toBeVisible();

  const network = process.env.NETWORK_URL ?? '';
  const context = await browser.newContext({ baseURL: network, ignoreHTTPSErrors: true });
  const tablet = await context.newPage();
  for (const path of ['/api/rack', '/api/runs/progress', '/api/shop'])
    expect((await tablet.request.get(path)).status(), path).toBe(401);
  await tablet.goto('/rack');
  await expect(tablet.getByRole('heading', { name: 'Sign in' })).toBeVisible();
  await expectAccessible(tablet);
  await tablet.getByLabel('Name of this device').fill('lathe 1');
  await tablet.getByLabel('Passcode').fill('oil can and cheese');
  await tablet.getByRole('button', { name: 'Sign in' }).click();
  await expect(tablet.getByText('is not the passcode of this shop')).toBeVisible();
  await tablet.getByLabel('Passcode').fill('oil can and chalk');
  await tablet.getByRole('button', { name: 'Sign in' }).click();
  await expect(tablet.getByRole('heading', { name: 'Rack' })).toBeVisible();
  const [cookie] = await context.cookies();
  expect(cookie).toMatchObject({ name: 'shingle-session', httpOnly: true, secure: true, sameSite: 'Strict' });
  await page.reload();
  await expect(page.getByRole('list', { name: 'Signed in' })).toContainText('lathe 1');

  // What is decided there against a hard rule is offered to be signed with its name.
  await tablet.goto('/devices');
  await expect(tablet.getByLabel('Called')).toHaveValue('lathe 1');
  await expect(tablet.getByText('changed on the machine that Shingle runs on')).toBeVisible();
  await tablet.getByRole('button', { name: 'Sign out', exact: true }).click();
  await expect(tablet.getByRole('heading', { name: 'Sign in' })).toBeVisible();
  expect((await tablet.request.get('/api/rack')).status()).toBe(401);
  await context.close();
});

test('a passcode is not guessed: after a few tries the next ones do not count', async () => {
  const network = process.env.NETWORK_URL ?? '';
  const device = await newRequest.newContext({ baseURL: network, ignoreHTTPSErrors: true });
  const statuses: number[] = [];
  for (let index = 0; index < 8; index += 1) {
    const answer = await device.post('/api/sign-in', {
      headers: { origin: network, 'content-type': 'application/json' },
      data: JSON.stringify({ passcode: `guess number ${index}`, device: 'stranger' }),
    });
    statuses.push(answer.status());
  }
  expect(statuses.at(-1)).toBe(429);
  expect(statuses.filter((status) => status === 403).length).toBeLessThanOrEqual(5);
  await device.dispose();
});

test('what is sent is not read without end', async ({ page }) => {
  const answer = await send(page, 'post', '/api/runs', `{"file":"${'x'.repeat(2_000_000)}"}`);
  expect(answer.status()).toBe(400);
  expect(await answer.text()).toContain('larger than 1000000 bytes');
});
