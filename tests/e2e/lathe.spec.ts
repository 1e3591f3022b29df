import { randomUUID } from 'node:crypto';
import { type Page } from '@playwright/test';
import { expect, expectAccessible, expectSettled, living, openRun, openSaved, send, test } from './page';

const SPIGOT = {
  number: 'WS-700',
  name: 'Spigot at the lathe',
  material: 'brass-cw614n',
  outside: [
    { shape: 'cylinder', diameter: '10 h9', length: 16 },
    { shape: 'cylinder', diameter: 16, length: 8 },
  ],
};

const strip = (page: Page) => page.getByText(/^piece \d+ of \d+/).first();
const done = (page: Page) => page.getByRole('button', { name: /^(Done, next|Forward)/ });

/** Opens a run at the lathe, begun. */
async function begin(page: Page, number: string, quantity: number, part: object = SPIGOT): Promise<string> {
  await openSaved(page, { ...part, number }, { quantity });
  const run = new URL(page.url()).pathname;
  await page.getByRole('link', { name: 'Lathe' }).click();
  await page.getByRole('button', { name: 'Begin with piece 1' }).click();
  await expect(page.getByRole('heading', { name: 'Put piece 1 in' })).toBeVisible();
  return run;
}

const stepShown = (page: Page) => page.getByRole('heading', { level: 2 }).first();

/** Presses until it is so, each press only when it is seen what the one before did. */
async function pressUntil(page: Page, isSo: () => Promise<boolean>): Promise<void> {
  const shown = async () => `${await strip(page).textContent()} ${await stepShown(page).textContent()}`;
  while (!(await isSo())) {
    const before = await shown();
    await page.keyboard.press('PageDown');
    await expect.poll(shown, { intervals: [10, 20, 50] }).not.toBe(before);
  }
}

/** Presses on until a heading is there. */
const goOnTo = (page: Page, name: RegExp) => pressUntil(page, () => page.getByRole('heading', { name }).isVisible());

/** Presses on until a piece is at hand. */
const pressTo = (page: Page, piece: RegExp) =>
  pressUntil(page, async () => piece.test((await strip(page).textContent()) ?? ''));

test('a run is made ready and begun, a size is measured with a wrong entry on the way, cut again and kept', async ({
  page,
}) => {
  await openSaved(page, SPIGOT, { quantity: 3 });
  await page.getByRole('link', { name: 'Lathe' }).click();
  await expectAccessible(page);
  const first = page.getByRole('list', { name: 'What is laid out' }).getByRole('checkbox').first();
  await first.click({ force: true });
  await expect(first).toBeChecked();
  await page.reload();
  await expect(first).toBeChecked();
  await page.getByRole('button', { name: 'Begin with piece 1' }).click();
  await goOnTo(page, /Finish ⌀10 h9/);
  await expectAccessible(page);
  await page.getByRole('button', { name: /^Measure: .*9\.96/ }).click();
  const window = page.getByRole('dialog');
  const reading = window.getByLabel(/^Reading/);
  await reading.fill('ten');
  await expect(window.getByText(/is not a length/)).toBeVisible();
  // Nobody's cut leaves a shaft of 10 at 16: it is read again before it is believed.
  await reading.fill('16.4');
  await expect(window.getByRole('heading', { name: 'Measure again' })).toBeVisible();
  await reading.fill('10.4');
  // What is no temperature is told, and nothing is reckoned with it.
  await window.getByLabel('Over 20 °C by').fill('warm');
  await expect(window.getByText('“warm” is no number of degrees')).toBeVisible();
  await expect(window.getByRole('heading', { name: /^Cut/ })).toHaveCount(0);
  await window.getByLabel('Over 20 °C by').fill('');
  await expect(window.getByRole('heading', { name: /^Cut/ })).toBeVisible();
  await expectAccessible(page);
  await window.getByRole('button', { name: /size.* open its working/ }).click();
  await expect(page.getByRole('dialog', { name: /Working of size/ })).toBeVisible();
  await page.keyboard.press('Escape');
  await window.getByRole('button', { name: 'Cut, then measure again' }).click();
  // 10 h9 is 9.964 to 10: its middle is 9.982.
  await reading.fill('9.98');
  await expect(window.getByRole('heading', { name: 'Leave it' })).toBeVisible();
  await window.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByRole('button', { name: /^Measured: .*9\.96/ })).toBeVisible();
});

