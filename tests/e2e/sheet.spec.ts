import { expect, expectAccessible, expectSettled, foot, makeRun, openRun, test } from './page';

test('the board shows the demo runs, one of them in inches', async ({ page }) => {
  await page.goto('/');
  const runs = page.getByRole('list', { name: 'Runs' }).getByRole('listitem');
  expect(await runs.count()).toBeGreaterThanOrEqual(4);
  await expect(runs.filter({ hasText: 'Sensor spacer' })).toContainText('120');
  await expect(runs.filter({ hasText: 'Terminal pillar' })).toContainText('inch');
  await expectAccessible(page);
});

test('the sheet of a run: figures, operations by keyboard, passes, the stock after each', async ({ page }) => {
  await openRun(page, 'Sensor spacer');
  await expect(foot(page, 'pieces a bar')).toHaveText('116');
  await expect(foot(page, 'left, the grip in it')).toHaveText('2798.70 mm');
  await page.keyboard.press('ArrowDown');
  await expect(page.getByRole('option', { selected: true })).toContainText('Face the front');
  const drawing = page.getByRole('img', { name: /Sheet of set-up 1, after 10/ });
  await expect(drawing).toBeVisible();
  const faced = await drawing.innerHTML();
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('ArrowDown');
  const panel = page.getByRole('complementary', { name: 'Selected operation' });
  await expect(panel.getByRole('heading', { level: 2 })).toHaveText('30 Rough ⌀14.486');
  expect(await page.getByRole('img', { name: /after 30/ }).innerHTML()).not.toBe(faced);
  // The last pass is shown first; left goes to the one before.
  await expect(panel.locator('tr[aria-current=true]')).toContainText('14.486');
  await page.keyboard.press('ArrowLeft');
  await expect(panel.locator('tr[aria-current=true]')).toContainText('18.491');
  for (const heading of ['Set', 'Cut', 'Check', 'Why', 'Mind'])
    await expect(panel.getByRole('heading', { name: heading, exact: true })).toBeVisible();
  await expectAccessible(page);
});

test('through the last operation into the second set-up, which looks from the back', async ({ page }) => {
  await openRun(page, 'Vane spindle');
  await page.keyboard.press('ArrowUp');
  await expect(page.getByRole('listbox', { name: 'Operations of set-up 2' })).toBeVisible();
  await expect(page.getByText('in a collet, on ⌀12, from the back')).toBeVisible();
  await page.getByRole('button', { name: 'Set-up 1' }).click();
  await expect(page.getByRole('complementary', { name: 'Set-up' })).toContainText(
    'No order that keeps the rules takes less for tools, tailstock, compound, speeds and stops',
  );
});

test('part-off is offered for both edges of the blade', async ({ page }) => {
  await openRun(page, 'Sensor spacer');
  await page.getByRole('option', { name: /Part off/ }).click();
  const panel = page.getByRole('complementary', { name: 'Selected operation' });
  await expect(panel).toContainText('Carriage, left edge touched, station 3');
  await expect(panel.getByRole('button', { name: /left edge touched: 24.80/ })).toBeVisible();
  await expect(panel.getByRole('button', { name: /right edge touched: 22.30/ })).toBeVisible();
});

test('a figure opens to its working and gives the focus back', async ({ page }) => {
  await openRun(page, 'Sensor spacer');
  const figure = page.getByRole('button', { name: /^pieces per bar: 116/ });
  await figure.focus();
  await page.keyboard.press('Enter');
  const working = page.getByRole('dialog', { name: 'Working of pieces per bar' });
  await expect(working).toContainText('round down ((B − e − g − c) / P)');
  await expect(working.getByRole('row', { name: /pitch/ })).toContainText('25.100 mm');
  await expect(working).toContainText('Without the room between blade and jaws it would be 117');
  await expectAccessible(page);
  await page.keyboard.press('Escape');
  await expect(working).toBeHidden();
  await expect(figure).toBeFocused();
});

test('a pin selects its operation, and what it shares', async ({ page }) => {
  await openRun(page, 'Sensor spacer');
  await expect(page.getByText('station 3 ×3')).toBeVisible();
  await page.getByText('station 2', { exact: true }).click();
  await expect(page.getByRole('option', { selected: true })).toContainText('Rough ⌀14');
});

