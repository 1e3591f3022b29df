import { join } from 'node:path';
import { CHROMIUM, ensureBrowser, startApplication } from './lib/application.mjs';
import { ensureBuild } from './lib/build.mjs';
import { project } from './lib/folder.mjs';
import { ensurePackages } from './lib/packages.mjs';
import { closeAll, closeOnSignals, mustRun, run } from './lib/processes.mjs';
import { main, say, step } from './lib/say.mjs';

const bin = (name) => join(project, 'node_modules/.bin', name);

/** What one thread does after the other; the unit tests run on the other core meanwhile. */
async function checkAndBuild() {
  await step('types', () => mustRun(bin('tsc'), ['-p', '.'], { cwd: project }).then(() => ''));
  await step('lint', () => mustRun(bin('eslint'), ['.', '--max-warnings=0'], { cwd: project }).then(() => ''));
  await step('one way only', () =>
    mustRun(bin('depcruise'), ['src', '--config', '--output-type=err'], { cwd: project }).then(() => ''),
  );
  await step('layout', () =>
    mustRun(bin('prettier'), ['--check', '--log-level=warn', '.'], { cwd: project }).then(() => ''),
  );
  await ensureBrowser();
  await step('build for the journeys', async () => (await ensureBuild('test')).note);
}

/** Types, lint and unit tests, then the journeys in a real browser against a real build and a real database. */
await main(async () => {
  closeOnSignals();
  const from = performance.now();
  const seconds = () => `${((performance.now() - from) / 1000).toFixed(0)} s`;
  try {
    await ensurePackages();
    const unit = run(bin('jest'), ['--maxWorkers=1'], { cwd: project });
    await checkAndBuild();
    const { code, output } = await unit;
    say(`unit tests, meanwhile\n${output}`);
    if (code !== 0) return code;

    const { address, network, url, own } = await startApplication();
    say(`journeys (after ${seconds()})\n`);
    const journeys = await run(bin('playwright'), ['test', ...process.argv.slice(2)], {
      cwd: project,
      show: true,
      env: { BASE_URL: address, NETWORK_URL: network, DATABASE_URL: url, CHROMIUM, TEST_FOLDER: own },
    });
    say(`${journeys.code === 0 ? 'all passed' : 'journeys failed'} (${seconds()})\n`);
    return journeys.code;
  } finally {
    await closeAll();
  }
});
