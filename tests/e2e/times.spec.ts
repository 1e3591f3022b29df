import { randomUUID } from 'node:crypto';
import { expect, expectAccessible, foot, openRun, openSaved, send, test } from './page';

const part = {
  number: 'WS-950',
  name: 'Clip stud',
  material: 'brass-cw614n',
  outside: [
    { shape: 'cylinder', diameter: '12 h8', length: 14 },
    { shape: 'cylinder', diameter: 20, length: 14 },
  ],
};

test('ways of running side by side: figures, the quantity where the best changes, and one of them is planned', async ({
  page,
}) => {
  await openSaved(page, part, { quantity: 60, way: 'choose' });
  await page.getByRole('link', { name: 'Times', exact: true }).click();
  const ways = page.getByRole('region', { name: 'Ways of running 60 pieces' });
  await expect(ways.getByRole('row')).toHaveCount(7);
  await expect(ways.getByRole('row', { name: /the plan/ })).toHaveCount(1);
  await expect(ways).toContainText(/From \d+ pieces “.*” takes less than “.*” \(equal at \d+\.\d\)/);
  await expect(page.getByRole('region', { name: 'What moves the batch most' }).getByRole('row')).toHaveCount(6);
  await expectAccessible(page);
  // A ring says its figures to the keyboard as to the mouse.
  await ways.getByRole('img', { name: /Sawn first, tool by tool: .* a piece of 60/ }).focus();
  await expect(ways.getByText(/Sawn first, tool by tool: .* a piece of 60/)).toBeVisible();
  await ways.getByRole('button', { name: 'Plan it sawn first, tool by tool' }).click();
  await expect(ways.getByRole('row', { name: /Sawn first, tool by tool/ })).toContainText('the plan');
  // It is the plan of every place.
  await page.getByRole('link', { name: 'Sheet', exact: true }).click();
  await expect(page.getByRole('listbox')).toBeVisible();
  await expect(page.getByRole('complementary', { name: 'Set-up' })).toContainText('sawn blanks, chosen');
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByRole('link', { name: 'Times', exact: true }).click();
  await expect(ways.getByRole('row', { name: /Sawn first, tool by tool/ })).not.toContainText('the plan');
});

test('the foot of the sheet has the ways side by side, and leads to all of them', async ({ page }) => {
  await openSaved(page, { ...part, number: 'WS-953' }, { quantity: 60, way: 'from-bar' });
  const strip = page.getByRole('region', { name: 'Ways of running' });
  await expect(strip.getByRole('listitem')).toHaveCount(2);
  const planned = strip.getByRole('listitem').filter({ hasText: 'from the bar' });
  await expect(planned).toHaveAttribute('aria-current', 'true');
  const batch = await planned.locator('span').last().innerText();
  await expect(foot(page, 'batch of 60')).toContainText(batch);
  await expectAccessible(page);
  await strip.getByRole('link', { name: 'More ways' }).click();
  await expect(page.getByRole('region', { name: 'Ways of running 60 pieces' })).toBeVisible();
});

test('what a piece costs, what a price asks for with a wrong entry on the way, and an offer from outside', async ({
  page,
}) => {
  await openSaved(page, { ...part, number: 'WS-951' }, { quantity: 60 });
  await page.getByRole('link', { name: 'Times', exact: true }).click();
  const cost = page.getByRole('region', { name: 'Cost, in €' });
  await expect(cost.getByRole('row', { name: /total/ })).toBeVisible();
  await cost
    .getByRole('row', { name: /machine and hand/ })
    .getByRole('button')
    .click();
  await expect(page.getByRole('dialog')).toContainText('an hour of the machine');
  await page.keyboard.press('Escape');
  await cost.getByLabel('Price of a piece').fill('cheap');
  await expect(cost.getByText('is not a price')).toBeVisible();
  await cost.getByLabel('Price of a piece').fill('0.5');
  await expect(cost.getByRole('list', { name: 'To meet the price' })).toContainText('no quantity is large enough');
  await cost.getByLabel('Bought in, each').fill('3.2');
  const ways = page.getByRole('region', { name: 'Ways of running 60 pieces' });
  await expect(ways.getByRole('row', { name: /Bought in, as offered/ })).toContainText('no minutes of ours');
  await ways.getByLabel('Compared by').selectOption('cost');
  await expect(ways.getByRole('row', { name: /Bought in, as offered/ })).toContainText('192.00 €');
  await expect(cost.getByRole('row', { name: /^60/ })).toBeVisible();
});

test('a batch is played for its promise, and played again comes out a little otherwise', async ({ page }) => {
  await openRun(page, 'Sensor spacer');
  await page.getByRole('link', { name: 'Times', exact: true }).click();
  const promise = page.getByRole('region', { name: 'What may be promised' });
  await expect(promise).toContainText('10000 batches simulated, number 1');
  await promise.getByRole('button', { name: 'Play again' }).click();
  await expect(promise).toContainText('10000 batches simulated, number 2');
});

