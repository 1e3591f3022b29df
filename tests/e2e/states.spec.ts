import { expect, expectAccessible, expectSettled, makeRun, openMade, openRun, send, test } from './page';

/** A part with many steps, saved as a run; returns its address. */
async function crowdedRun(page: import('@playwright/test').Page): Promise<string> {
  const outside = Array.from({ length: 9 }, (_, index) => ({
    shape: 'cylinder',
    diameter: 8 + 2 * index,
    length: index === 8 ? 14 : 6,
    chamfers: index % 2 ? { front: 0.4 } : {},
  }));
  const bores = [{ from: 'front', shape: 'drill', diameter: 4, depth: 20 }];
  const part = { number: 'T-CROWD', name: 'Crowded', material: 'mild-steel', outside, bores };
  const answer = await send(page, 'post', '/api/runs', {
    file: { format: 'shingle-run/1', units: 'mm', part, quantity: 5, firstEnd: 'front' },
  });
  const { run } = (await answer.json()) as { run: { id: number } };
  return `/runs/${run.id}`;
}

test('a crowded sheet: every operation is reached, every stop has its own place', async ({ page }) => {
  await page.goto(await crowdedRun(page));
  await expectSettled(page);
  const options = page.getByRole('option');
  expect(await options.count()).toBeGreaterThan(20);
  for (let press = 0; press < 12; press += 1) await page.keyboard.press('ArrowDown');
  await expect(page.getByRole('option', { selected: true })).toHaveCount(1);
  const pins = page.locator('svg[aria-label^="Sheet"] path[data-pin]');
  await expect.poll(() => pins.count()).toBeGreaterThan(15);
  const heads = await pins.evaluateAll((all) =>
    all
      .map((head) => {
        const { x, width } = (head as SVGGraphicsElement).getBBox();
        return x + width / 2;
      })
      .sort((a, b) => a - b),
  );
  heads.slice(1).forEach((x, index) => expect(x - (heads[index] ?? 0)).toBeGreaterThan(18));
  await expectAccessible(page);
});

test('the drawing is true to scale: a diameter and a length of one size are as long on the screen', async ({
  page,
}) => {
  const address = await openMade(page, 'T-SCALE');
  // ⌀12 × 30 has an outline of 30 by 6 in the upper half.
  await page.goto(address);
  await expect(page.getByRole('listbox')).toBeVisible();
  const ratio = await page.locator('svg[aria-label^="Sheet"]').evaluate((svg) => {
    const outlines = [...svg.querySelectorAll<SVGPathElement>('path[stroke="var(--ink)"][stroke-width="1.8"]')];
    const line = outlines[0]?.getBBox();
    const ends = [...svg.querySelectorAll<SVGLineElement>('line[stroke-width="1.8"]')].map((end) =>
      Math.abs(end.y2.baseVal.value - end.y1.baseVal.value),
    );
    return (line?.width ?? 0) / (ends[0] ?? 1);
  });
  expect(ratio).toBeCloseTo(30 / 6, 1);
});

test('what is no longer true is dimmed and said; undo makes it true again', async ({ page }) => {
  await openRun(page, 'Sensor spacer');
  await page.getByRole('button', { name: '⌀26, change this diameter' }).click();
  await page.getByRole('dialog').getByRole('textbox').fill('40');
  const said = page.getByRole('alert').filter({ hasText: 'cannot be planned' });
  await expect(said).toContainText('Stock size ⌀30 drawn: will not clean up; 40.2 mm is the smallest that does');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(said).toBeHidden();
  await expect(page.getByRole('button', { name: '⌀26, change this diameter' })).toBeVisible();
});