test('it cuts badly: a sign, one change at a time; what helped comes first the next time', async ({ page }) => {
  await begin(page, 'WS-701', 3);
  await goOnTo(page, /Finish ⌀10 h9/);
  await page.getByRole('button', { name: 'It cuts badly' }).click();
  await page.getByRole('button', { name: 'it chatters' }).click();
  await page.getByRole('button', { name: /^It helped: height/ }).click();
  await page.getByRole('button', { name: 'It cuts badly' }).click();
  await page.getByRole('button', { name: 'it chatters' }).click();
  const causes = page.getByRole('list', { name: /What to change/ }).getByRole('listitem');
  await expect(causes.first()).toContainText('height of the tool');
  await expectAccessible(page);
});

test('a whole batch: scrap and another in its place, a press too many taken back, a pause over a reload, and what it took', async ({
  page,
}) => {
  // A plain pin, of few steps.
  const outside = [{ shape: 'cylinder', diameter: '10 h9', length: 16 }];
  await begin(page, 'WS-702', 2, { ...SPIGOT, outside });
  await page.getByRole('button', { name: 'What happened' }).click();
  await page.getByLabel('In words').fill('dropped it');
  await page.getByRole('dialog').getByLabel('Because of').selectOption('dropped');
  await page.getByRole('button', { name: /Scrap it/ }).click();
  await expect(strip(page)).toHaveText(/piece 2 of 3/);
  await goOnTo(page, /Finish ⌀10 h9/);
  await page.getByRole('button', { name: 'What happened' }).click();
  await page.getByRole('button', { name: /^Take back: done/ }).click();
  await expect(page.getByRole('heading', { name: /Finish ⌀10 h9/ })).toHaveCount(0);
  await page.getByRole('button', { name: 'What happened' }).click();
  await page.getByLabel('In words').fill('gone home');
  await page.getByRole('button', { name: 'Stop here for now' }).click();
  await page.reload();
  await expect(page.getByRole('heading', { name: /^Stopped .*gone home/ })).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Go on' }).click();
  await pressToEnd(page, 'All made: 2 good, 1 scrap');
  // What is next on this lathe by the days, there and for its own tablet; after this the days are as they were.
  const file = {
    format: 'shingle-run/1',
    units: 'mm',
    quantity: 4,
    due: '2027-12-01',
    part: { ...SPIGOT, number: 'WS-717' },
  };
  const made = await send(page, 'post', '/api/runs', { file });
  const { run: other } = (await made.json()) as { run: { id: number } };
  const isPlanned = async () => {
    const { runs } = (await (await page.request.get('/api/schedule')).json()) as {
      runs: { id: number; lathes?: [] }[];
    };
    return runs.find(({ id }) => id === other.id)?.lathes !== undefined;
  };
  await expect.poll(isPlanned, { timeout: 120_000 }).toBe(true);
  const { revision, days } = (await (await page.request.get('/api/days')).json()) as {
    revision: number;
    days: { order: object[] };
  };
  const order = [{ lathe: 'centre-lathe-a', runs: [other.id] }];
  expect((await send(page, 'put', '/api/days', { base: revision, days: { ...days, order } })).ok()).toBe(true);
  await page.reload();
  const nextOn = async (more: string) => {
    const answer = await page.request.get(`/api/days/next?lathe=centre-lathe-a${more}`);
    return ((await answer.json()) as { next: { run: { id: number; number: string; name: string; quantity: number } } })
      .next.run;
  };
  // What is begun there comes before it.
  const own = new URL(page.url()).pathname.split('/')[2];
  const next = await nextOn(`&but=${own}`);
  expect(String(next.id)).not.toBe(own);
  await expect(
    page.getByText(`Next on centre lathe A: ${next.number} ${next.name}, ${next.quantity} off, from `),
  ).toBeVisible();
  await expectAccessible(page);
  const here = page.url();
  await page.goto('/lathes/centre-lathe-a');
  await expect(page).toHaveURL(new RegExp(`/runs/${(await nextOn('')).id}/lathe`));
  expect((await page.request.get('/api/days/next?lathe=nowhere')).status()).toBe(404);
  await page.goto('/lathes/nowhere');
  await expect(page.getByRole('heading', { name: 'There is nothing here' })).toBeVisible();
  const without = { ...days, order: [] };
  expect((await send(page, 'put', '/api/days', { base: revision + 1, days: without })).ok()).toBe(true);
  await page.goto('/lathes/centre-lathe-a');
  await expect(page.getByRole('heading', { name: 'Nothing is to be made on centre lathe A' })).toBeVisible();
  await expectAccessible(page);
  expect((await send(page, 'put', '/api/days', { base: revision + 2, days })).ok()).toBe(true);
  await page.goto(here);
  await page.getByRole('link', { name: /What it took/ }).click();
  await expect(page.getByRole('heading', { name: 'Steps: planned, and what they took' })).toBeVisible();
  await page.getByLabel('Find').fill('dropped');
  await expect(page.getByRole('list', { name: 'Everything that happened' })).toContainText(
    'scrap, dropped: dropped it',
  );
  await expectAccessible(page);
  await page.goto('/log?find=dropped it');
  await expect(page.getByRole('main')).toContainText('WS-702');
  await expectAccessible(page);
});

