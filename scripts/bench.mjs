import { join } from 'node:path';
import { ensureBrowser, openBrowser, startApplication } from './lib/application.mjs';
import { benchEvents } from './lib/benchEvents.mjs';
import { bundle } from './lib/bundle.mjs';
import { project } from './lib/folder.mjs';
import { ensurePackages } from './lib/packages.mjs';
import { closeAll, closeOnSignals, mustRun } from './lib/processes.mjs';
import { main, say } from './lib/say.mjs';

const rows = [];
const row = (what, value, limit) => rows.push([what, value, limit]);

const bundled = async (name) => JSON.parse(await mustRun(process.execPath, [await bundle(name)], { cwd: project }));

/** @returns the run of each size, to be edited on the sheet */
async function benchPlans() {
  const plans = await bundled('bench-plan');
  for (const { features, operations, route, median, worst, proof } of plans) {
    row(
      `one route of ${features} features, ${operations} operations`,
      `median ${route.toFixed(1)} ms, of which its proof ${proof.toFixed(1)} ms`,
      { 12: 'median ≤ 15 ms', 40: '≤ 100 ms' }[features] ?? '',
    );
    row(
      `the search settled, ${features} features`,
      `median ${median.toFixed(1)} ms, worst ${worst.toFixed(1)} ms`,
      { 12: '≤ 500 ms', 40: '≤ 2000 ms' }[features] ?? '',
    );
  }
  return plans;
}

async function benchCuts() {
  const { cuts, hard } = await bundled('bench-saw');
  for (const { lengths, turned, pieces, milliseconds, barsOpened, lowerBound } of cuts)
    row(
      `cut list of ${lengths} lengths${turned > 0 ? ` (${turned} turned from the bar)` : ''}, ${pieces} pieces`,
      `${milliseconds.toFixed(0)} ms, ${barsOpened} bars, at least ${lowerBound}`,
      lengths === 60 ? '≤ 2000 ms, ≤ 1 above the bound' : '',
    );
  row(
    `${hard.lists} hard cut lists, about three pieces to a bar`,
    `at most ${hard.worst} above the bound, ${hard.met} on it, median ${hard.median.toFixed(0)} ms, longest ${hard.longest.toFixed(0)} ms`,
    '≤ 1 above the bound, ≤ 2000 ms',
  );
}

async function benchDays() {
  for (const { runs, machines, placed, proven, late, lateAtLeast, played } of await bundled('bench-days')) {
    row(
      `${runs} runs placed on ${machines} lathes`,
      `${placed.toFixed(0)} ms, ${proven ? 'proven' : `${(late / 60).toFixed(0)} h late in all, at least ${(lateAtLeast / 60).toFixed(0)}`}`,
      runs === 60 ? '≤ 5000 ms' : '',
    );
    row(`${runs} runs, 10 000 weeks played`, `${played.toFixed(0)} ms`, '');
  }
}

/** What the first page brings, and when it can be used. */
async function benchFirstLoad(browser, address, path, name) {
  const page = await browser.newPage();
  let bytes = 0;
  const client = await page.context().newCDPSession(page);
  await client.send('Network.enable');
  const scripts = new Set();
  client.on('Network.responseReceived', ({ requestId, type }) => type === 'Script' && scripts.add(requestId));
  client.on(
    'Network.loadingFinished',
    ({ requestId, encodedDataLength }) => scripts.has(requestId) && (bytes += encodedDataLength),
  );
  const from = performance.now();
  await page.goto(`${address}${path}`);
  await page.getByRole('button', { name: /Night shift|Day shift/ }).click();
  const [usable, first] = [performance.now() - from, bytes];
  await page.waitForLoadState('networkidle');
  row(
    `${name}: script on first load`,
    `${(bytes / 1000).toFixed(0)} kB compressed, ${(first / 1000).toFixed(0)} until it is usable`,
    '≤ 250 kB',
  );
  row(`${name}: usable after`, `${usable.toFixed(0)} ms`, '≤ 1500 ms');
  await page.close();
}