test('selecting a diameter, a tile’s name, a pin or a block selects it everywhere', async ({ page }) => {
  await openRun(page, 'Sensor spacer');
  const panel = page.getByRole('complementary', { name: 'Selected operation' }).getByRole('heading', { level: 2 });
  await page.getByRole('button', { name: '⌀26, change this diameter' }).click();
  await page.keyboard.press('Escape');
  await expect(panel).toHaveText('60 Finish ⌀26, flange');
  await expect(page.getByRole('option', { selected: true })).toContainText('Finish ⌀26');
  await page.getByText('27.84', { exact: true }).click();
  await expect(panel).toHaveText('50 Drill ⌀6.8 through');
  await page.getByRole('option', { name: /Chamfer/ }).click();
  await expect(panel).toContainText('80 Chamfer');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('complementary', { name: 'Set-up' })).toBeVisible();
});

test('the set-up says what it is made from, both ways, and why', async ({ page }) => {
  await openRun(page, 'Vane spindle');
  const panel = page.getByRole('complementary', { name: 'Set-up' });
  await expect(panel).toContainText('sawn blanks, chosen');
  await expect(panel).toContainText('quicker over the batch by');
  await expect(panel).toContainText(/⌀20 drawn would do too, and costs \d+\.\d\d € more over the run/);
  await panel.getByRole('button', { name: /^smallest bar that cleans up/ }).click();
  await expect(page.getByRole('dialog')).toContainText('larger of (D + 2 · s + r, D + 2 · t)');
});

test('a way that cannot be says so where the ways are', async ({ page }) => {
  await openRun(page, 'Cup-arm hub');
  const panel = page.getByRole('complementary', { name: 'Set-up' });
  await expect(panel).toContainText('cannot be');
  await expect(panel).toContainText('does not pass the spindle bore');
});

test('units are changed for the whole run, and what was typed stays as it was typed', async ({ page }) => {
  const address = await makeRun(page, 'T-UNITS');
  await page.goto(`${address}/part`);
  await page.getByLabel('Diameter of step 1').fill('1/2 in');
  await page.getByLabel('Length of step 1').fill('25 mm');
  await expect(page.getByRole('group', { name: /25 mm long: ⌀12.7/ })).toBeVisible();
  await page.getByLabel('Units').selectOption('in');
  await expect(page.getByRole('group', { name: /0.9843 in long: ⌀0.5/ })).toBeVisible();
  await expect(page.getByLabel('Length of step 1')).toHaveValue('25 mm');
});

test('named stock, a bar too short for a piece, and what would do', async ({ page }) => {
  const address = await makeRun(page, 'T-STOCK');
  await page.goto(`${address}/part`);
  await page.getByLabel('Way', { exact: true }).selectOption('from-bar');
  await page.getByLabel('Bar', { exact: true }).selectOption('named');
  await page.getByLabel('Diameter of the bar').fill('14');
  await expect(page.getByText('The plan is there')).toBeVisible();
  await page.getByLabel('Bar length').fill('50');
  await expect(page.getByText(/a bar of 50 mm gives no piece: each takes 32.1 mm/).first()).toBeVisible();
  await page.getByLabel('Bar length').fill('2 m');
  await expect(page.getByText('The plan is there')).toBeVisible();
});

test('the theme is kept from page to page, and from visit to visit', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'Night shift' }).click();
  await expectAccessible(page);
  await page.getByRole('link', { name: /New run/ }).click();
  await expect(page.getByRole('button', { name: 'Day shift' })).toBeVisible();
  await expect(page.getByLabel('Part number')).toBeVisible();
  // That of the page that was left goes before that of the new one comes.
  await expect(page).toHaveTitle(/ · Shingle/);
  await expectAccessible(page);
  await page.reload();
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'night');
});

test('runs that leave the machine set up for each other are told on the board, with what stays and what that saves', async ({
  page,
}) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'Made one after the other' }).click();
  const together = page.getByRole('dialog', { name: 'Best made one after the other' });
  const row = together.getByRole('row').nth(1);
  await expect(row).toContainText(/tools?/);
  await expect(row).toContainText(/\d min$/);
  await expectAccessible(page);
  await row.getByRole('link').first().click();
  await expect(page.getByRole('link', { name: 'Sheet', exact: true })).toBeVisible();
});
