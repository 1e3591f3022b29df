import { rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { ensureBuild, startServer } from './lib/build.mjs';
import { prepareDatabase, startDatabase } from './lib/database.mjs';
import { made, peek } from './lib/folder.mjs';
import { ensurePackages } from './lib/packages.mjs';
import { mayListen, networkSettings } from './lib/network.mjs';
import { keepBackups } from './lib/backups.mjs';
import { atEnd, closeAll, closeOnSignals, endLeftBehind, listens } from './lib/processes.mjs';
import { main, Refusal, say, step } from './lib/say.mjs';

const port = Number(process.env.PORT ?? 4610);

/** Who runs the server of this folder, so that one left behind by a killed command is found and ended. */
const claim = join(made, 'server.json');

async function endOldServer() {
  const { owner, pid } = JSON.parse(peek(claim) ?? '{}');
  await endLeftBehind(
    { owner, pid, name: 'serve.mjs' },
    (other) => `Shingle already runs from this folder (process ${other}). Stop that one first.`,
  );
}

await main(async () => {
  closeOnSignals();
  try {
    if (!Number.isInteger(port) || port < 1 || port > 65535)
      throw new Refusal(`PORT is “${process.env.PORT}”; it must be a number from 1 to 65535.`);
    await endOldServer();
    if (await listens(port))
      throw new Refusal(
        `Port ${port} is in use, perhaps by Shingle already: open http://127.0.0.1:${port}, stop what uses it, or choose another with PORT=4611 npm start.`,
      );
    await ensurePackages();
    let url = process.env.DATABASE_URL;
    await step('database', async () => {
      if (url) return 'the one of DATABASE_URL';
      const database = await startDatabase(join(made, 'database'));
      url = database.url;
      return database.note;
    });
    await step('schema and data', () => prepareDatabase(url));
    let folder;
    await step('build', async () => {
      const build = await ensureBuild('start');
      folder = build.folder;
      return build.note;
    });
    const network = networkSettings();
    if (network) await mayListen(url, network);
    const { server: pid } = await startServer({ folder, port, url, env: network?.env });
    writeFileSync(claim, JSON.stringify({ owner: process.pid, pid }));
    atEnd(() => rmSync(claim, { force: true }));
    keepBackups(url);
    say(
      `\n${network ? `On the network: ${network.address}\n` : ''}Shingle is ready: http://127.0.0.1:${port}\nCtrl-C stops it.\n`,
    );
    await new Promise(() => {});
  } finally {
    await closeAll();
  }
});
