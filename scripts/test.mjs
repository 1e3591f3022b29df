import { join } from 'node:path';
import { browserPath, ensureBrowser, startApplication } from './lib/application.mjs';
import { ensureBuild } from './lib/build.mjs';
import { project } from './lib/folder.mjs';
import { ensurePackages } from './lib/packages.mjs';
import { closeAll, closeOnSignals, mustRun, run } from './lib/processes.mjs';
import { main, say, step } from './lib/say.mjs';

const bin = (name) => join(project, 'node_modules/.bin', name);

/** The unit tests in shares; whoever is free takes the next one. */
const SHARES = 6;
const shares = Array.from({ length: SHARES }, (_, index) => `${index + 1}/${SHARES}`);

/** Takes shares of the unit tests until none is left, or one fails. */
async function unitTests() {
  for (let share = shares.shift(); share; share = shares.shift()) {
    const { code, output } = await run(bin('jest'), ['--maxWorkers=1', `--shard=${share}`], { cwd: project });
    say(`unit tests, share ${share}\n${output}`);
    if (code !== 0) {
      shares.length = 0;
      return code;
    }
  }
  return 0;
}

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
    const codes = await Promise.all([unitTests(), checkAndBuild().then(unitTests)]);
    const failed = codes.find((code) => code !== 0);
    if (failed !== undefined) return failed;

    const { address, network, url, own } = await startApplication();
    say(`journeys (after ${seconds()})\n`);
    const journeys = await run(bin('playwright'), ['test', ...process.argv.slice(2)], {
      cwd: project,
      show: true,
      env: { BASE_URL: address, NETWORK_URL: network, DATABASE_URL: url, CHROMIUM: browserPath(), TEST_FOLDER: own },
    });
    say(`${journeys.code === 0 ? 'all passed' : 'journeys failed'} (${seconds()})\n`);
    return journeys.code;
  } finally {
    await closeAll();
  }
});
