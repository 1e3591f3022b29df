import { join } from 'node:path';
import { CHROMIUM, ensureBrowser, startApplication } from './lib/application.mjs';
import { project } from './lib/folder.mjs';
import { ensurePackages } from './lib/packages.mjs';
import { closeAll, closeOnSignals, mustRun, run } from './lib/processes.mjs';
import { main, say, step } from './lib/say.mjs';

const bin = (name) => join(project, 'node_modules/.bin', name);

/** Types, lint, unit tests, then the journeys in a real browser against a real build and a real database. */
await main(async () => {
  closeOnSignals();
  const from = performance.now();
  try {
    await ensurePackages();
    await step('types', () => mustRun(bin('tsc'), ['-p', '.'], { cwd: project }).then(() => ''));
    await step('lint', async () => {
      await mustRun(bin('eslint'), ['.', '--max-warnings=0'], { cwd: project });
      await mustRun(bin('prettier'), ['--check', '--log-level=warn', '.'], { cwd: project });
    });
    say('unit tests\n');
    const unit = await run(bin('jest'), [], { cwd: project, show: true });
    if (unit.code !== 0) return unit.code;

    await ensureBrowser();
    const { address, network, url, own } = await startApplication();
    say('journeys\n');
    const journeys = await run(bin('playwright'), ['test', ...process.argv.slice(2)], {
      cwd: project,
      show: true,
      env: { BASE_URL: address, NETWORK_URL: network, DATABASE_URL: url, CHROMIUM, TEST_FOLDER: own },
    });
    say(
      `${journeys.code === 0 ? 'all passed' : 'journeys failed'} (${((performance.now() - from) / 1000).toFixed(0)} s)\n`,
    );
    return journeys.code;
  } finally {
    await closeAll();
  }
});