test('a bar of the rack comes on, another after it, and what is left goes back on the rack', async ({ page }) => {
  const bar = {
    material: 'brass-cw614n',
    form: 'round',
    size: 11,
    condition: 'drawn',
    length: 1000,
    count: 2,
    place: 'L1',
  };
  const received = await send(page, 'post', '/api/rack', { ...bar, offcut: false, batch: 'B-703' });
  const { ids } = (await received.json()) as { ids: [number, number] };
  const outside = [{ shape: 'cylinder', diameter: '10 h9', length: 16 }];
  const run = await begin(page, 'WS-703', 1, { ...SPIGOT, outside });
  const window = page.getByRole('dialog');
  const comesOn = async (option: RegExp) => {
    await page.getByRole('button', { name: 'What happened' }).click();
    await page.getByRole('button', { name: 'A new bar' }).click();
    const choice = window.getByLabel('Comes on now');
    const found = choice.getByRole('option', { name: option });
    await expect(found).toHaveCount(1);
    await choice.selectOption(await found.innerText());
  };
  await comesOn(new RegExp(`^bar ${ids[0]} `));
  await expectAccessible(page);
  await page.getByRole('button', { name: 'It is on the lathe' }).click();
  await comesOn(new RegExp(`^bar ${ids[1]} `));
  await window.getByLabel(`Left of bar ${ids[0]}`).fill('1200');
  await page.getByRole('button', { name: 'So it is' }).click();
  // More than it was cannot be left: nothing is changed, and it is put right.
  await expect(window.getByRole('alert')).toContainText('1200 mm cannot be left of 1000 mm');
  await window.getByLabel(`Left of bar ${ids[0]}`).fill('120');
  await page.getByRole('button', { name: 'So it is' }).click();
  await expect(window).toHaveCount(0);
  const { items } = (await (await page.request.get('/api/rack')).json()) as {
    items: {
      id: number;
      length: number;
      offcut: boolean;
      batch: string;
      reserved: { run: number; length: number }[];
    }[];
  };
  const [first, second, offcut] = [
    items.find(({ id }) => id === ids[0]),
    items.find(({ id }) => id === ids[1]),
    items.find(({ batch, offcut }) => batch === 'B-703' && offcut),
  ];
  expect(first).toBeUndefined();
  expect(second?.reserved).toEqual([{ run: Number(run.split('/').at(-1)), length: 1000 }]);
  expect(offcut).toMatchObject({ length: 120 });
  // A press too many: taken back, the bar is whole on the rack again, and its rest is none.
  await page.getByRole('button', { name: 'What happened' }).click();
  await page.getByRole('button', { name: /^Take back: .*bar/ }).click();
  await expect(window).toHaveCount(0);
  const after = (await (await page.request.get('/api/rack')).json()) as { items: { id: number; length: number }[] };
  expect(after.items.find(({ id }) => id === ids[0])?.length).toBe(1000);
  expect(after.items.some(({ id }) => id === offcut?.id)).toBe(false);
});

