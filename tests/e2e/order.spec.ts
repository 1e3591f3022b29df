import type { Page } from '@playwright/test';
import { expect, expectAccessible, expectSettled, openSaved, test } from './page';

const cylinder = (diameter: number, length: number) => ({ shape: 'cylinder', diameter, length });

/** A stud with a groove and a knurl, saved as a new run; its sheet is open. */
const openStud = (page: Page, number: string) =>
  openSaved(page, {
    number,
    name: 'Earth stud',
    revision: 'A',
    material: 'brass-cw614n',
    outside: [cylinder(14, 14), cylinder(21, 12)],
    details: [
      { kind: 'groove', at: 6, width: 2, bottom: 11 },
      { kind: 'knurl', at: 15, length: 8, pattern: 'diamond', pitch: 0.8 },
    ],
  });

const names = async (page: Page) => page.getByRole('option').locator('.name').allTextContents();
const panel = (page: Page) => page.getByRole('complementary', { name: 'Selected operation' });
const placeOf = async (page: Page, name: string) => (await names(page)).findIndex((own) => own.startsWith(name));

/** How many places one operation stands behind another. */
async function between(page: Page, first: string, then: string): Promise<number> {
  const all = await names(page);
  const place = (name: string) => all.findIndex((own) => own.startsWith(name));
  return place(then) - place(first);
}

test('a tile is moved by mouse: the broken rule and the cost are told, it stays over save and reload, and goes back', async ({
  page,
}) => {
  await openStud(page, 'WS-921');
  expect(await placeOf(page, 'Knurl')).toBeLessThan(await placeOf(page, 'Finish ⌀14'));
  await page.getByRole('button', { name: 'Move tiles' }).click();
  const order = page.getByRole('grid', { name: 'Order of set-up 1' });
  await order
    .getByRole('row', { name: /Knurl/ })
    .dragTo(order.getByRole('row', { name: /Groove/ }), { targetPosition: { x: 120, y: 3 } });
  await expect(order.getByRole('row').filter({ hasText: /Finish ⌀14/ })).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Done moving' }).click();
  await expect.poll(() => between(page, 'Finish ⌀14', 'Knurl')).toBeGreaterThan(0);
  await page.getByRole('option', { name: /Knurl/ }).click();
  await expect(page.getByRole('option', { name: /Knurl/ }).getByLabel('place decided, against a rule')).toBeVisible();
  await expect(panel(page).getByRole('list', { name: 'Decided' })).toContainText('so decided');
  await expect(panel(page)).toContainText('Broken: A knurl wants force and pushes metal out');
  await expect(panel(page)).toContainText(/It (costs|saves) .*a piece|It costs nothing/);
  const decided = await names(page);
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText(/^saved/)).toBeVisible();
  await page.reload();
  await expectSettled(page);
  expect(await names(page)).toEqual(decided);
  await page.getByRole('option', { name: /Knurl/ }).click();
  await panel(page).getByRole('button', { name: 'Let Shingle decide again' }).click();
  await expect.poll(() => between(page, 'Finish ⌀14', 'Knurl')).toBeLessThan(0);
});

test('the tile itself is dragged over another, and shows where it would come to lie', async ({ page }) => {
  await openStud(page, 'WS-926');
  const before = await names(page);
  const box = async (kind: string) => {
    const own = await page.locator(`[data-tile^="${kind}:"]`).first().boundingBox();
    if (!own) throw new Error(`no tile of ${kind}`);
    return { x: own.x + own.width / 2, y: own.y + 8 };
  };
  const [from, to] = [await box('groove'), await box('turn-finish')];
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  await page.mouse.move(from.x, (from.y + to.y) / 2, { steps: 4 });
  await page.mouse.move(from.x, to.y, { steps: 4 });
  await expect(page.locator('[data-gap]')).toHaveCount(1);
  await page.mouse.up();
  await expect.poll(() => names(page)).not.toEqual(before);
  await expect(page.getByRole('option', { name: /Groove/ }).getByLabel(/place decided/)).toBeVisible();
});

