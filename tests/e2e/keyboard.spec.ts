import { expect, expectSettled, test } from './page';
import type { Locator, Page } from '@playwright/test';

/** Goes on by Tab until something by its role and name has the focus: what cannot be reached so is not there for who has no mouse. */
async function reach(page: Page, wanted: Locator): Promise<void> {
  for (let press = 0; press < 120; press += 1) {
    if (await wanted.evaluateAll((all) => all.some((one) => one === document.activeElement))) return;
    await page.keyboard.press('Tab');
  }
  throw new Error('Tab does not come to it');
}

test('from the board to the paper by the keyboard and the names of things alone', async ({ page }) => {
  await page.goto('/');
  await page.keyboard.press('Tab');
  await expect(page.getByRole('link', { name: 'To the page itself' })).toBeFocused();
  await reach(page, page.getByRole('link', { name: 'New run' }));
  await page.keyboard.press('Enter');
  await page.waitForURL(/\/runs\/new\/part/);

  // The head, then the part line by line.
  await reach(page, page.getByRole('textbox', { name: 'Part number' }));
  await page.keyboard.type('WS-980');
  await reach(page, page.getByRole('combobox', { name: 'Material' }));
  await page.keyboard.type('brass');
  await reach(page, page.getByRole('textbox', { name: 'Quantity' }));
  await page.keyboard.type('40');
  await reach(
    page,
    page.getByRole('combobox', { name: 'Line by line' }).or(page.getByRole('textbox', { name: 'Line by line' })),
  );
  for (const line of ['12 h9 18 c0.5', '20 8']) {
    await page.keyboard.type(line);
    await page.keyboard.press('Enter');
  }
  await expect(page.getByRole('group', { name: /^Section of the part, 26 mm long/ })).toBeVisible();
  await page.keyboard.press('Control+s');
  await page.waitForURL(/\/runs\/\d+\/part/);

  // The sheet: an operation by the arrows, what it is set to as a heading and its lines; a stop by its name.
  await reach(page, page.getByRole('link', { name: 'Sheet' }));
  await page.keyboard.press('Enter');
  await expectSettled(page);
  await reach(page, page.getByRole('listbox').or(page.getByRole('option')));
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('ArrowDown');
  const chosen = page.getByRole('option', { selected: true });
  await expect(chosen).toHaveCount(1);
  const panel = page.getByRole('complementary', { name: 'Selected operation' });
  await expect(panel.getByRole('heading', { level: 2 })).toBeVisible();
  await expect(panel.getByRole('heading', { name: 'Set' })).toBeVisible();
  const stop = page
    .getByRole('list', { name: /^Stops of set-up 1/ })
    .getByRole('button')
    .first();
  await reach(page, stop);
  await page.keyboard.press('Enter');
  await expect(stop).toHaveAttribute('aria-pressed', 'true');

  // The paper, and back to the board.
  await reach(page, page.getByRole('link', { name: 'Print' }));
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { level: 1, name: 'WS-980' }).last()).toBeVisible();
  await reach(page, page.getByRole('button', { name: 'First-off' }));
  await page.keyboard.press('Enter');
  await expect(page.getByRole('table', { name: 'Sizes of set-up 1' })).toContainText('11.957 – 12.000');
  await reach(page, page.getByRole('link', { name: 'Shingle, to the board' }));
  await page.keyboard.press('Enter');
  await page.waitForURL((url) => url.pathname === '/');
  await expect(page.getByRole('link', { name: 'New run' })).toBeVisible();
});