test('a quotation: what is earned comes on each price, is kept with the run, and a wrong entry changes nothing', async ({
  page,
}) => {
  await openSaved(page, {
    number: 'WS-QUOTE',
    name: 'Stud to be offered',
    material: 'brass-cw614n',
    outside: [
      { shape: 'cylinder', diameter: '10 h9', length: 16 },
      { shape: 'cylinder', diameter: 16, length: 8 },
    ],
  });
  await page.getByRole('link', { name: 'Print' }).click();
  await page.getByRole('button', { name: 'Quotation' }).click();
  const row = page.getByRole('table', { name: 'Quantities and prices' }).getByRole('row', { name: /^20 / });
  const prices = async () => (await row.getByRole('cell').allInnerTexts()).slice(1).map(Number);
  await expect(row).toBeVisible();
  const [each = 0] = await prices();
  expect(each).toBeGreaterThan(0);
  const margin = page.getByLabel('Earned, % of the cost');
  await margin.fill('much');
  await expect(page.getByText('“much” is no percentage from 0 on')).toBeVisible();
  expect((await prices())[0]).toBe(each);
  await margin.fill('100');
  // Twice the cost of the batch, of which a piece is told in hundredths.
  await expect.poll(async () => Math.abs(((await prices())[0] ?? 0) - 2 * each)).toBeLessThanOrEqual(0.011);
  const [then = 0, all = 0] = await prices();
  expect(all).toBeCloseTo(20 * then, 2);
  // Key by key, as people type: each is planned with, and the field stays.
  await page.getByLabel('Holds until').pressSequentially('2027-01-31', { delay: 40 });
  await expect(page.getByLabel('Holds until')).toHaveValue('2027-01-31');
  await expect(page.getByText('It holds until 31 January 2027.')).toBeVisible();
  await expectAccessible(page);
  // A draft, which takes nobody's days yet: when it would be there is asked of the days, and offered.
  await page.getByRole('button', { name: 'Delivery by the days …' }).click();
  await page.getByRole('button', { name: 'Offer that day' }).click({ timeout: 200_000 });
  await expect(page.getByText(/^Delivery: by \d+ \w+ 20\d\d$/)).toBeVisible();
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByRole('status').filter({ hasText: /^saved/ })).toBeVisible();
  await page.reload();
  await page.getByRole('button', { name: 'Quotation' }).click();
  await expect(margin).toHaveValue('100');
  await expect(page.getByText(/^Delivery: by /)).toBeVisible();
  await expect(page.getByText('It holds until 31 January 2027.')).toBeVisible();

  // The customer takes ten: ten are made, at that price, and the log sets beside it what they cost.
  const ten = page.getByRole('table', { name: 'Quantities and prices' }).getByRole('row', { name: /^10 / });
  await ten.getByRole('button', { name: 'Accepted: 10' }).click();
  const sold = (await ten.getByText(/^accepted at/).innerText()).replace('accepted at ', '');
  await expect(
    page.getByText(new RegExp(`^Accepted on .*: 10 pieces at ${sold.replace('.', '\\.')}\\.`)),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByRole('status').filter({ hasText: /^saved/ })).toBeVisible();
  const run = new URL(page.url()).pathname.replace('/print', '');
  const event = { device: 'lathe', revision: 3, piece: 1, operation: 'load' };
  const events = [
    { ...event, id: randomUUID(), seq: 0, at: '2026-11-30T07:00:00Z', kind: 'begun' },
    { ...event, id: randomUUID(), seq: 1, at: '2026-11-30T09:00:00Z', kind: 'done' },
  ];
  expect((await send(page, 'post', `/api${run}/events`, { events })).ok()).toBe(true);
  await page.goto(`${run}/log`);
  const { rates } = (await (await page.request.get('/api/shop')).json()) as { rates: { machineHour: number } };
  const cost = page.getByRole('table', { name: 'What it has cost so far' });
  // Two hours were pressed.
  await expect(
    cost
      .getByRole('row', { name: /^machine and hand/ })
      .getByRole('cell')
      .last(),
  ).toHaveText((2 * rates.machineHour).toFixed(2));
  await expect(page.getByText('The 0 good pieces are paid with 0.00')).toBeVisible();
  await expectAccessible(page);

  // What a run of it taught stands beside the next quotation of the part, and its edges in the times of every run.
  const says = { hand: { mean: 0.1, variance: 0.01, within: 0.02, pieces: 8 } };
  const taught = {
    machine: 'centre-lathe-a',
    says,
    edges: { carbide: { lives: 2.6, worn: 2 } },
    cost: { good: 10, reckoned: 4.1, really: 4.55, soldAt: Number(sold), on: '2026-11-30' },
  };
  expect(
    (await send(page, 'post', `/api${run}/learned`, { ...taught, cost: { ...taught.cost, good: -1 } })).status(),
  ).toBe(422);
  expect((await send(page, 'post', `/api${run}/learned`, taught)).ok()).toBe(true);
  const { run: first } = (await (await page.request.get(`/api${run}`)).json()) as { run: { file: object } };
  const again = await send(page, 'post', '/api/runs', { file: { ...first.file, quote: {} } });
  const { run: next } = (await again.json()) as { run: { id: number } };
  await page.goto(`/runs/${next.id}/print`);
  await page.getByRole('button', { name: 'Quotation' }).click();
  const before = page.getByRole('table', { name: 'What it cost before' });
  await expect(before.getByRole('row', { name: /^30 Nov 2026/ })).toContainText(/10\s*4\.10\s*4\.55/);
  await expectAccessible(page);
  await page.goto(`/runs/${next.id}/times`);
  // 1.3 lives of 20 min, and what other runs have cut without wearing one out.
  const edges = page.getByText(/An edge of carbide lasts \d+ min at its table speed, by 2 that were worn/);
  await expect(edges).toBeVisible();
  expect(Number(/carbide lasts (\d+)/.exec(await edges.innerText())?.[1])).toBeGreaterThanOrEqual(26);
});