/** Saves a run. @returns where its sheet is */
async function saved(address, file) {
  const response = await fetch(`${address}/api/runs`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', origin: address },
    body: JSON.stringify({ file }),
  });
  if (!response.ok) throw new Error(`the run was not saved: ${await response.text()}`);
  return `${address}/runs/${(await response.json()).run.id}`;
}

/** From a key pressed in the largest diameter on the sheet to the new figures standing on the page. */
async function benchEdits(browser, sheet, { features, diameter }) {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(sheet);
  await page.getByRole('button', { name: `⌀${diameter}, change this diameter` }).click();
  await page.getByRole('dialog').getByRole('textbox').waitFor();
  const times = await page.evaluate(async (largest) => {
    const field = document.querySelector('[role=dialog] input');
    const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set;
    const results = [];
    for (let index = 0; index < 40; index += 1) {
      // Up to a little larger than it was, on the same bar.
      const size = (largest + ((index % 8) + 1) * 0.05).toFixed(2);
      const wanted = `Finish ⌀${Number(size)}`;
      const from = performance.now();
      set.call(field, size);
      field.dispatchEvent(new Event('input', { bubbles: true }));
      await new Promise((done) => {
        const look = () =>
          [...document.querySelectorAll('[role=option]')].some((row) => row.textContent.includes(wanted))
            ? done()
            : requestAnimationFrame(look);
        look();
      });
      results.push(performance.now() - from);
    }
    return results.slice(5).sort((a, b) => a - b);
  }, diameter);
  row(
    `edit on the sheet of ${features} features to its figures`,
    `median ${times[Math.floor(times.length / 2)].toFixed(0)} ms, worst ${times.at(-1).toFixed(0)} ms`,
    '≤ 100 ms',
  );
  await page.close();
}

/** A page as it comes from the server: how long and how large, the median of some. */
async function timed(address, path, times = 7) {
  const took = [];
  let bytes = 0;
  for (let index = 0; index < times; index += 1) {
    const from = performance.now();
    const response = await fetch(address + path);
    bytes = (await response.arrayBuffer()).byteLength;
    took.push(performance.now() - from);
    if (!response.ok) throw new Error(`${path} answers ${response.status}`);
  }
  return { median: took.sort((a, b) => a - b)[Math.floor(times / 2)], bytes };
}

const PLACES = { board: '/', 'board, found': '/?find=WS-L1', rack: '/rack', 'cut list': '/rack/cuts', shop: '/shop' };

/** Changes something that plans are made from, and asks for a place at once. */
async function afterChange(address, change, path) {
  const [method, where, body] = change;
  const answer = await fetch(address + where, {
    method,
    headers: { 'content-type': 'application/json', origin: address },
    body: JSON.stringify(body),
  });
  if (!answer.ok) throw new Error(`${where} answers ${answer.status}: ${await answer.text()}`);
  return timed(address, path, 1);
}

/** Runs of which the figures are planned again, until none is left; ms. */
async function plannedAgain(address) {
  const from = performance.now();
  for (;;) {
    const { stale, all } = await (await fetch(`${address}/api/runs/progress`)).json();
    if (stale === 0) return { took: performance.now() - from, all };
    await new Promise((resolve) => setTimeout(resolve, 200));
  }
}

