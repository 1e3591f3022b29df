import { type Page } from '@playwright/test';
import { expect, expectAccessible, expectReadableByNight, send, test } from './page';

const PART = {
  name: 'Stud for a rush',
  material: 'brass-cw614n',
  outside: [
    { shape: 'cylinder', diameter: '10 h9', length: 16 },
    { shape: 'cylinder', diameter: 16, length: 8 },
  ],
};

/** A day so many days from now, as 2026-12-24. */
const dayIn = (days: number) => new Date(Date.now() + days * 86_400_000).toISOString().slice(0, 10);

const made = async (page: Page, number: string, due: string, quantity = 40): Promise<number> => {
  const file = { format: 'shingle-run/1', units: 'mm', quantity, due, part: { ...PART, number } };
  const { run } = (await (await send(page, 'post', '/api/runs', { file })).json()) as { run: { id: number } };
  return run.id;
};

/** Every run is planned on every lathe, and placed. */
async function expectPlaced(page: Page): Promise<void> {
  await expect(page.getByRole('status').filter({ hasText: 'making ready' })).toBeVisible({ timeout: 180_000 });
  await expect(page.locator('[aria-busy=true]')).toHaveCount(0, { timeout: 60_000 });
}

const block = (page: Page, number: string) => page.getByRole('button', { name: new RegExp(`^${number} .*from`) });
const lane = (page: Page, name: string) => page.getByRole('region', { name, exact: true });

test('three rush jobs by keyboard alone: placed, tried elsewhere with what it does, taken, undone, kept', async ({
  page,
}) => {
  for (const number of ['WS-721', 'WS-722', 'WS-723']) await made(page, number, dayIn(9));
  await page.goto('/days');
  await expectPlaced(page);
  await expectAccessible(page);
  await expectReadableByNight(page);
  for (const number of ['WS-721', 'WS-722', 'WS-723']) {
    const own = block(page, number);
    await own.focus();
    await page.keyboard.press('Enter');
    await expect(page.getByRole('heading', { name: new RegExp(`^${number}`) })).toBeVisible();
    // What it would do elsewhere is told before it is taken; Escape and Enter are the browser's own.
    await page.getByRole('button', { name: 'Where it could come in between …' }).focus();
    await page.keyboard.press('Enter');
    const places = page.getByRole('list', { name: 'Places for it' }).getByRole('listitem');
    await expect(places.first()).toContainText(/there .*(nobody else is made late|makes late)/);
    await places.first().getByRole('button').focus();
    await page.keyboard.press('Enter');
    await expect(page.getByRole('heading', { name: new RegExp(`^${number} on .*\\?$`) })).toBeVisible();
    await expect(page.getByRole('button', { name: 'Take it' })).toBeFocused();
    await page.keyboard.press('Enter');
    await expect(page.getByRole('button', { name: 'Take it' })).toHaveCount(0);
    await expectPlaced(page);
  }
  // Minutes go by meanwhile, and what begins today with them: where it stands and what is promised of it is the same.
  const placedAs = async () => (await block(page, 'WS-723').getAttribute('aria-label'))?.replace(/\d\d:\d\d/g, '…');
  const before = await placedAs();
  // With Alt and an arrow it is tried a lathe further down.
  await block(page, 'WS-723').focus();
  await page.keyboard.press('Alt+ArrowDown');
  await expect(page.getByRole('heading', { name: /^WS-723 on .*\?$/ })).toBeVisible();
  await page.getByRole('button', { name: 'Leave it' }).focus();
  await page.keyboard.press('Enter');
  await expect.poll(placedAs).toBe(before);
  const calendar = await page.request.get('/api/days/calendar');
  expect(await calendar.text()).toMatch(/^BEGIN:VCALENDAR[\s\S]*SUMMARY:WS-723 Stud for a rush/);
  expect((await page.request.get('/api/days/calendar?lathe=nowhere')).status()).toBe(404);
  // One that is promised for today and cannot be: what would help is tried, and what endangers it.
  await made(page, 'WS-725', dayIn(0), 4000);
  await page.reload();
  await expectPlaced(page);
  await page.getByRole('button', { name: 'What would help …' }).click();
  await expect(page.getByRole('list', { name: 'What would help' })).toContainText(
    'WS-725 bought in: 1.0 promises more kept',
  );
  await block(page, 'WS-725').click();
  await page.getByRole('button', { name: 'What endangers it …' }).click();
  await expect(page.getByText('No single run: it is promised sooner')).toBeVisible();
  await expectAccessible(page);
  // What was taken is there after a reload.
  await page.reload();
  await expectPlaced(page);
  await expect.poll(placedAs).toBe(before);
});