test('a run of the demonstration teaches its minutes, and another run shows what was learned', async ({ page }) => {
  // What it teaches goes by its plan, which stands when nothing better comes any more.
  await openRun(page, 'Vane spindle');
  await page.getByRole('link', { name: 'Log' }).click();
  await page.getByRole('button', { name: 'Learn from this run' }).click();
  await expect(page.getByText(/The shop has learned from it/)).toBeVisible();
  await expect(page.getByRole('list', { name: 'Everything that happened' })).toContainText(
    'made up for the demonstration',
  );
  await openSaved(page, { ...SPIGOT, number: 'WS-708' });
  await page.getByRole('link', { name: 'Times', exact: true }).click();
  const learned = page.getByRole('region', { name: 'What was learned at the lathe' });
  await expect(learned).toContainText(/planned [\d.]+ min, learned [\d.]+/);
  await expect(learned).toContainText(/From .*WS-031.*, of the whole shop/);
});

test('no net for a while: it goes on, is kept on the device, and comes in order when the server is back', async ({
  page,
}) => {
  const run = await begin(page, 'WS-703', 4);
  await page.route('**/events**', (route) => route.abort());
  await done(page).click();
  await done(page).click();
  await expect(page.getByText(/No net: it goes on, \d+ kept on this device/)).toBeVisible();
  // Put in and faced: what is next is shown before it is asked what that is.
  await expect(stepShown(page)).toHaveText(/^20 /);
  const heading = await stepShown(page).textContent();
  await page.unroute('**/events**');
  await expect(page.getByText(/^all is kept/)).toBeVisible();
  const { events } = (await (await page.request.get(`/api${run}/events`)).json()) as {
    events: { kind: string; seq: number }[];
  };
  expect(events.map(({ kind }) => kind)).toEqual(['begun', 'done', 'done']);
  expect(events.map(({ seq }) => seq)).toEqual(events.map(({ seq }) => seq).toSorted((a, b) => a - b));
  await page.reload();
  await expect(stepShown(page)).toHaveText(heading ?? '');
});

test('a caliper sends what it shows to the size that is measured; a recording of a read-out is played to it', async ({
  page,
  browser,
}) => {
  await begin(page, 'WS-707', 3);
  await goOnTo(page, /Finish ⌀10 h9/);
  await page.getByRole('button', { name: /^Measure: .*9\.96/ }).click();
  const window = page.getByRole('dialog');
  const heard = page.waitForResponse('**/api/device-lines');
  await heard;
  const caliper = living(await (await browser.newContext()).newPage());
  await caliper.goto('/devices/caliper');
  await caliper.getByLabel('Size, mm').fill('9.98');
  await expectAccessible(caliper);
  await caliper.getByRole('button', { name: 'Send' }).click();
  await expect(window.getByLabel(/^Reading/)).toHaveValue('9.980');
  await expect(caliper.getByText('Sent, and heard by one page that measures.')).toBeVisible();
  await expect(window.getByText('Read from caliper (stand-in).')).toBeVisible();
  await expect(window.getByRole('heading', { name: 'Leave it' })).toBeVisible();
  // As a read-out sends while its slide comes in: the last line is where it stands.
  for (const line of ['X12.400 Z-3.000', 'X10.900 Z-9.100', 'X9.990 Z-16.000'])
    await send(page, 'post', '/api/device-lines', { device: 'read-out', line });
  await expect(window.getByLabel(/^Reading/)).toHaveValue('9.990');
  expect((await send(page, 'post', '/api/device-lines', { device: 'read-out', line: 'ERR 7' })).status()).toBe(422);
  await caliper.close();
});

test('a press that bounces is one press', async ({ page }) => {
  const run = await begin(page, 'WS-719', 4);
  const heading = stepShown(page);
  await done(page).evaluate((button: HTMLElement) => {
    button.click();
    button.click();
  });
  await expect(page.getByRole('heading', { name: 'Put piece 1 in' })).toHaveCount(0);
  const second = await heading.textContent();
  await done(page).click();
  await expect(heading).not.toHaveText(second ?? '');
  await expect(page.getByText(/^all is kept/)).toBeVisible();
  const { events } = (await (await page.request.get(`/api${run}/events`)).json()) as { events: { kind: string }[] };
  expect(events.map(({ kind }) => kind)).toEqual(['begun', 'done', 'done']);
});

