import { join } from 'node:path';
import { ensureBrowser, openBrowser, startApplication } from './lib/application.mjs';
import { made, project } from './lib/folder.mjs';
import { ensurePackages } from './lib/packages.mjs';
import { closeAll, closeOnSignals, mustRun } from './lib/processes.mjs';
import { main, say } from './lib/say.mjs';

const rows = [];
const row = (what, value, limit) => rows.push([what, value, limit]);

/** Runs a measurement on the core as a bundle has it: without the loader's overhead. */
async function bundled(name) {
  const { build } = await import('esbuild');
  const outfile = join(made, `${name}.mjs`);
  await build({
    entryPoints: [join(project, `scripts/${name}.ts`)],
    bundle: true,
    platform: 'node',
    format: 'esm',
    outfile,
    external: ['joi', 'highs'],
    tsconfig: join(project, 'tsconfig.json'),
    logLevel: 'error',
  });
  return JSON.parse(await mustRun(process.execPath, [outfile], { cwd: project }));
}

/** @returns the run of each size, to be edited on the sheet */
async function benchPlans() {
  const plans = await bundled('bench-plan');
  for (const { features, operations, median, worst } of plans)
    row(
      `plan of ${features} features, ${operations} operations`,
      `median ${median.toFixed(1)} ms, worst ${worst.toFixed(1)} ms`,
      { 12: 'median ≤ 15 ms', 40: '≤ 150 ms' }[features] ?? '',
    );
  return plans;
}

async function benchCuts() {
  for (const { lengths, turned, pieces, milliseconds, barsOpened, lowerBound } of await bundled('bench-saw'))
    row(
      `cut list of ${lengths} lengths${turned > 0 ? ` (${turned} turned from the bar)` : ''}, ${pieces} pieces`,
      `${milliseconds.toFixed(0)} ms, ${barsOpened} bars, at least ${lowerBound}`,
      lengths === 60 ? '≤ 2000 ms, ≤ 1 above the bound' : '',
    );
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
  const usable = performance.now() - from;
  await page.waitForLoadState('networkidle');
  row(`${name}: script on first load`, `${(bytes / 1000).toFixed(0)} kB compressed`, '≤ 250 kB');
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

/** Measures what design and issues set, and prints it as a table. It never fails for being slow. */
await main(async () => {
  closeOnSignals();
  try {
    await ensurePackages();
    await ensureBrowser();
    const { address } = await startApplication();
    const plans = await benchPlans();
    await benchCuts();
    const browser = await openBrowser();
    await benchFirstLoad(browser, address, '/', 'board');
    await benchFirstLoad(browser, address, '/runs/new/part', 'part');
    for (const { features, file } of plans.filter(({ features: own }) => own === 12 || own === 40)) {
      const diameter = Math.max(...file.part.outside.map((step) => step.diameter));
      await benchEdits(browser, await saved(address, file), { features, diameter });
    }
    const widths = [0, 1, 2].map((column) => Math.max(...rows.map((cells) => cells[column].length)));
    say(`\n${rows.map((cells) => cells.map((cell, column) => cell.padEnd(widths[column])).join('   ')).join('\n')}\n`);
  } finally {
    await closeAll();
  }
});