/** With many runs, revisions and bars: what every place answers, at rest and right after a change. */
async function benchLoad(application, runs, kept) {
  const { address, url } = application;
  const seeded = await mustRun(
    process.execPath,
    ['--import', 'tsx', join(project, 'scripts/seed-load.ts'), `${runs}`],
    {
      cwd: project,
      env: { DATABASE_URL: url },
    },
  );
  const { took, all } = await plannedAgain(address);
  row(`${seeded.trim()}`, `${all} runs planned in the background in ${(took / 1000).toFixed(1)} s`, '');
  for (const [name, path] of Object.entries(PLACES)) {
    const { median, bytes } = await timed(address, path);
    row(`${name}, ${all} runs`, `${median.toFixed(0)} ms, ${(bytes / 1000).toFixed(0)} kB`, '≤ 200 ms');
  }
  const { median } = await timed(address, '/runs/1');
  row(`a sheet, ${all} runs`, `${median.toFixed(0)} ms`, '≤ 100 ms');
  // The first that was seeded has two thousand revisions.
  row('a sheet with 2010 revisions', `${(await timed(address, '/runs/22')).median.toFixed(0)} ms`, '≤ 100 ms');
  const shop = await (await fetch(`${address}/api/shop`)).json();
  const { materials } = shop;
  const { machines } = shop;
  const sixScrews = machines.map((machine, index) => (index === 0 ? { ...machine, stations: 6 } : machine));
  const asked = performance.now();
  const preview = await fetch(`${address}/api/shop/preview`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', origin: address },
    body: JSON.stringify({ shop: { ...shop, machines: sixScrews } }),
  });
  const { effects, minutes } = await preview.json();
  const saves = effects.reduce((sum, { before = 0, after = 0 }) => sum + before - after, 0);
  row(
    `what six screws would save, over ${all} runs`,
    `${((performance.now() - asked) / 1000).toFixed(1)} s: ${(saves / 60).toFixed(1)} of ${(minutes / 60).toFixed(0)} h`,
    '',
  );
  const bar = ['POST', '/api/rack', { material: materials[0].id, size: 20, length: 1234 }];
  for (const path of ['/', '/rack', '/rack/cuts'])
    row(`${path} right after a bar`, `${(await afterChange(address, bar, path)).median.toFixed(0)} ms`, '≤ 500 ms');
  const again = await plannedAgain(address);
  row(`planned again after a bar`, `${(again.took / 1000).toFixed(1)} s in the background`, '');
  const figure = ['PUT', '/api/shop', { base: kept, shop: { ...shop, timeAllowance: shop.timeAllowance + 0.01 } }];
  row(
    `/ right after a figure of the shop`,
    `${(await afterChange(address, figure, '/')).median.toFixed(0)} ms`,
    '≤ 500 ms',
  );
  for (const path of ['/rack', '/rack/cuts', '/shop'])
    row(`${path} while all are planned again`, `${(await timed(address, path, 3)).median.toFixed(0)} ms`, '≤ 500 ms');
  row(
    `planned again after a figure of the shop`,
    `${((await plannedAgain(address)).took / 1000).toFixed(1)} s in the background`,
    '',
  );
}

const printRows = () => {
  const widths = [0, 1, 2].map((column) => Math.max(...rows.map((cells) => cells[column].length)));
  say(`\n${rows.map((cells) => cells.map((cell, column) => cell.padEnd(widths[column])).join('   ')).join('\n')}\n`);
};

/** Measures what design and issues set, and prints it as a table. It never fails for being slow. */
await main(async () => {
  closeOnSignals();
  try {
    await ensurePackages();
    await ensureBrowser();
    const application = await startApplication();
    const { address } = application;
    if (process.argv[2] === 'load') {
      const sizes = process.argv.length > 3 ? process.argv.slice(3).map(Number) : [500, 2000];
      // Each keeps the shop once more.
      for (const [index, runs] of sizes.entries()) await benchLoad(application, runs, index + 1);
      return printRows();
    }
    const plans = await benchPlans();
    await benchCuts();
    await benchDays();
    const browser = await openBrowser();
    await benchFirstLoad(browser, address, '/', 'board');
    await benchFirstLoad(browser, address, '/runs/new/part', 'part');
    for (const { features, file } of plans.filter(({ features: own }) => own === 12 || own === 40)) {
      const diameter = Math.max(...file.part.outside.map((step) => step.diameter));
      await benchEdits(browser, await saved(address, file), { features, diameter });
    }
    const { file } = plans.find(({ features: own }) => own === 12);
    await benchEvents(browser, await saved(address, { ...file, quantity: 500 }), row);
    printRows();
  } finally {
    await closeAll();
  }
});
