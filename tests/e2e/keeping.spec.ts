import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, expectAccessible, living, makeRun, send, test } from './page';

test('two people: the second save is refused, both versions are shown, nothing is lost', async ({
  page,
  browser,
  baseURL,
}) => {
  const address = await makeRun(page, 'T-TWO');
  await page.goto(`${address}/part`);
  await expect(page.getByText('The plan is there')).toBeVisible();
  const other = living(await (await browser.newContext({ baseURL: baseURL ?? '' })).newPage());
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

test('the server gone: said in words, kept in the browser, saved by itself when it is back', async ({ page }) => {
  const address = await makeRun(page, 'T-GONE');
  await page.goto(`${address}/part`);
  await page.getByLabel('Quantity').fill('77');
  await page.route('**/api/runs/**', (route) => route.abort());
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  const said = page.getByRole('alert').filter({ hasText: 'Not saved: the server does not answer' });
  await expect(said).toBeVisible();
  await expectAccessible(page);
  await page.reload();
  await expect(page.getByLabel('Quantity')).toHaveValue('77');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(said).toBeVisible();
  await page.unroute('**/api/runs/**');
  await expect(page.getByRole('status').filter({ hasText: /^saved/ })).toBeVisible();
  await expect(said).toBeHidden();
  expect((await (await page.request.get(`/api${address}`)).json()).run.file.quantity).toBe('77');
});

test('a database that does not answer, a full disk, a fault: each by its own words', async ({ page }) => {
  const address = await makeRun(page, 'T-TROUBLE');
  await page.goto(`${address}/part`);
  let trouble: object = { kind: 'gone' };
  const message = 'this is a fault of the program, number 123-456; nothing was changed';
  await page.route('**/api/runs/**', (route) =>
    route.fulfill({ status: 503, json: { problems: [{ path: '', message }], trouble } }),
  );
  await page.getByLabel('Quantity').fill('78');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  const said = page.getByRole('alert').filter({ hasText: 'Not saved' });
  await expect(said).toContainText('the database does not answer');
  trouble = { kind: 'full' };
  await page.getByRole('button', { name: 'Try again now' }).click();
  await expect(said).toContainText('the disk of the database is full');
  trouble = { kind: 'bug', number: '123-456' };
  await page.getByRole('button', { name: 'Try again now' }).click();
  await expect(said).toContainText('a fault of the program, number 123-456');
});

test('no answer for five seconds: the page says so, and that nothing is lost', async ({ page }) => {
  await page.clock.install();
  const address = await makeRun(page, 'T-LATE');
  await page.goto(`${address}/part`);
  await page.getByLabel('Quantity').fill('79');
  let answer = () => {};
  const held = new Promise<void>((resolve) => (answer = resolve));
  await page.route('**/api/runs/**', async (route) => {
    await held;
    await route.continue();
  });
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  const late = page.getByRole('status').filter({ hasText: 'has not answered for five seconds' });
  await page.clock.fastForward(4000);
  await expect(late).toHaveCount(0);
  await page.clock.fastForward(1500);
  await expect(late).toBeVisible();
  answer();
  await expect(page.getByRole('status').filter({ hasText: /^saved/ })).toBeVisible();
  await expect(late).toHaveCount(0);
});

test('a new run that is sent twice, because the answer was lost, is one run', async ({ page }) => {
  await page.goto('/runs/new/part');
  await page.getByLabel('Part number').fill('T-TWICE');
  let lost = 0;
  await page.route('**/api/runs', async (route) => {
    const answer = await route.fetch();
    if (lost++ > 0) return route.fulfill({ response: answer });
    await route.abort();
  });
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await page.waitForURL(/\/runs\/\d+\/part/);
  expect(lost).toBeGreaterThan(1);
  await page.goto('/?find=T-TWICE');
  await expect(page.getByText(/^1 of \d+ runs$/)).toBeVisible();
});

test('two tabs of one run: what the closed one left is offered, and nothing is written over', async ({
  page,
  context,
}) => {
  const address = await makeRun(page, 'T-TABS');
  const other = living(await context.newPage());
  for (const [tab, quantity] of [
    [page, '31'],
    [other, '47'],
  ] as const) {
    await tab.goto(`${address}/part`);
    await tab.getByLabel('Quantity').fill(quantity);
    await expect(tab.getByRole('status').filter({ hasText: 'unsaved changes' })).toBeVisible();
  }
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByRole('status').filter({ hasText: /^saved/ })).toBeVisible();
  await other.close();

  await page.goto('/');
  const drafts = page.getByRole('region', { name: 'Not saved yet' });
  await expect(drafts.getByRole('link')).toHaveText([/T-TABS · 47 off/]);
  await expectAccessible(page);
  await drafts.getByRole('link').click();
  await page.getByRole('link', { name: 'Part' }).click();
  await expect(page.getByLabel('Quantity')).toHaveValue('31');
  const offered = page.getByRole('status').filter({ hasText: 'Another tab was closed with changes' });
  await offered.getByRole('button', { name: 'Take them up' }).click();
  await expect(page.getByLabel('Quantity')).toHaveValue('47');
  await expect(offered).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByLabel('Quantity')).toHaveValue('31');
  await page.getByRole('button', { name: 'Redo' }).click();
  // They started from before the other save: both are shown.
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByRole('dialog', { name: 'Someone else saved this run meanwhile' })).toBeVisible();
});

