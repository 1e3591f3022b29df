import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, expectAccessible, makeRun, send, test } from './page';

test('two people: the second save is refused, both versions are shown, nothing is lost', async ({
  page,
  browser,
  baseURL,
}) => {
  const address = await makeRun(page, 'T-TWO');
  await page.goto(`${address}/part`);
  await expect(page.getByText('The plan is there')).toBeVisible();
  const other = await (await browser.newContext({ baseURL: baseURL ?? '' })).newPage();
  await other.goto(`${address}/part`);
  await other.getByLabel('Quantity').fill('30');
  await other.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(other.getByRole('status').filter({ hasText: /^saved/ })).toBeVisible();

  await page.getByLabel('Length of step 1').fill('33');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  const conflict = page.getByRole('dialog', { name: 'Someone else saved this run meanwhile' });
  await expect(conflict.getByRole('row', { name: /Quantity/ })).toContainText('30');
  await expect(conflict.getByRole('row', { name: /Step 1 length/ })).toContainText('33');
  await expectAccessible(page);
  await conflict.getByRole('button', { name: /Go on from revision 2/ }).click();
  await expect(page.getByLabel('Quantity')).toHaveValue('30');
  await expect(page.getByLabel('Length of step 1')).toHaveValue('30');
  // Undo brings mine back, and now it can be saved on top.
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByLabel('Length of step 1')).toHaveValue('33');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByRole('status').filter({ hasText: /^saved/ })).toBeVisible();
  const kept = await (await page.request.get(`/api${address}`)).json();
  expect(kept.run).toMatchObject({ revision: 3, file: { part: { outside: [{ length: '33' }] } } });
});

test('mine on top: saved as the next revision', async ({ page }) => {
  const address = await makeRun(page, 'T-MINE');
  const { run } = await (await page.request.get(`/api${address}`)).json();
  await page.goto(`${address}/part`);
  await page.getByLabel('Quantity').fill('99');
  await send(page, 'put', `/api${address}`, { base: run.revision, file: { ...run.file, quantity: 50 } });
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await page.getByRole('button', { name: 'Save mine as revision 3' }).click();
  await expect(page.getByRole('status').filter({ hasText: /^saved/ })).toBeVisible();
  expect((await (await page.request.get(`/api${address}`)).json()).run).toMatchObject({
    revision: 3,
    file: { quantity: '99' },
  });
});

test('of two saves at the same moment one wins and the other is told', async ({ page }) => {
  const address = await makeRun(page, 'T-RACE');
  const { run } = await (await page.request.get(`/api${address}`)).json();
  const answers = await Promise.all(
    Array.from({ length: 6 }, (_, index) =>
      send(page, 'put', `/api${address}`, { base: run.revision, file: { ...run.file, quantity: index + 1 } }),
    ),
  );
  expect(answers.map((answer) => answer.status()).sort()).toEqual([200, 409, 409, 409, 409, 409]);
});

test('the server gone: said in words, kept in the browser, saved when it is back', async ({ page }) => {
  const address = await makeRun(page, 'T-GONE');
  await page.goto(`${address}/part`);
  await page.getByLabel('Quantity').fill('77');
  await page.route('**/api/runs/**', (route) => route.abort());
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'Not saved: the server does not answer' })).toBeVisible();
  await expectAccessible(page);
  await page.reload();
  await expect(page.getByLabel('Quantity')).toHaveValue('77');
  await page.unroute('**/api/runs/**');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByRole('status').filter({ hasText: /^saved/ })).toBeVisible();
});

test('a run without a number is not kept yet, and says why', async ({ page }) => {
  await page.goto('/runs/new/part');
  await page.getByLabel('Name', { exact: true }).fill('Nameless');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(
    page.getByRole('alert').filter({ hasText: 'give the part a number, so that the run can be found again' }),
  ).toBeVisible();
  await page.reload();
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Nameless');
});

test('an incomplete run can be put aside and gone on with', async ({ page }) => {
  await page.goto('/runs/new/part');
  await page.getByLabel('Part number').fill('T-HALF');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await page.waitForURL(/\/runs\/\d+\/part/);
  await page.goto('/');
  await expect(page.getByRole('listitem').filter({ hasText: 'T-HALF' })).toContainText('not planned yet');
});

