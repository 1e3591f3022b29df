import AxeBuilder from '@axe-core/playwright';
import { type Page } from '@playwright/test';
import { expect, expectAccessible, expectReadableByNight, expectSettled, openSaved, send, test } from './page';

const PART = {
  number: 'WS-REACH',
  name: 'Stud for every window',
  material: 'mild-steel',
  outside: [
    { shape: 'cylinder', diameter: '10 h9', length: 16 },
    { shape: 'cylinder', diameter: 16, length: 8 },
  ],
  bores: [{ from: 'front', shape: 'drill', diameter: 4, depth: 10 }],
};

test('every address is without a finding, by day and by night', async ({ page }) => {
  await openSaved(page, PART);
  const run = new URL(page.url()).pathname;
  const places = ['', '/part', '/stock', '/times', '/revisions', '/lathe', '/log', '/print'];
  const runs = [...places.map((place) => run + place), '/runs/new/part', '/runs/new/lathe', '/runs/new/log'];
  const others = ['/', '/rack', '/rack/cuts', '/shop', '/log', '/devices', '/devices/caliper', '/devices/read-out'];
  for (const address of [...runs, ...others, '/nowhere']) {
    await page.goto(address);
    await expect(page.getByRole('main').first()).toBeVisible();
    // With its plan, where it has one.
    await expect(page.locator('[aria-busy=true]')).toHaveCount(0);
    if (address === run) await expectSettled(page);
    await test.step(address, async () => {
      await expectAccessible(page);
      await expectReadableByNight(page);
    });
  }
});

/** No finding in the window that is open; what lies under it has been looked at by itself. */
async function expectWindowAccessible(page: Page): Promise<void> {
  const axe = new AxeBuilder({ page }).setLegacyMode(true).include('[role="dialog"]');
  const { violations } = await axe.options({ resultTypes: ['violations'] }).analyze();
  expect(
    violations.map(({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html.slice(0, 140)).join(' | ')}`),
  ).toEqual([]);
}

test('every window of a run is opened by its address, and is without a finding', async ({ page }) => {
  await openSaved(page, PART, { family: 'studs for reach' });
  const run = new URL(page.url()).pathname;
  const window = page.getByRole('dialog');
  const look = (names: readonly string[]) =>
    test.step(names.join(', '), async () => {
      for (const name of names) {
        await page.evaluate((asked) => history.replaceState(null, '', `?window=${asked}${location.hash}`), name);
        await expect(window).toBeVisible();
        // What is planned for it is there.
        await expect(window.getByText(/^(Planning|Comparing|Looking up)/)).toHaveCount(0);
        await expectWindowAccessible(page);
        await page.keyboard.press('Escape');
        await expect(window).toHaveCount(0);
        expect(page.url()).not.toContain('window=');
      }
    });
  await look(['sequences', 'lathes', 'setups', 'left', 'hold', 'own-work', 'stops', 'family', 'keys']);
  await page.getByRole('option').first().click();
  await expect(page).toHaveURL(/#./);
  await look(['tool', 'end', 'stop', 'try']);
  await page.goto(`${run}/part`);
  await look(['lines', 'size', 'fits']);
  await page.goto('/rack');
  await look(['history', 'receive', 'buying', 'this-device']);
  // A link opens one as well.
  await page.goto('/?window=together');
  await expect(window).toBeVisible();
  await expectWindowAccessible(page);
});

test('a drawing is kept with the part, seen by another run of it, taken away and brought back; a script is not kept', async ({
  page,
}) => {
  await openSaved(page, { ...PART, number: 'WS-DRAWN' });
  const run = new URL(page.url()).pathname;
  await page.goto(`${run}/part`);
  const png = Buffer.from(
    'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
    'base64',
  );
  const chooser = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'Attach …' }).click();
  await (await chooser).setFiles({ name: 'page.png', mimeType: 'image/png', buffer: Buffer.from('<html></html>') });
  await expect(page.getByText('page.png is no PNG, JPEG, WebP or PDF inside')).toBeVisible();
  const again = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'Attach …' }).click();
  await (await again).setFiles({ name: 'as drawn.png', mimeType: 'image/png', buffer: png });
  const kept = page.getByRole('list', { name: 'Drawing and photos' }).getByRole('listitem');
  await expect(kept).toHaveCount(1);
  await expectAccessible(page);

  const copy = (await (await send(page, 'post', `/api${run}/duplicate`, {})).json()) as { run: { id: number } };
  await page.goto(`/runs/${copy.run.id}/part`);
  await expect(kept).toContainText('as drawn.png');
  const address = await kept.getByRole('link').getAttribute('href');
  const answer = await page.request.get(address ?? '');
  expect(answer.headers()['content-type']).toBe('image/png');
  expect(answer.headers()['x-content-type-options']).toBe('nosniff');
  expect(await answer.body()).toEqual(png);
  await page.getByRole('button', { name: 'Take as drawn.png away' }).click();
  await expect(kept).toHaveCount(0);
  await page.getByRole('button', { name: 'Bring it back' }).click();
  await expect(kept).toHaveCount(1);
});

test('what hears the sheet walks through the work and the minutes, and a copy says what differs', async ({ page }) => {
  await openSaved(page, { ...PART, number: 'WS-WALKED' });
  const work = page.getByRole('list', { name: 'The work from its free end' });
  await expect(work.getByRole('listitem').first()).toContainText('⌀');
  await page.getByRole('option', { name: /Drill/ }).first().click();
  await expect(work).toContainText(/hole ⌀4.00 .*10/);
  await expect(page.getByRole('list', { name: 'The time of a piece' }).locator('[aria-current]')).toContainText(
    'Drill',
  );

  const run = new URL(page.url()).pathname;
  const copy = (await (await send(page, 'post', `/api${run}/duplicate`, {})).json()) as { run: { id: number } };
  await page.goto(`/runs/${copy.run.id}/part`);
  await expect(page.getByText('Nothing differs from it yet')).toBeVisible();
  await page.getByLabel('Diameter of step 2').fill('18');
  await expect(page.getByLabel('Diameter of step 2')).toHaveAttribute('title', 'was 16');
  await page.getByText('1 place differs').click();
  await expect(page.getByRole('table', { name: 'What differs' })).toContainText('Step 2 diameter');
});
