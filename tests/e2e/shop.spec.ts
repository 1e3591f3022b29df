import { readFileSync } from 'node:fs';
import { randomUUID } from 'node:crypto';
import type { Page } from '@playwright/test';
import { expect, expectAccessible, expectSettled, foot, living, makeRun, openTab, send, test } from './page';

// One shop for all: these journeys change it, one after the other, and put it back.
test.describe.configure({ mode: 'serial' });

test('a house rule tells which runs it would change before it is kept, and can be left as it was', async ({ page }) => {
  await page.goto('/shop');
  await expectAccessible(page);
  const would = page.getByRole('region', { name: 'What would change' });
  await expect(would).toContainText('Change something');
  await page.getByRole('radio', { name: /one size straight through/ }).check();
  await expect(would).toContainText(/\d of \d+ runs, over their batch/);
  await expect(would.getByRole('listitem').filter({ hasText: 'Mast collar' })).toContainText('−');
  // Left without being kept, it is here again.
  await page.getByRole('link', { name: 'Rack' }).click();
  await expect(page.getByRole('heading', { name: 'Rack' })).toBeVisible();
  await page.getByRole('link', { name: 'Shop' }).click();
  await expect(page.getByText('Changes that were not kept last time')).toBeVisible();
  await expect(page.getByRole('radio', { name: /one size straight through/ })).toBeChecked();
  await page.getByRole('button', { name: 'Undo changes' }).click();
  await expect(page.getByRole('radio', { name: /^yes .*The web/ })).toBeChecked();
  await expect(page.getByRole('button', { name: 'Keep changes' })).toBeDisabled();
});

test('a tool is found, copied from a similar one with a wrong figure on the way, kept, put aside and out as a file', async ({
  page,
}) => {
  await page.goto('/shop');
  await openTab(page, 'Tools and gauges');
  const table = page.getByRole('grid', { name: 'Tools' });
  await page.getByLabel('A whole set').selectOption('drills, letters A to Z');
  await page.getByRole('button', { name: 'Add 26 tools' }).click();
  await expect(page.getByRole('button', { name: 'All of it is there' })).toBeDisabled();
  await page.getByLabel('Find').fill('letter F');
  await expect(table.getByRole('row', { name: /letter F/ })).toContainText('⌀6.528');
  await page.getByLabel('Find').fill('drill ⌀9.9');
  await expect(table.getByRole('row')).toHaveCount(2);
  await table.getByRole('button', { name: 'Add a tool like drill ⌀9.9' }).click();
  // The address has the page, and the window that is open: a reload comes back to both, with what is changed and not kept.
  await page.reload();
  const form = page.getByRole('dialog');
  await form.getByLabel('Name').fill('drill ⌀9.95');
  await form.getByLabel('Diameter').fill('about ten');
  await form.getByRole('button', { name: 'Take over' }).click();
  await expect(form.getByText('“about ten” is not a length').first()).toBeVisible();
  await expect(form.getByLabel('Name')).toHaveValue('drill ⌀9.95');
  await form.getByLabel('Diameter').fill('9.95 mm');
  await form.getByRole('button', { name: 'Take over' }).click();
  await expect(page.getByRole('region', { name: 'What would change' })).toContainText('None of the');
  await page.getByRole('button', { name: 'Keep changes' }).click();
  await expect(page.getByText('Kept. Every plan goes by it')).toBeVisible();
  await page.reload();
  await openTab(page, 'Tools and gauges');
  await page.getByLabel('Find').fill('drill ⌀9.95');
  await page.getByRole('button', { name: 'Put drill ⌀9.95 aside' }).click();
  await expect(page.getByText('No tool of the list is like that.')).toBeVisible();
  await page.getByLabel('and those put aside').check();
  await expect(page.getByRole('button', { name: 'Take drill ⌀9.95 up again' })).toBeVisible();
  const waits = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Out as a file' }).click();
  const shop = JSON.parse(readFileSync(await (await waits).path(), 'utf8')) as {
    tools: { name: string; archived?: boolean }[];
  };
  expect(shop.tools.find(({ name }) => name === 'drill ⌀9.95')?.archived).toBe(true);
  await page.getByRole('button', { name: 'Keep changes' }).click();
  await expect(page.getByText('Kept. Every plan goes by it')).toBeVisible();
});

test('a file that is no shop is told and changes nothing; of two who change it the later is told', async ({
  page,
  browser,
}) => {
  await page.goto('/shop');
  await page
    .getByLabel('Shop file')
    .setInputFiles({ name: 'no-shop.json', mimeType: 'application/json', buffer: Buffer.from('{') });
  await expect(page.getByText('is not JSON; a shop file comes from')).toBeVisible();
  await page
    .getByLabel('Shop file')
    .setInputFiles({ name: 'empty.json', mimeType: 'application/json', buffer: Buffer.from('{"materials": []}') });
  await expect(page.getByText('materials', { exact: true })).toBeVisible();
  await openTab(page, 'Machines and holding');
  await expect(page.getByText('swings 180 mm')).toBeVisible();
  const other = living(await browser.newPage());
  await other.goto('/shop');
  await other.getByRole('tab', { name: 'Machines and holding' }).click();
  for (const own of [page, other]) {
    await own.getByRole('button', { name: 'Change centre lathe A' }).click();
    await own.getByLabel('Swing over the slide').fill(own === page ? '181' : '182');
    await own.getByRole('button', { name: 'Take over' }).click();
  }
  await page.getByRole('button', { name: 'Keep changes' }).click();
  await expect(page.getByText('Kept. Every plan goes by it')).toBeVisible();
  await other.getByRole('button', { name: 'Keep changes' }).click();
  await expect(other.getByText('somebody else has changed the shop')).toBeVisible();
  await expect(other.getByText('swings 182 mm')).toBeVisible();
  await other.close();
  await page.getByRole('button', { name: 'Change centre lathe A' }).click();
  await page.getByLabel('Swing over the slide').fill('180');
  await page.getByRole('button', { name: 'Take over' }).click();
  await page.getByRole('button', { name: 'Keep changes' }).click();
  await expect(page.getByText('Kept. Every plan goes by it')).toBeVisible();
});

