import { expect, expectAccessible, living, test, unfold } from './page';

test('bars come in, are reserved, used and come back; the history tells all of it', async ({ page }) => {
  await page.goto('/rack');
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Receive bars' }).click();
  await page.getByLabel('Material').selectOption('copper');
  await page.getByLabel('Diameter, mm').fill('thick');
  await page.getByLabel('Heat or batch').fill('CU-1');
  await page.getByRole('button', { name: 'Put on the rack' }).click();
  await expect(page.getByText('“thick” is not a length').first()).toBeVisible();
  await expect(page.getByLabel('Heat or batch')).toHaveValue('CU-1');
  await page.getByLabel('Diameter, mm').fill('16');
  await page.getByRole('button', { name: 'Put on the rack' }).click();
  const lot = page.getByRole('region', { name: 'copper ⌀16 drawn' });
  await expect(lot.getByText('3.00 m free of 3.00 m')).toBeVisible();

  await lot.getByRole('button', { name: /Reserve of bar/ }).click();
  await page.getByLabel('Length, mm').fill('1200');
  await page.getByRole('button', { name: 'Reserve', exact: true }).click();
  await expect(lot.getByText('1.80 m free of 3.00 m')).toBeVisible();

  await lot.getByRole('button', { name: /is used/ }).click();
  await page.getByLabel('Left of it, measured, mm').fill('1795');
  await page.getByRole('button', { name: 'Used', exact: true }).last().click();
  await expect(lot.getByText('1.79 m free of 1.79 m')).toBeVisible();
  await expect(lot.getByText('offcut', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'History' }).click();
  for (const words of [/received 3000\.0 mm · CU-1/, /reserved 1200\.0 mm/, /used 1205\.0 mm/, /returned 1795\.0 mm/])
    await expect(page.getByRole('listitem').filter({ hasText: words }).first()).toBeVisible();
});

test('two browsers want the last bar: one gets it, the other is told who has it and loses nothing typed', async ({
  page,
  browser,
}) => {
  await page.goto('/rack');
  await page.getByRole('button', { name: 'Receive bars' }).click();
  await page.getByLabel('Material').selectOption('titanium-gr5');
  await page.getByLabel('Diameter, mm').fill('14');
  await page.getByLabel('Length, mm').fill('1000');
  await page.getByRole('button', { name: 'Put on the rack' }).click();
  const name = 'titanium gr 5 ⌀14 drawn';
  await expect(page.getByRole('region', { name })).toBeVisible();
  const other = living(await browser.newPage());
  await other.goto('/rack');
  for (const own of [page, other])
    await own
      .getByRole('region', { name })
      .getByRole('button', { name: /Reserve of bar/ })
      .click();
  await page.getByRole('combobox', { name: 'Run' }).selectOption({ label: 'WS-210 Sensor spacer, rev B' });
  await page.getByLabel('Length, mm').fill('800');
  await page.getByRole('button', { name: 'Reserve', exact: true }).click();
  await expect(page.getByRole('region', { name }).getByText('0.20 m free')).toBeVisible();
  await other.getByRole('combobox', { name: 'Run' }).selectOption({ label: 'WS-031 Vane spindle, rev C' });
  await other.getByLabel('Length, mm').fill('700');
  await other.getByRole('button', { name: 'Reserve', exact: true }).click();
  await expect(other.getByText(/700 mm are not free on this bar.*200 mm are left/)).toBeVisible();
  await expect(other.getByLabel('Length, mm')).toHaveValue('700');
  await other.close();
});

test('the cut list of open runs: bars to open with the bound, the stop of each length, a box for each cut', async ({
  page,
}) => {
  await page.goto('/rack/cuts');
  await unfold(page, /brass CW614N hex 24 mm|free-cutting steel ⌀10/);
  const sheet = page.getByRole('region', { name: 'brass CW614N hex 24 mm drawn' });
  await expect(sheet.getByText(/2 bars to open, at least 2 needed/)).toBeVisible();
  await expect(sheet.getByText('47.00', { exact: true }).first()).toBeVisible();
  await expect(sheet.getByLabel('60 cuts')).toHaveText('☐'.repeat(60));
  // From the bar: a bar for the lathe, whole or a length of it.
  const pins = page.getByRole('region', { name: 'free-cutting steel ⌀10 drawn' });
  // By hand: (3000 − 20) / 24.1 = 123.6, and two bars give the 240 with their spares.
  await expect(pins.getByText('WS-118, into the lathe as it is, 123 pieces').first()).toBeVisible();
  await expectAccessible(page);
  await page.getByLabel(/Gland body/).uncheck();
  await expect(sheet).toHaveCount(0);
});

test('a search is cancelled and taken up again', async ({ page }) => {
  let letGo = () => {};
  const held = new Promise<void>((resolve) => (letGo = resolve));
  await page.route('**/*.wasm', async (route) => {
    await held;
    await route.continue();
  });
  await page.goto('/rack/cuts');
  const told = page.getByRole('status').filter({ hasText: 'Looking for the fewest bars' });
  await expect(told).toBeVisible();
  await page.getByRole('button', { name: 'Cancel' }).click();
  await expect(page.getByText('Cancelled; lists that were ready stay.')).toBeVisible();
  await expect(told).toHaveCount(0);
  letGo();
  await page.getByRole('button', { name: 'Look again' }).click();
  await expect(told).toHaveCount(0);
  await unfold(page, /brass CW614N hex 24 mm/);
  await expect(page.getByRole('region', { name: 'brass CW614N hex 24 mm drawn' })).toBeVisible();
});
