import { rmSync } from 'node:fs';
import { join } from 'node:path';
import { ensureBuild, startServer } from './lib/build.mjs';
import { prepareDatabase, startDatabase } from './lib/database.mjs';
import { made, project } from './lib/folder.mjs';
import { ensurePackages, ensureProgram } from './lib/packages.mjs';
import { atEnd, closeAll, closeOnSignals, freePort, mustRun, run } from './lib/processes.mjs';
import { main, step } from './lib/say.mjs';

const bin = (name) => join(project, 'node_modules/.bin', name);
const CHROMIUM = ['/usr/bin/chromium'];

/** Types, lint, unit tests, then the journeys in a real browser against a real build and a real database. */
await main(async () => {
  closeOnSignals();
  const from = performance.now();
  try {
    await ensurePackages();
    await step('types', () => mustRun(bin('tsc'), ['-p', '.'], { cwd: project }).then(() => ''));
    await step('lint', () => mustRun(bin('eslint'), ['.', '--max-warnings=0'], { cwd: project }).then(() => ''));
    process.stdout.write('unit tests\n');
    const unit = await run(bin('jest'), [], { cwd: project, show: true });
    if (unit.code !== 0) return unit.code;

    await step('browser', () => ensureProgram(CHROMIUM, ['chromium']));
    // A folder of this process, so that several test runs and npm start keep out of each other's way.
    const own = join(made, `test-${process.pid}`);
    atEnd(() => rmSync(own, { recursive: true, force: true }));
    let url;
    await step('database', async () => {
      const database = await startDatabase(join(own, 'database'));
      url = database.url;
      return database.note;
    });
    await step('schema and data', () => prepareDatabase(url));
    let folder;
    await step('build', async () => {
      const build = await ensureBuild('test');
      folder = build.folder;
      return build.note;
    });
    const port = await freePort();
    await startServer({ folder, port, url });
    process.stdout.write('journeys\n');
    const journeys = await run(bin('playwright'), ['test', ...process.argv.slice(2)], {
      cwd: project,
      show: true,
      env: { BASE_URL: `http://127.0.0.1:${port}`, DATABASE_URL: url, CHROMIUM: CHROMIUM[0], TEST_FOLDER: own },
    });
    process.stdout.write(`${journeys.code === 0 ? 'all passed' : 'journeys failed'} (${((performance.now() - from) / 1000).toFixed(0)} s)\n`);
    return journeys.code;
  } finally {
    await closeAll();
  }
});
