import { join } from 'node:path';
import { browserPath, ensureBrowser, startApplication } from './lib/application.mjs';
import { ensureBuild } from './lib/build.mjs';
import { project } from './lib/folder.mjs';
import { ensurePackages } from './lib/packages.mjs';
import { closeAll, closeOnSignals, mustRun, run } from './lib/processes.mjs';
import { main, Refusal, say, step } from './lib/say.mjs';

const bin = (name) => join(project, 'node_modules/.bin', name);

/**
 * Compiled once and at leisure: what V8 makes of the planner sooner it soon throws away, a quarter of the processor. Swept by
 * one thread: several wait for each other where others have the processors, which took a fifth more.
 */
const UNHURRIED = ['--sparkplug', '--interrupt-budget=1500000', '--single-threaded-gc'];

/** Behind everything else: what is waited for in a browser has the processor when it wants it. */
const behind = (command, args) => run('nice', ['-n', '19', command, ...args], { cwd: project });

/** Reads the code and finds it as it should be, or says what is not. */
const reads = (name, tool, args) =>
  step(name, async () => {
    const { code, output } = await behind(bin(tool), args);
    if (code !== 0) throw new Refusal(`${name}:\n${output.trim()}`);
  });

/** The unit tests are told apart into so many shares. */
const SHARES = 6;

/**
 * What asks the code alone: the unit tests, a share after the other, one at a time as long as somebody is `beside` them, and
 * what reads the code. A page that plans has a core of its own that way, and none is idle after it.
 */
async function withoutBrowser(beside) {
  let failed = 0;
  for (let share = 1; share <= SHARES; share += 1) {
    const jest = [...UNHURRIED, bin('jest'), `--shard=${share}/${SHARES}`, `--maxWorkers=${beside() ? 1 : 2}`];
    const { code, output } = await behind(process.execPath, jest);
    say(`unit tests, ${share} of ${SHARES}\n${output}`);
    failed ||= code;
  }
  await Promise.all([
    reads('lint', 'eslint', ['.', '--max-warnings=0']),
    reads('one way only', 'depcruise', ['src', '--config', '--output-type=err']),
    reads('layout', 'prettier', ['--check', '--log-level=warn', '.']),
  ]);
  return failed;
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
    let isBusy = true;
    const codes = await Promise.all([
      inBrowser(process.argv.slice(2)).finally(() => (isBusy = false)),
      withoutBrowser(() => isBusy),
    ]);
    const failed = codes.find((code) => code !== 0) ?? 0;
    say(`${failed === 0 ? 'all passed' : 'tests failed'} (${((performance.now() - from) / 1000).toFixed(0)} s)\n`);
    return failed;
  } finally {
    await closeAll();
  }
});
