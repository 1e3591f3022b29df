import { execFileSync } from 'node:child_process';
import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { ensureBrowser, openBrowser, startApplication } from './lib/application.mjs';
import { project } from './lib/folder.mjs';
import { ensurePackages } from './lib/packages.mjs';
import { closeAll, closeOnSignals } from './lib/processes.mjs';
import { main, say } from './lib/say.mjs';

const folder = join(project, 'docs/screenshots');

/** The pictures of docs/screenshots, from the demo data: one of each main view. */
await main(async () => {
  closeOnSignals();
  try {
    await ensurePackages();
    await ensureBrowser();
    const { address } = await startApplication();
    mkdirSync(folder, { recursive: true });
    const browser = await openBrowser();
    const open = async (path, { theme = 'day', width = 1280, height = 800 } = {}) => {
      const page = await browser.newPage({ viewport: { width, height }, locale: 'en-GB', reducedMotion: 'reduce' });
      await page.addInitScript((chosen) => localStorage.setItem('shingle-theme', chosen), theme);
      await page.goto(address + path);
      return page;
    };
    const sheetOf = async (name, presses, options) => {
      const page = await open('/', options);
      await page.getByRole('link', { name: new RegExp(name) }).click();
      await page.getByRole('listbox').waitFor();
      for (let press = 0; press < presses; press += 1) await page.keyboard.press('ArrowDown');
      return page;
    };
    // What is streamed behind the page has come when its main part has.
    const keep = async (page, name, options = {}) => {
      await page.getByRole('main').first().waitFor();
      await page.evaluate(() => document.fonts.ready);
      await page.screenshot({ path: join(folder, `${name}.png`), ...options });
      await page.close();
    };

    const board = await open('/');
    await board.getByRole('link', { name: /Sensor spacer/ }).waitFor();
    await keep(board, 'board');
    await keep(await sheetOf('Sensor spacer', 7), 'sheet');
    await keep(await sheetOf('Vane spindle', 9, { theme: 'night' }), 'night-shift');
    await keep(await sheetOf('Terminal pillar', 5, { width: 820, height: 1180 }), 'tablet');
    const working = await sheetOf('Sensor spacer', 0);
    await working.getByRole('button', { name: /^pieces per bar/ }).click();
    await working.getByRole('dialog').waitFor();
    await keep(working, 'working');
    const part = await sheetOf('Gland body', 0);
    await part.getByRole('link', { name: 'Part' }).click();
    await part.getByText('The plan is there').waitFor();
    await keep(part, 'part');
    const stock = await sheetOf('Gland body', 0);
    await stock.getByRole('link', { name: 'Stock' }).click();
    await stock.getByRole('button', { name: 'Reserve these for this run' }).waitFor();
    await keep(stock, 'stock');
    const times = await sheetOf('Mast collar', 0);
    await times.getByRole('link', { name: 'Times', exact: true }).click();
    await times.getByText('Worked out from the plan').waitFor();
    await keep(times, 'times');
    const revisions = await open('/');
    await revisions.getByRole('link', { name: /Pivot pin.*drawing now at rev B/ }).click();
    await revisions.getByRole('listbox').waitFor();
    await revisions.getByRole('link', { name: 'Revisions' }).click();
    await revisions.getByRole('table', { name: 'Stops' }).waitFor();
    await keep(revisions, 'revisions');
    const lathe = await sheetOf('Sensor spacer', 0, { width: 1180, height: 820 });
    await lathe.getByRole('link', { name: 'Lathe' }).click();
    await lathe.getByText('all is kept; opens without a net').waitFor();
    for (let back = 0; back < 2; back += 1) await lathe.keyboard.press('PageUp');
    await keep(lathe, 'lathe');
    const log = await sheetOf('Sensor spacer', 0);
    await log.getByRole('link', { name: 'Log' }).click();
    await log.getByRole('heading', { name: 'What it teaches' }).waitFor();
    await keep(log, 'log');
    const rack = await open('/rack');
    await rack.getByRole('heading', { name: 'Rack' }).waitFor();
    await keep(rack, 'rack');
    const cuts = await open('/rack/cuts');
    await cuts.getByText('2 bars to open').first().waitFor();
    await cuts.getByText('Looking for the fewest bars').waitFor({ state: 'hidden' });
    await keep(cuts, 'cut-list');
    const days = await open('/days');
    await days.getByRole('status').filter({ hasText: 'making ready' }).waitFor({ timeout: 180_000 });
    await days.getByLabel('As wide as the page').selectOption('22');
    await days
      .getByRole('button', { name: /^WS-261 / })
      .first()
      .click();
    await days.getByRole('heading', { name: /^WS-261/ }).waitFor();
    await keep(days, 'days');
    const holding = await sheetOf('Gland body', 0);
    await holding.getByRole('button', { name: 'Set-up 2' }).click();
    await holding.getByRole('button', { name: 'Hold it otherwise' }).click();
    await holding.getByText('the plan', { exact: true }).waitFor();
    await keep(holding, 'holding');
    const played = await sheetOf('Sensor spacer', 0);
    await played.getByRole('option', { name: /Finish ⌀26/ }).click();
    await played.getByRole('button', { name: 'Play the cuts' }).click();
    for (let step = 0; step < 3; step += 1) await played.keyboard.press('.');
    for (let back = 0; back < 12; back += 1) await played.getByRole('slider').press('ArrowLeft');
    await keep(played, 'played');
    const devices = await open('/devices');
    await devices.getByLabel('For what').fill('bench caliper');
    await devices.getByRole('button', { name: 'Make a key' }).click();
    await devices.getByRole('button', { name: 'I have it' }).click();
    await devices.getByLabel('Called').fill('lathe 1');
    await keep(devices, 'devices');
    const shop = await open('/shop');
    await shop.getByRole('radio', { name: /one size straight through/ }).check();
    await shop.getByText('over their batch').waitFor();
    await keep(shop, 'shop');
    const print = await sheetOf('Sensor spacer', 0);
    await print.getByRole('link', { name: 'Print' }).click();
    await print.getByRole('heading', { name: /Set-up 2/ }).waitFor();
    await print.emulateMedia({ media: 'print' });
    await print.setViewportSize({ width: 710, height: 1000 });
    await keep(print, 'printed-sheet', { fullPage: true });
    say(`${execFileSync('ls', [folder])}`);
  } finally {
    await closeAll();
  }
});