test('the server gone altogether: the page is opened again on the device, and goes on', async ({ page, context }) => {
  const run = await begin(page, 'WS-706', 4);
  await expect(page.getByText('all is kept; opens without a net')).toBeVisible();
  await done(page).click();
  await expect(page.getByRole('heading', { name: 'Put piece 1 in' })).toHaveCount(0);
  const heading = stepShown(page);
  const before = await heading.textContent();
  await context.setOffline(true);
  await page.goto(`${run}/lathe`);
  await expect(heading).toHaveText(before ?? '');
  await done(page).click();
  await expect(page.getByText(/No net: it goes on/)).toBeVisible();
  await context.setOffline(false);
  await expect(page.getByText(/^all is kept/)).toBeVisible();
  const { events } = (await (await page.request.get(`/api${run}/events`)).json()) as { events: { kind: string }[] };
  expect(events.map(({ kind }) => kind)).toEqual(['begun', 'done', 'done']);
});

test('two devices on one run see each other’s pieces', async ({ page, browser }) => {
  const run = await begin(page, 'WS-704', 4);
  const other = living(await (await browser.newContext()).newPage());
  await other.goto(`${run}/lathe`);
  await expect(other.getByRole('heading', { name: 'Put piece 1 in' })).toBeVisible();
  await done(other).click();
  await expect(other.getByRole('heading', { name: 'Put piece 1 in' })).toHaveCount(0);
  const now = await stepShown(other).textContent();
  await expect(stepShown(page)).toHaveText(now ?? '');

  // Both without a net do the same step: told when it is back, kept both, until somebody says which it was.
  const both = [page, other];
  for (const device of both) {
    await device.route('**/events**', (route) => route.abort());
    await done(device).click();
    await expect(device.getByText(/No net: it goes on, 1 kept/)).toBeVisible();
  }
  for (const device of both) await device.unroute('**/events**');
  for (const device of both) await expect(device.getByText('Piece 1 was done on 2 devices')).toBeVisible();
  await expectAccessible(page);
  await page
    .getByRole('button', { name: /^As .* wrote it/ })
    .first()
    .click();
  for (const device of both) await expect(device.getByText('Piece 1 was done on 2 devices')).toHaveCount(0);
  const { events } = (await (await page.request.get(`/api${run}/events`)).json()) as { events: { kind: string }[] };
  expect(events.map(({ kind }) => kind).filter((kind) => kind !== 'begun')).toEqual(['done', 'done', 'done', 'struck']);
  await other.close();
});

/** Presses on, through every set-up, until all is made. */
async function pressToEnd(page: Page, heading: string): Promise<void> {
  await expect(async () => {
    await page.keyboard.press('PageDown');
    const ready = page.getByRole('button', { name: /^Begin with piece/ });
    if (await ready.isVisible()) await ready.click();
    await expect(page.getByRole('heading', { name: heading })).toBeVisible({ timeout: 100 });
  }).toPass({ intervals: [10] });
}

/** The finished diameter of the piece at hand is read, and the dial moved by what it is off. */
async function correct(page: Page, reading: string): Promise<void> {
  await goOnTo(page, /Finish ⌀10 h9/);
  await page.getByRole('button', { name: /^Measure: .*9\.96/ }).click();
  const window = page.getByRole('dialog');
  await window.getByLabel(/^Reading/).fill(reading);
  await window.getByRole('button', { name: 'It is moved by so much' }).click();
  await expect(window).toHaveCount(0);
}