test('inches all the way: stops and feeds', async ({ page }) => {
  await openRun(page, 'Terminal pillar');
  await page.getByRole('option', { name: /Finish/ }).click();
  const panel = page.getByRole('complementary', { name: 'Selected operation' });
  await expect(panel.getByRole('button', { name: /stop setting: 0.375 in/ })).toBeVisible();
  await expect(panel).toContainText('Feed, in/rev');
});

test('night shift, a tablet upright, and the help are as readable', async ({ page }) => {
  await openRun(page, 'Vane spindle');
  await page.keyboard.press('ArrowDown');
  await page.getByRole('button', { name: 'Night shift' }).click();
  await expectAccessible(page);
  await page.setViewportSize({ width: 820, height: 1180 });
  await expect(page.getByRole('complementary', { name: 'Selected operation' })).toBeVisible();
  expect(await page.evaluate(() => document.documentElement.scrollWidth <= window.innerWidth)).toBe(true);
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
  await expectAccessible(page);
});

test('the printed sheet: black, at most two pages, only the paper', async ({ page }) => {
  for (const name of ['Sensor spacer', 'Vane spindle']) {
    await openRun(page, name);
    await page.getByRole('link', { name: 'Print' }).click();
    await expect(page.getByRole('heading', { level: 1, name }).last()).toBeVisible();
    await expectAccessible(page);
    const pdf = (await page.pdf({ preferCSSPageSize: true })).toString('latin1');
    const pages = pdf.match(/\/Type\s*\/Page\b/g)?.length ?? 0;
    expect(pages).toBeGreaterThanOrEqual(1);
    expect(pages).toBeLessThanOrEqual(2);
    await page.emulateMedia({ media: 'print' });
    await expect(page.getByRole('banner')).toBeHidden();
    await expect(page.getByRole('button', { name: 'Print' })).toBeHidden();
    await page.emulateMedia({ media: null });
  }
  // The other paper: what is laid out and how the machine is set, ticked off.
  await page.getByRole('button', { name: 'Setting and kit' }).click();
  await page.getByRole('checkbox', { name: 'roughing tool, r 0.8, out' }).check();
  await page.getByRole('checkbox', { name: 'Set-up 1, step 1', exact: true }).check();
  await expect(page.getByRole('table', { name: 'Setting set-up 1' })).toContainText('roughing tool, r 0.8');
  await expectAccessible(page);
  // The first piece, size by size; every page says what it is of, and which of how many.
  await page.getByRole('button', { name: 'First-off' }).click();
  const sizes = page.getByRole('table', { name: 'Sizes of set-up 1' });
  await expect(sizes.getByRole('columnheader').nth(4)).toHaveText('is');
  await expect(sizes).toContainText('caliper');
  await expectAccessible(page);
  const margins = await page.evaluate(() =>
    [...document.styleSheets].flatMap((sheet) =>
      [...sheet.cssRules].filter((rule) => rule instanceof CSSPageRule).map((rule) => rule.cssText),
    ),
  );
  expect(margins.join()).toContain('counter(pages)');
  expect(margins.join()).toMatch(/WS-\d+ · revision [A-Z] · \d+ off · first-off/);
  // Labels in a size of this device, which stays.
  await page.getByRole('button', { name: 'Labels' }).click();
  await page.getByLabel('Pieces in a box').fill('0');
  await expect(page.getByText('from 1 to 1000000')).toBeVisible();
  await page.getByLabel('Pieces in a box').fill('10');
  await expect(page.getByRole('region', { name: 'Boxes' }).getByRole('article')).toHaveCount(3);
  await expectAccessible(page);
  await page.reload();
  await page.getByRole('button', { name: 'Labels' }).click();
  await expect(page.getByLabel('Pieces in a box')).toHaveValue('10');
});

test('a note to an operation is kept with the run and stands on its paper', async ({ page }) => {
  const address = await makeRun(page, 'WS-970');
  await page.goto(address);
  await expectSettled(page);
  await page.getByRole('option').first().click();
  await page.getByLabel('Note to this operation').fill('soft jaws, 2 bar on the collet');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText(/^saved \d/)).toBeVisible();
  await page.reload();
  await page.getByRole('option').first().click();
  await expect(page.getByLabel('Note to this operation')).toHaveValue('soft jaws, 2 bar on the collet');
  await page.getByRole('link', { name: 'Print' }).click();
  await expect(page.getByText('✎ soft jaws, 2 bar on the collet')).toBeVisible();
});
