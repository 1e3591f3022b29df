import { join } from 'node:path';
import { browserPath, ensureBrowser, startApplication } from './lib/application.mjs';
import { ensureBuild } from './lib/build.mjs';
import { project } from './lib/folder.mjs';
import { ensurePackages } from './lib/packages.mjs';
import { closeAll, closeOnSignals, mustRun, run } from './lib/processes.mjs';
import { main, say, step } from './lib/say.mjs';

const bin = (name) => join(project, 'node_modules/.bin', name);

/** Compiled once and at leisure: what V8 makes of the planner sooner it soon throws away, a quarter of the processor. */
const UNHURRIED = ['--sparkplug', '--interrupt-budget=1500000'];

/** The unit tests, behind everything else and one at a time: beside them checks, build and journeys have a core of their own. */
async function unitTests() {
  const jest = ['-n', '19', process.execPath, ...UNHURRIED, bin('jest'), '--maxWorkers=1'];
  const { code, output } = await run('nice', jest, { cwd: project });
  say(`unit tests\n${output}`);
  return code;
}

/** What is asked of the code as it stands, and the build. */
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

/** The journeys in a real browser against a real build and a real database; `args` name some of them. */
async function journeys(args) {
  const { address, network, url, own } = await startApplication();
  const { code } = await run(bin('playwright'), ['test', ...args], {
    cwd: project,
    show: true,
    env: { BASE_URL: address, NETWORK_URL: network, DATABASE_URL: url, CHROMIUM: browserPath(), TEST_FOLDER: own },
  });
  return code;
}

/** Types, lint and build, then the journeys; the unit tests beside them. */
await main(async () => {
  closeOnSignals();
  const from = performance.now();
  try {
    await ensurePackages();
    const units = unitTests();
    await checkAndBuild();
    const codes = [await journeys(process.argv.slice(2)), await units];
    const failed = codes.find((code) => code !== 0) ?? 0;
    say(`${failed === 0 ? 'all passed' : 'tests failed'} (${((performance.now() - from) / 1000).toFixed(0)} s)\n`);
    return failed;
  } finally {
    await closeAll();
  }
});