test('a batch of twelve: two corrections, one scrap, a pause over a reload, no net for four pieces, and a second device', async ({
  page,
  browser,
}) => {
  const outside = [{ shape: 'cylinder', diameter: '10 h9', length: 16 }];
  const run = await begin(page, 'WS-718', 12, { ...SPIGOT, outside });
  await correct(page, '9.99');
  await pressTo(page, /^piece 2 of 12/);
  await correct(page, '9.97');
  await pressTo(page, /^piece 3 of 12/);
  await page.getByRole('button', { name: 'What happened' }).click();
  await page.getByLabel('In words').fill('torn');
  await page.getByRole('dialog').getByLabel('Because of').selectOption('dropped');
  await page.getByRole('button', { name: /Scrap it/ }).click();
  await expect(strip(page)).toHaveText(/^piece 4 of 13/);
  await page.getByRole('button', { name: 'What happened' }).click();
  await page.getByLabel('In words').fill('break');
  await page.getByRole('button', { name: 'Stop here for now' }).click();
  await page.reload();
  await page.getByRole('button', { name: 'Go on' }).click();
  await pressTo(page, /^piece 5 of 13/);
  await page.route('**/events**', (route) => route.abort());
  await pressTo(page, /^piece 9 of 13/);
  await expect(page.getByText(/No net: it goes on, \d+ kept on this device/)).toBeVisible();
  await page.unroute('**/events**');
  await expect(page.getByText(/^all is kept/)).toBeVisible();
  const other = living(await (await browser.newContext()).newPage());
  await other.goto(`${run}/lathe`);
  await expect(strip(other)).toHaveText(/^piece 9 of 13/);
  await pressTo(other, /^piece 11 of 13/);
  await expect(other.getByText(/^all is kept/)).toBeVisible();
  // It goes on here from where the other is: before that both would do the same step.
  const there = await stepShown(other).textContent();
  await expect(strip(page)).toHaveText(/^piece 11 of 13/);
  await expect(stepShown(page)).toHaveText(there ?? '');
  await pressToEnd(page, 'All made: 12 good, 1 scrap');
  // All of it has come to the server when the other device sees it.
  await expect(other.getByRole('heading', { name: 'All made: 12 good, 1 scrap' })).toBeVisible();
  await other.close();
  const { events } = (await (await page.request.get(`/api${run}/events`)).json()) as {
    events: { kind: string; device: string; seq: number; piece?: number; operation?: string }[];
  };
  const counted = (kind: string) => events.filter((event) => event.kind === kind).length;
  expect(['corrected', 'scrap', 'paused'].map(counted)).toEqual([2, 1, 1]);
  // Every step once, and each device's own in its order, though four pieces came late.
  const steps = events.filter(({ kind }) => kind === 'done').map(({ piece, operation }) => `${piece} ${operation}`);
  expect(new Set(steps).size).toBe(steps.length);
  const devices = [...new Set(events.map(({ device }) => device))];
  expect(devices).toHaveLength(2);
  for (const device of devices) {
    const own = events.filter((event) => event.device === device).map(({ seq }) => seq);
    expect(own).toEqual(own.toSorted((a, b) => a - b));
  }
});