test('by keyboard, and taken back by undo', async ({ page }) => {
  await openStud(page, 'WS-922');
  const before = await names(page);
  await page.getByRole('option', { name: /Groove/ }).click();
  await page.keyboard.press('Alt+ArrowUp');
  await expect(panel(page).getByRole('list', { name: 'Decided' })).toContainText('so decided');
  await expect.poll(() => names(page)).not.toEqual(before);
  await page.keyboard.press('Control+z');
  await expect.poll(() => names(page)).toEqual(before);
});

test('a hard rule waits for a reason that is signed, with the name of the device, and then it is broken in the open', async ({
  page,
}) => {
  await page.addInitScript(() => localStorage.setItem('shingle-device', 'lathe 1'));
  await openStud(page, 'WS-923');
  await page.getByRole('option', { name: /Knurl/ }).click();
  while ((await placeOf(page, 'Knurl')) > (await placeOf(page, 'Finish ⌀21'))) {
    await panel(page).getByRole('button', { name: 'Earlier' }).click();
    if (await panel(page).getByText('not followed, against a hard rule').first().isVisible()) break;
  }
  await expect(panel(page).getByText('not followed, against a hard rule').first()).toBeVisible();
  await expect(panel(page)).toContainText('SHAPE-AFTER-CYLINDER');
  const sign = panel(page).getByRole('button', { name: 'Do it anyway' }).first();
  await expect(sign).toBeDisabled();
  await panel(page).getByLabel('Reason').first().fill('the bar is drawn to size');
  await expect(panel(page).getByLabel('Signed').first()).toHaveValue('lathe 1');
  await sign.click();
  await expect(panel(page)).toContainText('Signed lathe 1: the bar is drawn to size.');
  await expect.poll(() => between(page, 'Finish ⌀21', 'Knurl')).toBeLessThan(0);
  await page.getByRole('link', { name: 'Print' }).click();
  await expect(page.getByText(/breaks SHAPE-AFTER-CYLINDER.*signed lathe 1/)).toBeVisible();
});

test.describe('on a tablet', () => {
  test.use({ hasTouch: true, viewport: { width: 1024, height: 768 } });

  test('by touch', async ({ page }) => {
    await openStud(page, 'WS-924');
    const before = await names(page);
    await page.getByRole('option', { name: /Groove/ }).tap();
    await panel(page).getByRole('button', { name: 'Earlier' }).tap();
    await expect.poll(() => names(page)).not.toEqual(before);
  });
});

test('sequences are compared, each with its figures or the reason against it, and another is taken', async ({
  page,
}) => {
  await openStud(page, 'WS-925');
  await page.getByRole('button', { name: 'Compare sequences …' }).click();
  const table = page.getByRole('dialog', { name: 'Sequences compared' });
  await expect(table.getByRole('row')).toHaveCount(5);
  await expect(table.getByText('the plan', { exact: true })).toHaveCount(1);
  await expectAccessible(page);
  await table.getByRole('button', { name: 'Take front first, sawn blanks' }).click();
  await expect(table.getByRole('row', { name: /Front first, sawn blanks/ })).toContainText('the plan');
  await page.keyboard.press('Escape');
  await expect(page.getByText('in a collet, on the blank, from the front')).toBeVisible();
  await expectSettled(page);
  // What is left on its blank is decided in the same place, and undone like anything else.
  await page.getByRole('button', { name: 'Left on …' }).click();
  const blank = page.getByRole('dialog', { name: 'What is left on' });
  await expect(blank.getByRole('row', { name: /^nothing/ })).toContainText('the plan');
  await blank.getByRole('button', { name: 'Take a spigot to hold it by' }).click();
  await page.getByRole('button', { name: 'Left on …' }).click();
  await expect(blank.getByRole('row', { name: /^a spigot/ })).toContainText('the plan');
});
