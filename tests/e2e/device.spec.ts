import { readFileSync } from 'node:fs';
import { expect, expectAccessible, expectReadableByNight, test } from './page';

test('a device is told how it has things: inches for a new run, a comma in its tables, weeks from Sunday; it keeps to them', async ({
  page,
}) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'On this device' }).click();
  const window = page.getByRole('dialog');
  await window.getByLabel('A new run is drawn in').selectOption('inches');
  await window.getByLabel('Tables that it gives out').selectOption({ label: '12,5, a semicolon between columns' });
  await window.getByLabel('A week begins on').selectOption('Sunday');
  await expectAccessible(page);
  await expectReadableByNight(page);
  await page.keyboard.press('Escape');

  // What the server makes for it: the minutes of the plans are figures, and have a comma.
  const waits = page.waitForEvent('download');
  await page.getByRole('link', { name: 'As a table' }).click();
  const [head, ...runs] = readFileSync(await (await waits).path(), 'utf8')
    .trimEnd()
    .split('\n');
  expect(head).toMatch(/^number;revision;name;quantity;material/);
  expect(runs.length).toBeGreaterThan(10);
  expect(runs.some((run) => /;\d+,\d\d;\d+,\d;/.test(run))).toBe(true);

  await page.goto('/runs/new/part');
  await expect(page.getByLabel('Units')).toHaveValue('in');
  await page.goto('/days?window=hours');
  await expect(window.getByRole('group').first().getByText(/day$/)).toHaveText([
    'Sunday',
    'Monday',
    'Tuesday',
    'Wednesday',
    'Thursday',
    'Friday',
    'Saturday',
  ]);
});