test('cut otherwise: its limits are looked at before it is kept, and the next run of the part is told', async ({
  page,
}) => {
  const [journal, ...rest] = SPIGOT.outside;
  const part = { ...SPIGOT, outside: [{ ...journal, roughness: 1.6 }, ...rest] };
  await begin(page, 'WS-708', 3, part);
  await goOnTo(page, /Finish ⌀10 h9/);
  await page.getByRole('button', { name: 'What happened' }).click();
  const window = page.getByRole('dialog');
  await window.getByRole('button', { name: 'Cut otherwise …' }).click();
  await expect(window.getByRole('heading', { name: /Finish ⌀10 h9: cut otherwise/ })).toBeVisible();
  await window.getByLabel('Speed, rev/min').fill('quick');
  await expect(window.getByText('“quick” is no number above nothing')).toBeVisible();
  await expect(window.getByRole('button', { name: 'Keep: it is cut so' })).toBeDisabled();
  await window.getByLabel('Speed, rev/min').fill('500');
  await expect(window.getByRole('alert')).toContainText('has no 500 rev/min; next to it are 400 and 560');
  await window.getByLabel('Speed, rev/min').fill('560');
  await window.getByLabel('Feed, mm/rev').fill('0.3');
  // Ra of a nose of 0.4 at 0.3 a turn is 0.3² / (32 × 0.4) = 7 µm, and 1.6 are asked for.
  await expect(window.getByRole('row', { name: /roughness/ })).toContainText('beyond');
  await window.getByLabel('Feed, mm/rev').fill('0.1');
  // At 0.1 it is 0.8 µm.
  await expect(window.getByRole('row', { name: /roughness/ })).toContainText('0.78');
  await expectAccessible(page);
  await window.getByRole('button', { name: 'Keep: it is cut so' }).click();
  await expect(window).toHaveCount(0);
  await expect(page.locator('dd', { hasText: /^560$/ })).toBeVisible();

  // Its stop was moved as well.
  await expect(page.getByText(/^all is kept/)).toBeVisible();
  const run = new URL(page.url()).pathname.replace('/lathe', '');
  const { events } = (await (await page.request.get(`/api${run}/events`)).json()) as {
    events: { kind: string; operation: string; device: string; revision: number }[];
  };
  const { operation, device, revision } = events.find(({ kind }) => kind === 'changed') ?? {};
  const moved = { device: `${device} too`, revision, operation, seq: 0, at: '2026-11-30T09:00:00Z', id: randomUUID() };
  const corrected = { ...moved, kind: 'corrected', place: 'stop 1A', by: -0.05, what: 'shoulder' };
  expect((await send(page, 'post', `/api${run}/events`, { events: [corrected] })).ok()).toBe(true);

  await openSaved(page, { ...part, number: 'WS-708' }, { quantity: 5 });
  await page.getByRole('link', { name: 'Lathe' }).click();
  const proved = page.getByRole('region', { name: /^Proved the last time/ });
  await expect(proved.getByRole('listitem')).toHaveText([
    /stop 1A was moved for shoulder by −0\.050 mm/,
    /speed was changed to 560/,
    /feed was changed to 0\.1/,
  ]);
  await proved.getByRole('button', { name: 'Cut so again' }).click();
  await proved.getByRole('button', { name: 'Set stops and presets so again' }).click();
  await expect(page.getByLabel('What was moved at the lathe')).toContainText('−0.050');
  await page.getByRole('button', { name: 'Begin with piece 1' }).click();
  await goOnTo(page, /Finish ⌀10 h9/);
  await expect(page.locator('dd', { hasText: /^560$/ })).toBeVisible();
});

test('a mishap: a run of the piece as it is is made, put right, and what is left is planned', async ({ page }) => {
  await begin(page, 'WS-709', 3);
  await goOnTo(page, /Finish ⌀10 h9/);
  await page.getByRole('button', { name: 'What happened' }).click();
  const window = page.getByRole('dialog');
  await window.getByRole('button', { name: 'Plan on from it as it is …' }).click();
  await expect(window.getByText('Piece 1: plan on from it as it is')).toBeVisible();
  await window.getByLabel('Pieces that are so').fill('some');
  await expect(window.getByText('“some” is no number of pieces')).toBeVisible();
  await window.getByLabel('Pieces that are so').fill('2');
  await expectAccessible(page);
  await window.getByRole('button', { name: 'Plan on' }).click();
  await expect(page).toHaveURL(/\/runs\/\d+\/part/);
  // Its middle is 9.982, and 0.25 a side are left for the finish.
  const lines = page.getByLabel(/^The piece from its front end/);
  await expect(lines).toHaveValue(/^10\.482; 15\.9/);
  await lines.fill('10.6; 15.9\n16; 8.4');
  await page.getByRole('link', { name: 'Sheet', exact: true }).click();
  await expectSettled(page);
  // ⌀10 is roughed already: what is left of it is its finish.
  const route = page.getByRole('listbox');
  await expect(route.getByRole('option', { name: /Finish ⌀10 h9/ })).toBeVisible();
  await expect(route.getByRole('option', { name: /Rough ⌀10/ })).toHaveCount(0);
});