const exampleText = (name: string) => readFileSync(join(import.meta.dirname, `../../examples/${name}.json`), 'utf8');

test('a run file comes in and goes out again', async ({ page }) => {
  await page.goto('/');
  const file = { ...JSON.parse(exampleText('pivot-pin')), quantity: 321 };
  await page
    .getByLabel('Run file')
    .setInputFiles({ name: 'pin.json', mimeType: 'application/json', buffer: Buffer.from(JSON.stringify(file)) });
  await page.waitForURL(/\/runs\/\d+/);
  await expect(page.getByText('batch of 321')).toBeVisible();
  const waiting = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save as a run file' }).click();
  const download = await waiting;
  expect(download.suggestedFilename()).toBe('WS-118.json');
  const out = JSON.parse(readFileSync((await download.path()) ?? '', 'utf8'));
  expect(out).toMatchObject({
    format: 'shingle-run/1',
    quantity: 321,
    part: {
      outside: [{ diameter: { size: 6, fit: 'h7' } }, { diameter: 10 }],
      details: [{ kind: 'chamfer', at: 0, size: 0.5, side: 'front' }],
    },
  });
});

test.describe('a file that cannot be taken in', () => {
  const good = JSON.parse(exampleText('sensor-spacer'));
  const cases: [string, string, string, string][] = [
    ['not JSON', 'diameter: 12', 'file', 'this is not JSON'],
    ['another format', JSON.stringify({ ...good, format: 'other/2' }), 'format', 'must be shingle-run/1'],
    [
      'a shape nobody knows',
      JSON.stringify({ ...good, part: { ...good.part, outside: [{ shape: 'egg', from: 20, to: 26, length: 5 }] } }),
      'part.outside[0].shape',
      'is not known here',
    ],
    [
      'a part that cannot be',
      JSON.stringify({
        ...good,
        part: { ...good.part, bores: [{ from: 'front', shape: 'drill', diameter: 20, depth: 'through' }] },
      }),
      'part.bores[0].diameter',
      'leaves no wall',
    ],
    ['stock too small', JSON.stringify({ ...good, stock: { size: 25 } }), 'stock.size', 'will not clean up'],
  ];
  for (const [name, text, path, words] of cases)
    test(name, async ({ page }) => {
      await page.goto('/');
      await page
        .getByLabel('Run file')
        .setInputFiles({ name: 'bad.json', mimeType: 'application/json', buffer: Buffer.from(text) });
      const window = page.getByRole('dialog', { name: 'bad.json was not taken in' });
      await expect(window).toContainText(path);
      await expect(window).toContainText(words);
    });
});

test('an address that names no run says so', async ({ page }) => {
  await page.goto('/runs/999999');
  await expect(page.getByRole('heading', { name: 'There is nothing here' })).toBeVisible();
  await expectAccessible(page);
  for (const path of ['/api/runs/999999', '/api/runs/abc']) expect((await page.request.get(path)).status()).toBe(404);
  expect((await send(page, 'put', '/api/runs/1', { file: 3 })).status()).toBe(422);
  expect((await send(page, 'post', '/api/runs', 'not json')).status()).toBe(400);
});

test('between the places of a run nothing is asked of the server', async ({ page, context }) => {
  const address = await makeRun(page, 'T-OFFLINE');
  await page.goto(address);
  await expect(page.getByRole('listbox')).toBeVisible();
  // The other places come in a quiet moment.
  await page.waitForLoadState('networkidle');
  await page.getByRole('link', { name: 'Part' }).click();
  await page.getByRole('link', { name: 'Print' }).click();
  await context.setOffline(true);
  await page.getByRole('link', { name: 'Part' }).click();
  await page.getByLabel('Quantity').fill('26');
  await page.getByRole('link', { name: 'Sheet', exact: true }).click();
  await expect(page.getByText('batch of 26')).toBeVisible();
  await page.goBack();
  await expect(page.getByLabel('Quantity')).toHaveValue('26');
  await page.keyboard.press('Control+s');
  await expect(page.getByRole('alert').filter({ hasText: 'Not saved: the server does not answer' })).toBeVisible();
  await context.setOffline(false);
});