test('a run is dragged to another lathe, and what is decided of it holds', async ({ page }) => {
  const id = await made(page, 'WS-724', dayIn(20));
  await page.goto('/days');
  await expectPlaced(page);
  const own = block(page, 'WS-724');
  await own.scrollIntoViewIfNeeded();
  const from = await own.boundingBox();
  const to = await lane(page, 'centre lathe C').boundingBox();
  if (!from || !to) throw new Error('both are drawn');
  await page.mouse.move(from.x + 6, from.y + 10);
  await page.mouse.down();
  await page.mouse.move(from.x + 6, to.y + 50, { steps: 6 });
  await page.mouse.up();
  await expect(page.getByRole('heading', { name: /^WS-724 on centre lathe C/ })).toBeVisible();
  await page.getByRole('button', { name: 'Take it' }).click();
  await expect(lane(page, 'centre lathe C').getByRole('button', { name: /^WS-724/ })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('button', { name: 'Undo' })).toHaveCount(0);
  // Not before a day: it begins then or later.
  await own.click();
  await page.getByLabel('Not before').fill(dayIn(12));
  await expectPlaced(page);
  const days = (await (await page.request.get('/api/days')).json()) as { days: { runs: object[] } };
  expect(days.days.runs).toContainEqual({ run: id, release: dayIn(12) });
});

test.describe('by touch', () => {
  test.use({ hasTouch: true, viewport: { width: 820, height: 1180 } });

  test('three rush jobs by touch on a tablet: tapped and taken where they come in between, dragged to another lathe', async ({
    page,
  }) => {
    for (const number of ['WS-731', 'WS-732', 'WS-733']) await made(page, number, dayIn(9));
    await page.goto('/days');
    await expectPlaced(page);
    for (const number of ['WS-731', 'WS-732']) {
      await block(page, number).tap();
      await expect(page.getByRole('heading', { name: new RegExp(`^${number}`) })).toBeVisible();
      await page.getByRole('button', { name: 'Where it could come in between …' }).tap();
      await page.getByRole('list', { name: 'Places for it' }).getByRole('button').first().tap();
      await page.getByRole('button', { name: 'Take it' }).tap();
      await expect(page.getByRole('button', { name: 'Take it' })).toHaveCount(0);
      await expectPlaced(page);
    }
    const own = block(page, 'WS-733');
    await own.scrollIntoViewIfNeeded();
    const from = await own.boundingBox();
    const others = page.getByRole('region', { name: /lathe/ }).filter({ hasNot: own });
    const to = await others.last().boundingBox();
    const name = (await others.last().getAttribute('aria-label')) ?? '';
    if (!from || !to) throw new Error('both are drawn');
    const finger = await page.context().newCDPSession(page);
    const touch = (type: 'touchStart' | 'touchMove' | 'touchEnd', y?: number) =>
      finger.send('Input.dispatchTouchEvent', { type, touchPoints: y === undefined ? [] : [{ x: from.x + 8, y }] });
    const [begins, ends] = [from.y + 12, to.y + 50];
    await touch('touchStart', begins);
    for (let part = 1; part <= 6; part++) await touch('touchMove', begins + ((ends - begins) * part) / 6);
    await touch('touchEnd');
    await expect(page.getByRole('heading', { name: new RegExp(`^WS-733 on ${name}`) })).toBeVisible();
    await page.getByRole('button', { name: 'Take it' }).tap();
    await expect(lane(page, name).getByRole('button', { name: /^WS-733/ })).toBeVisible();
  });
});