test('on a phone nothing at the lathe runs over its edge, and the next is under the thumb', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  const run = await begin(page, 'WS-705', 4);
  await done(page).click();
  await expectSettledAtLathe(page);
  expect(await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)).toBe(0);
  // No button's words run over it into the next.
  const over = (button: Element) => button.scrollWidth - button.clientWidth;
  for (const button of await page.getByRole('main').getByRole('button').all())
    expect(await button.evaluate(over)).toBe(0);
  const box = await done(page).boundingBox();
  expect((box?.y ?? 0) + (box?.height ?? 0)).toBeLessThanOrEqual(844);
  expect(box?.height ?? 0).toBeGreaterThanOrEqual(56);
  await page.goto(`${run}/log`);
  await expect(page.getByRole('heading', { name: 'Everything that happened' })).toBeVisible();
  expect(await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)).toBe(0);
});

const expectSettledAtLathe = (page: Page) => expect(page.getByRole('img', { name: /^The work/ })).toBeVisible();

test('another order is made at the lathe: what it breaks and costs is told, left it is as it was, kept it is saved', async ({
  page,
}) => {
  const run = await begin(page, 'WS-716', 3);
  const window = page.getByRole('dialog');
  const opened = async () => {
    await page.getByRole('button', { name: 'What happened' }).click();
    await page.getByRole('button', { name: 'Another order …' }).click();
  };
  const names = () =>
    window
      .getByRole('list', { name: /^Order of set-up/ })
      .locator('li > span')
      .allInnerTexts();
  await opened();
  await expect(window.getByRole('button', { name: 'Keep: it is made so' })).toBeDisabled();
  await expectAccessible(page);
  const planned = await names();
  const name = planned[1]?.replace(/^\d+ /, '') ?? '';
  const moved = () => window.getByRole('button', { name: `${name}: later`, exact: true }).click();
  await moved();
  await expect(window.getByRole('list', { name: 'Decided' })).toContainText('not followed, against a hard rule');
  // Roughing after its finish is nothing that is kept without a signature.
  await expect(window.getByRole('button', { name: 'Keep: it is made so' })).toBeDisabled();
  await window.getByRole('button', { name: 'As it was' }).click();
  await expect(page.getByRole('main')).toBeVisible();
  await opened();
  expect(await names()).toEqual(planned);
  await moved();
  await window.getByLabel('Reason').fill('the bar runs out');
  await window.getByLabel('Signed').fill('turner 1');
  await window.getByRole('button', { name: 'Do it anyway' }).click();
  await window.getByRole('button', { name: 'Keep: it is made so' }).click();
  await expect(window).toHaveCount(0);
  await expect(page.getByRole('status').filter({ hasText: /^saved / })).toBeVisible();
  const id = run.split('/').at(-1);
  const { run: kept } = (await (await page.request.get(`/api/runs/${id}`)).json()) as {
    run: { file: { overrules?: object[] } };
  };
  expect(kept.file.overrules?.length).toBeGreaterThan(0);
  await page.reload();
  await opened();
  expect(await names()).not.toEqual(planned);
});

test('two lathes at one run: the second goes on with what is through the first set-up, and hears of the next by itself', async ({
  page,
  browser,
}) => {
  const run = await begin(page, 'WS-718', 2);
  const context = await browser.newContext();
  const other = living(await context.newPage());
  // As the tablet of the other lathe opens it where the days have its second part there.
  await other.goto(`${run}/lathe?from=2`);
  await expect(other.getByRole('heading', { name: 'No piece is here yet' })).toBeVisible();
  await expectAccessible(other);
  await goOnTo(page, /Put piece 2 in/);
  await expect(other.getByRole('button', { name: 'Begin with piece 1' })).toBeVisible();
  await other.getByRole('button', { name: 'Begin with piece 1' }).click();
  await expect(other.getByText('set-up 2 of 2')).toBeVisible();
  await expect(strip(other)).toHaveText(/^piece 1 of 2/);
  // The first lathe is at its second piece, whatever the second does.
  await done(other).click();
  await expect(strip(page)).toHaveText(/^piece 2 of 2/);
  await expect(page.getByText('set-up 1 of 2')).toBeVisible();
  await expectAccessible(other);
  // Kept on that device, and put back there.
  await other.goto(`${run}/lathe`);
  await expect(other.getByText('set-up 2 of 2')).toBeVisible();
  await other.getByLabel('Set-ups made at this lathe').selectOption('all set-ups here');
  await expect(other.getByText('set-up 1 of 2')).toBeVisible();
  await context.close();
});