test('a figure of every page is changed in its window: it is told what that does, and undone', async ({ page }) => {
  await page.goto('/shop');
  const would = page.getByRole('region', { name: 'What would change' });
  await openTab(page, 'Minutes');
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Change Minutes at the lathe' }).click();
  const form = page.getByRole('dialog');
  await form.getByLabel('Break an edge').fill('');
  await form.getByRole('button', { name: 'Take over' }).click();
  await expect(form.getByText('is missing').first()).toBeVisible();
  await form.getByLabel('Break an edge').fill('0.5');
  await form.getByRole('button', { name: 'Take over' }).click();
  await expect(would).toContainText(/\d+ of \d+ runs, over their batch/);
  await openTab(page, 'Materials');
  await page.getByRole('button', { name: 'Change brass', exact: false }).first().click();
  await form.getByLabel('Long chips').selectOption('yes');
  await form.getByRole('button', { name: 'Take over' }).click();
  await expect(page.getByText('long chips').first()).toBeVisible();
  await openTab(page, 'Machines and holding');
  await expect(page.getByText('⌀6 to 80, covers 60 mm')).toBeVisible();
  await page.getByRole('button', { name: 'Undo changes' }).click();
  await expect(page.getByRole('button', { name: 'Keep changes' })).toBeDisabled();
});

/** Sets how long an edge takes to break, and keeps it. */
async function keepEdgeMinutes(page: Page, minutes: string): Promise<void> {
  await page.goto('/shop?page=minutes');
  await page.getByRole('button', { name: 'Change Minutes at the lathe' }).click();
  await page.getByRole('dialog').getByLabel('Break an edge').fill(minutes);
  await page.getByRole('dialog').getByRole('button', { name: 'Take over' }).click();
  await page.getByRole('button', { name: 'Keep changes' }).click();
  await expect(page.getByText('Kept. Every plan goes by it')).toBeVisible();
}

test('a run that is begun keeps to the shop of then, until somebody has it planned with the shop of now', async ({
  page,
}) => {
  const { handMinutes } = (await (await page.request.get('/api/shop')).json()) as {
    handMinutes: { deburrEdge: number };
  };
  const run = await makeRun(page, 'WS-BEGUN');
  await page.goto(run);
  await expectSettled(page);
  const piece = foot(page, 'a piece');
  const planned = await piece.first().innerText();
  const event = { id: randomUUID(), device: 'lathe', seq: 0, at: '2026-11-30T07:00:00Z', revision: 1 };
  const ready = { ...event, kind: 'ready', step: 'collet', done: true };
  expect((await send(page, 'post', `/api${run}/events`, { events: [ready] })).ok()).toBe(true);
  await keepEdgeMinutes(page, '5');
  try {
    await page.goto(run);
    await expectSettled(page);
    await expect(page.getByText('keeps to the shop of then')).toBeVisible();
    await expect(piece.first()).toHaveText(planned);
    await page.getByRole('button', { name: 'Plan it with the shop as it is now' }).click();
    await expect(page.getByText('keeps to the shop of then')).toHaveCount(0);
    await expect(piece.first()).not.toHaveText(planned);
  } finally {
    await keepEdgeMinutes(page, String(handMinutes.deburrEdge));
  }
});

test('of two saves at the same moment one wins, and a shop that is none is refused with its path', async ({ page }) => {
  const shop = (await (await page.request.get('/api/shop')).json()) as { timeAllowance: unknown };
  const newest = async () => {
    // A base that cannot be is a conflict or refused; the newest is found by counting up.
    for (let base = 1; base < 200; base += 1) {
      const answer = await send(page, 'put', '/api/shop', { base, shop });
      if (answer.ok()) return ((await answer.json()) as { revision: number }).revision;
    }
    throw new Error('no base was taken');
  };
  const base = await newest();
  const answers = await Promise.all([0, 1].map(() => send(page, 'put', '/api/shop', { base, shop })));
  expect(answers.map((answer) => answer.status()).sort()).toEqual([200, 409]);
  const wrong = await send(page, 'put', '/api/shop', { base: base + 1, shop: { ...shop, timeAllowance: 'much' } });
  expect(wrong.status()).toBe(422);
  const { problems } = (await wrong.json()) as { problems: { path: string }[] };
  expect(problems[0]?.path).toBe('timeAllowance');
});