test('two tabs with a new run each; after a reload, undo, and back to the beginning', async ({ page, context }) => {
  const other = living(await context.newPage());
  for (const [tab, number] of [
    [page, 'T-NEW-A'],
    [other, 'T-NEW-B'],
  ] as const) {
    await tab.goto('/runs/new/part');
    await tab.getByLabel('Part number').fill(number);
    await expect(tab.getByRole('status').filter({ hasText: 'not saved yet' })).toBeVisible();
  }
  await page.goto('/');
  await expect(page.getByRole('region', { name: 'Not saved yet' }).getByRole('link')).toHaveText([
    /New run: T-NEW-B/,
    /New run: T-NEW-A/,
  ]);
  for (const [tab, number] of [
    [page, 'T-NEW-A'],
    [other, 'T-NEW-B'],
  ] as const) {
    await tab.goto('/runs/new/part');
    await expect(tab.getByLabel('Part number')).toHaveValue(number);
  }
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByLabel('Part number')).toHaveValue('');
  await page.getByRole('button', { name: 'Redo' }).click();
  await page.reload();
  await page.getByRole('button', { name: 'Start empty' }).click();
  await expect(page.getByLabel('Part number')).toHaveValue('');
  await expect(other.getByLabel('Part number')).toHaveValue('T-NEW-B');
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
  await page.goto('/?find=T-HALF');
  await expect(page.getByRole('listitem').filter({ hasText: 'T-HALF' })).toContainText('not planned yet');
});

const exampleText = (name: string) => readFileSync(join(import.meta.dirname, `../../examples/${name}.json`), 'utf8');

test('a list of the office becomes runs: columns matched by hand, mistakes row by row, all of it or nothing', async ({
  page,
}) => {
  await makeRun(page, 'WS-LIST');
  await page.goto('/');
  const bring = async (text: string) => {
    const files = { name: 'week 49.csv', mimeType: 'text/csv', buffer: Buffer.from(text) };
    await page.getByLabel('Run file').setInputFiles(files);
    await expect(page.getByRole('dialog')).toContainText('Runs from week 49.csv');
  };
  const count = async () => ((await (await page.request.get('/api/runs/progress')).json()) as { all: number }).all;
  const before = await count();
  await bring('what,how many,until\nWS-LIST,40,2027-01-15\nWS-NOWHERE,few,1/2/2027\n');
  const window = page.getByRole('dialog');
  await expect(window.getByText('which column has the part numbers?')).toBeVisible();
  await window.getByLabel('Part number').selectOption('what');
  await window.getByLabel('Quantity').selectOption('how many');
  await window.getByLabel('Promised for').selectOption('until');
  await expect(window.getByText(/“few” must be a whole number/)).toBeVisible();
  await expect(window.getByText(/write it as 2026-12-04/)).toBeVisible();
  await expect(window.getByRole('button', { name: 'Make 2 runs' })).toBeDisabled();
  await expectAccessible(page);
  await page.keyboard.press('Escape');
  // Right in itself, but of a part that nobody planned: nothing is made, not even the first row.
  await bring('part,quantity\nWS-LIST,40\nWS-NOWHERE,5\n');
  await window.getByRole('button', { name: 'Make 2 runs' }).click();
  await expect(window.getByText(/“WS-NOWHERE” is the number of no part/)).toBeVisible();
  expect(await count()).toBe(before);
  await page.keyboard.press('Escape');
  await bring('what,how many,until\nWS-LIST,40,2027-01-15\nWS-LIST,1 200 pcs,\n');
  await window.getByLabel('Part number').selectOption('what');
  await window.getByLabel('Quantity').selectOption('how many');
  await window.getByLabel('Promised for').selectOption('until');
  await window.getByRole('button', { name: 'Make 2 runs' }).click();
  await expect(window).toHaveCount(0);
  expect(await count()).toBe(before + 2);
  // What was matched by hand once is matched the next time.
  await bring('what,how many,until\nWS-LIST,7,\n');
  await expect(window.getByLabel('Part number')).toHaveValue('0');
  await expect(window.getByRole('button', { name: 'Make 1 run' })).toBeEnabled();
});

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
  // The other places come by themselves in a quiet moment, and say so in the browser's timeline.
  await page.waitForFunction(() => performance.getEntriesByName('places of the run are there').length > 0);
  await context.setOffline(true);
  await page.getByRole('link', { name: 'Part' }).click();
  await page.getByLabel('Quantity').fill('26');
  // What comes with the first plan, and what is opened in a window, is there as well.
  await expect(page.getByText('The plan is there')).toBeVisible();
  await expect(page.getByRole('heading', { name: 'What matters' })).toBeVisible();
  await page.getByRole('link', { name: 'Sheet', exact: true }).click();
  await expect(page.getByText('batch of 26')).toBeVisible();
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog')).toBeVisible();
  await page.keyboard.press('Escape');
  await page.goBack();
  await expect(page.getByLabel('Quantity')).toHaveValue('26');
  await page.keyboard.press('Control+s');
  await expect(page.getByRole('alert').filter({ hasText: 'Not saved: the server does not answer' })).toBeVisible();
  await context.setOffline(false);
});
