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

/** Reads the code and finds it as it should be, or says what is not. */
const reads = (name, tool, args) =>
  step(name, () => mustRun('nice', ['-n', '19', bin(tool), ...args], { cwd: project }).then(() => ''));

/**
 * What asks the code alone, behind everything else and one at a time: beside it build and journeys have a core of their own.
 * The unit tests last: what is told sooner comes sooner.
 */
async function withoutBrowser() {
  await reads('lint', 'eslint', ['.', '--max-warnings=0']);
  await reads('one way only', 'depcruise', ['src', '--config', '--output-type=err']);
  await reads('layout', 'prettier', ['--check', '--log-level=warn', '.']);
  const jest = ['-n', '19', process.execPath, ...UNHURRIED, bin('jest'), '--maxWorkers=1'];
  const { code, output } = await run('nice', jest, { cwd: project });
  say(`unit tests\n${output}`);
  return code;
}

/** Types, before a build writes some of its own beside them, then the build and the journeys, of which `args` name some. */
async function inBrowser(args) {
  await step('types', () => mustRun(bin('tsc'), ['-p', '.'], { cwd: project }).then(() => ''));
  await ensureBrowser();
  await step('build for the journeys', async () => (await ensureBuild('test')).note);
  return journeys(args);
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

/** What asks the code alone, and beside it types, build and journeys. */
await main(async () => {
  closeOnSignals();
  const from = performance.now();
  try {
    await ensurePackages();
    const codes = await Promise.all([inBrowser(process.argv.slice(2)), withoutBrowser()]);
    const failed = codes.find((code) => code !== 0) ?? 0;
    say(`${failed === 0 ? 'all passed' : 'tests failed'} (${((performance.now() - from) / 1000).toFixed(0)} s)\n`);
    return failed;
  } finally {
    await closeAll();
  }
});