test('a run is made in two parts, the second on another lathe, and in three; pinned to a day; and in one go again', async ({
  page,
}) => {
  await made(page, 'WS-726', dayIn(25));
  await page.goto('/days');
  await expectPlaced(page);
  // An order stands, whatever was made before.
  const notTaken = page.getByRole('button', { name: 'Take this order' });
  if (await notTaken.isVisible()) await notTaken.click();
  await expect(notTaken).toHaveCount(0);
  await expectPlaced(page);
  await block(page, 'WS-726').click();
  const panel = page.getByRole('region', { name: /^WS-726/ });
  await panel.getByLabel('Made', { exact: true }).selectOption('some pieces after the others');
  await expectPlaced(page);
  await panel.getByLabel('Pieces of each part but the last, of 40').fill('40');
  await expect(panel.getByText('“40”: numbers of pieces, as 10, 10, together less than 40')).toBeVisible();
  await panel.getByLabel('Pieces of each part but the last, of 40').fill('12');
  await panel.getByLabel('Pieces of each part but the last, of 40').blur();
  await expect(panel.getByText('the other 28: ')).toBeVisible();
  await panel.getByLabel('Second part on').selectOption('centre lathe C');
  await expect(lane(page, 'centre lathe C').getByRole('button', { name: /^WS-726 .*the other 28/ })).toBeVisible();
  await expectAccessible(page);
  await expect(page.getByRole('row', { name: /WS-726/ })).toHaveCount(2);
  // In three parts, the second still where it was.
  await panel.getByLabel('Pieces of each part but the last, of 40').fill('12, 10');
  await panel.getByLabel('Pieces of each part but the last, of 40').blur();
  await expect(panel.getByText('the next 10: ')).toBeVisible();
  await expect(lane(page, 'centre lathe C').getByRole('button', { name: /^WS-726 .*the next 10/ })).toBeVisible();
  await expect(panel.getByLabel('Third part on')).toHaveValue('');
  await expect(page.getByRole('row', { name: /WS-726/ })).toHaveCount(3);
  // Begun on a day that is gone already: it is told, and nothing is moved for it.
  await panel.getByLabel('Begun on').fill(dayIn(-3));
  await expect(page.getByRole('status').filter({ hasText: 'is pinned to a day before it can begin' })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('is pinned to a day before it can begin')).toHaveCount(0);
  // From its second set-up on it goes to the other lathe while the first is at it, where both make the same until then.
  await panel.getByLabel('Made', { exact: true }).selectOption('from set-up 2 on by itself');
  await expect(panel.getByText('from set-up 2 on: ')).toBeVisible();
  await page.reload();
  await expectPlaced(page);
  await block(page, 'WS-726').first().click();
  await expect(panel.getByLabel('Made', { exact: true })).toHaveValue('2');
  const calendar = await (await page.request.get('/api/days/calendar')).text();
  expect(calendar).toMatch(/SUMMARY:WS-726 Stud for a rush from set-up 2 on/);
  await panel.getByLabel('Made', { exact: true }).selectOption('in one go');
  await expect(block(page, 'WS-726')).toHaveCount(1);
});

test('who works when: wrong hours are told and not kept, a lathe without anybody is told', async ({ page }) => {
  await page.goto('/days?window=hours');
  const window = page.getByRole('dialog');
  await expect(window).toBeVisible();
  const monday = window.getByLabel('Hours of turner 3 on Monday');
  await monday.fill('7-12');
  await expect(window.getByText('hours as 07:00-12:00 12:30-15:30')).toBeVisible();
  await expect(window.getByRole('button', { name: 'Keep', exact: true })).toBeDisabled();
  await expectAccessible(page);
  await monday.fill('');
  const overtime = window.getByLabel('Overtime that is tried');
  await overtime.fill('two hours');
  await expect(window.getByText('whole minutes, at most 720')).toBeVisible();
  await expect(window.getByRole('button', { name: 'Keep', exact: true })).toBeDisabled();
  await overtime.fill('60');
  for (const weekday of ['Tuesday', 'Wednesday', 'Thursday', 'Friday'])
    await window.getByLabel(`Hours of turner 3 on ${weekday}`).fill('');
  await window.getByLabel('Where turner 1 stands on Monday after the break').selectOption('bench lathe B');
  const service = window.getByLabel('bench lathe B is not to be had');
  await service.fill('next week');
  await expect(window.getByRole('button', { name: 'Keep', exact: true })).toBeDisabled();
  await service.fill(`${dayIn(40)} to ${dayIn(41)}`);
  await window.getByRole('button', { name: 'Keep', exact: true }).click();
  await expectPlaced(page);
  await expect(lane(page, 'centre lathe C')).toContainText('nobody stands here');
  expect(((await (await page.request.get('/api/days')).json()) as { days: object }).days).toMatchObject({
    overtime: 60,
    service: [{ lathe: 'bench-lathe-b', from: dayIn(40), to: dayIn(41) }],
    people: expect.arrayContaining([
      expect.objectContaining({
        name: 'turner 1',
        stands: expect.arrayContaining([expect.stringMatching(/^.+;.+$/)]) as unknown,
      }),
    ]) as unknown,
  });
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(lane(page, 'centre lathe C')).not.toContainText('nobody stands here');
  // Whoever began with an older revision overwrites nothing; what is wrong is told with its place.
  const { days, revision } = (await (await page.request.get('/api/days')).json()) as { days: object; revision: number };
  expect((await send(page, 'put', '/api/days', { base: revision - 1, days })).status()).toBe(409);
  const broken = await send(page, 'put', '/api/days', {
    base: revision,
    days: { ...days, closed: [{ from: 'soon' }] },
  });
  expect(broken.status()).toBe(422);
  expect(await broken.text()).toContain('closed[0].from');
  // On a phone nothing runs over its edge.
  await page.setViewportSize({ width: 390, height: 844 });
  expect(await page.evaluate(() => document.documentElement.scrollWidth - innerWidth)).toBe(0);
});
