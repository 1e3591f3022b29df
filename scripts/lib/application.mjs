import { existsSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { ensureBuild, startServer } from './build.mjs';
import { prepareDatabase, startDatabase } from './database.mjs';
import { made, project } from './folder.mjs';
import { ensureProgram } from './packages.mjs';
import { atEnd, freePort, mustRun, PATIENCE, until } from './processes.mjs';
import { step } from './say.mjs';

/** The browser without a window of its own: it takes a fifth less of a core than the whole one, which does as well. */
const SHELL = '/usr/bin/chromium-headless-shell';
const WHOLE = '/usr/bin/chromium';

export const browserPath = () => (existsSync(SHELL) ? SHELL : WHOLE);

/** Debian's headless browser, for the journeys, the bench and the pictures. */
export const ensureBrowser = () =>
  step('browser', () =>
    ensureProgram([SHELL], ['chromium-headless-shell']).catch((refusal) => {
      if (existsSync(WHOLE)) return WHOLE;
      throw refusal;
    }),
  );

/** A browser to drive; its package is only looked for when the packages are there. */
export async function openBrowser() {
  const { chromium } = await import('@playwright/test');
  const browser = await chromium.launch({
    executablePath: browserPath(),
    args: ['--no-sandbox', '--disable-background-networking'],
  });
  atEnd(() => browser.close());
  return browser;
}

/** Waits until every demo run is planned for the lists. */
const figured = (address) =>
  until(
    async () => (await (await fetch(`${address}/api/runs/progress`)).json()).stale === 0,
    PATIENCE,
    () => `The demo runs were not planned within ${PATIENCE} s.`,
  );

/** As which it is reached in the shop's network, by whoever knows where that is. */
const NAME = 'shingle.test';

/**
 * The whole application with demo data of its own, in a folder of this process: several can run side by side, and
 * beside npm start.
 * @param lasting whether its data is kept as a shop's is, forced to the disk; otherwise it is quicker
 */
export async function startApplication({ lasting = false } = {}) {
  const own = join(made, `own-${process.pid}`);
  atEnd(() => rmSync(own, { recursive: true, force: true }));
  let url;
  await step('database', async () => {
    const database = await startDatabase(join(own, 'database'), { passing: !lasting });
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
  const address = `http://127.0.0.1:${port}`;
  const network = `https://127.0.0.1:${await freePort()}`;
  const certificate = join(own, 'certificate');
  await step('certificate', () =>
    mustRun(process.execPath, ['--import', 'tsx', join(project, 'src/server/makeCertificate.ts'), certificate, NAME], {
      cwd: project,
    }).then(() => ''),
  );
  await startServer({
    folder,
    port,
    url,
    env: {
      SHINGLE_LISTEN: '127.0.0.1',
      SHINGLE_HOSTS: NAME,
      SHINGLE_TLS_PORT: new URL(network).port,
      SHINGLE_CERTIFICATE: join(certificate, 'server.pem'),
      SHINGLE_CERTIFICATE_KEY: join(certificate, 'server.key'),
    },
  });
  await step('figures', () => figured(address));
  return { address, network, url, own };
}
