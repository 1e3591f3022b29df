import { expect } from '@playwright/test';
import { expectAccessible, openSaved, test } from './page';

/** A stud of two steps. */
const stud = (number: string) => ({
  number,
  name: 'Test stud',
  material: 'free-cutting-steel',
  outside: [
    { shape: 'cylinder', diameter: 12, length: 18 },
    { shape: 'cylinder', diameter: 20, length: 8 },
  ],
});

test('a pin is dragged to other means, priced before it is let go, and can be walked to by its name', async ({
  page,
}) => {
  await openSaved(page, stud('WS-951'), { quantity: 60 });
  const pins = page.getByRole('list', { name: /^Stops of set-up 1/ });
  const shoulder = pins.getByRole('button', { name: /at 18\.00\d? mm: .*⌀12/ });
  await expect(shoulder).toHaveAccessibleName(/station \d/);
  await shoulder.focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('option', { name: /Finish ⌀12/ })).toHaveAttribute('aria-selected', 'true');

  const from = await shoulder.boundingBox();
  if (!from) throw new Error('the pin is there');
  await page.mouse.move(from.x + from.width / 2, from.y + from.height / 2);
  await page.mouse.down();
  await page.mouse.move(from.x + 40, from.y - 20, { steps: 4 });
  const other = page.locator('[data-means]', { hasText: 'by the read-out' });
  await expect(other).toContainText(/\+.*min/);
  const to = await other.boundingBox();
  if (!to) throw new Error('the means is there');
  await page.mouse.move(to.x + 20, to.y + 20, { steps: 4 });
  await expect(other).toHaveAttribute('data-over', /.*/);
  await page.mouse.up();
  await expect(page.getByRole('list', { name: 'Decided' })).toContainText(/by read-out: so decided/);
  await expect(pins.getByRole('button', { name: /by the read-out, at 18/ })).toBeVisible();
});

test('a run is seen on each lathe of the shop, with what stops its lengths there, and taken to another', async ({
  page,
}) => {
  await openSaved(page, stud('WS-952'), { quantity: 60 });
  await page.getByRole('button', { name: 'On each lathe …' }).click();
  const window = page.getByRole('dialog', { name: 'On each lathe' });
  await expect(window.getByRole('row')).toHaveCount(5);
  await expect(window.getByRole('row', { name: /bench lathe B/ })).toContainText('by the dial');
  await expectAccessible(page);
  await window.getByRole('button', { name: 'Take gearbox lathe D' }).click();
  await expect(window.getByRole('row', { name: /gearbox lathe D/ })).toContainText('the plan');
  await page.keyboard.press('Escape');
  await expect(
    page
      .getByRole('list', { name: /^Stops of set-up 1/ })
      .getByRole('button')
      .first(),
  ).toHaveAccessibleName(/preset/);
});

test('runs that share a family are made with one set of stops, which one of them takes over', async ({ page }) => {
  const variant = (number: string, length: number) => ({
    ...stud(number),
    outside: [
      { shape: 'cylinder', diameter: 12, length },
      { shape: 'cylinder', diameter: 20, length: 8 },
    ],
  });
  const more = { quantity: 10, family: 'test studs', overrules: [{ setup: 1, stickOut: 53.6 }] };
  await openSaved(page, variant('WS-954', 28), more);
  await openSaved(page, variant('WS-953', 18), more);
  await page.getByRole('button', { name: 'Stops of its family …' }).click();
  const window = page.getByRole('dialog', { name: 'Stops of the family test studs' });
  const shoulder = window.getByRole('row', { name: /station \d, at 28\.00/ });
  await expect(shoulder).toContainText('18.00, spacer 10');
  await expect(window).toContainText(/one set is .* less/);
  await expectAccessible(page);
  await window.getByRole('button', { name: 'Stop this run so' }).click();
  await expect(
    page
      .getByRole('list', { name: /^Stops of set-up 1/ })
      .getByRole('button', { name: /station \d, spacer 10, at 18/ }),
  ).toBeVisible();
});

test('a machine with a stop of its cross-slide brings a diameter to it, in the lane, the panel and the setting', async ({
  page,
}) => {
  await openSaved(page, stud('WS-957'), { machine: 'centre-lathe-c', quantity: 60 });
  const stop = page.getByRole('button', { name: /^cross stop 1, at ⌀/ });
  await stop.click();
  await expect(page.getByRole('complementary').getByText(/^Cross-slide, .*, cross stop 1$/)).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByText(/cross stop 1: screw against the slide once it has cut ⌀/)).toBeVisible();
  await expectAccessible(page);
});
