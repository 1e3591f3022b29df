import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { startValues } from '../../src/core/model/shop/startValues';
import { expect, expectAccessible, expectReadableByNight, openRun, test } from './page';

test('a device is told how it has things: inches for a new run, a comma in its tables, weeks from Sunday; it keeps to them', async ({
  page,
}) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'On this device' }).click();
  const window = page.getByRole('dialog');
  await window.getByLabel('A new run is drawn in').selectOption('inches');
  await window
    .getByLabel('Figures, on screen, on paper and in tables')
    .selectOption({ label: '12,5 (tables: a semicolon between columns)' });
  // What is there already was said otherwise: it is loaded again, the window with it.
  await expect(page.getByText(/^⌀?\d+,\d+ /).first()).toBeAttached();
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

/** Names of the shop's tools, and threads: no figures, they are as they were written. */
const NAMES = startValues.tools.map(({ name }) => name).filter((name) => /\d\.\d/.test(name));

/** Texts on the page, its fields and what it says to who hears it, that have a figure with a point. */
const pointsOn = async (page: Page): Promise<string[]> => {
  const texts = await page.evaluate(() => {
    const found: string[] = [];
    const walk = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    while (walk.nextNode())
      if (!walk.currentNode.parentElement?.closest('script, style')) found.push(walk.currentNode.textContent ?? '');
    for (const element of document.querySelectorAll('body *'))
      for (const name of ['aria-label', 'aria-valuetext', 'aria-description', 'title', 'placeholder', 'value'])
        found.push(element.getAttribute(name) ?? '');
    return found;
  });
  return texts.filter((text) => /\d\.\d/.test(NAMES.reduce((rest, name) => rest.replaceAll(name, ''), text)));
};

test('every figure has a comma where a device wants it so, whoever made it: page, worker, server, or what was kept', async ({
  page,
  context,
}) => {
  const settings = { units: 'mm', mark: 'comma', weekFrom: 0 };
  await context.addCookies([
    { name: 'shingle-settings', value: encodeURIComponent(JSON.stringify(settings)), url: process.env.BASE_URL ?? '' },
  ]);
  await openRun(page, 'Sensor spacer');
  const run = /runs\/(\d+)/.exec(page.url())?.[1];
  // A figure that each page has for sure, and by which it is known to be there.
  for (const [path, figure] of [
    ['/', /\d,\d+ min/],
    [`/runs/${run}`, /^\d+,\d\d kg$/],
    [`/runs/${run}/part`, /cm³/],
    [`/runs/${run}/stock`, /\d,\d\d mm/],
    [`/runs/${run}/times`, /\d,\d\d/],
    [`/runs/${run}/print`, /\d,\d\d/],
    ['/rack', /\d,\d\d m/],
    ['/shop?page=minutes', /^\d+,\d+$/],
    ['/shop?page=machines', /\d,\d+/],
    [`/runs/${run}/lathe`, /^\d+,\d\d$/],
  ] as const) {
    await page.goto(path);
    await expect(page.getByText(figure).first()).toBeAttached();
    expect([path, await pointsOn(page)]).toEqual([path, []]);
  }
});
