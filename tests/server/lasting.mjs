import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { startDatabase } from '../../scripts/lib/database.mjs';
import { closeAll, closeOnSignals } from '../../scripts/lib/processes.mjs';
import { main, say } from '../../scripts/lib/say.mjs';

/** A command that keeps a database going as npm start does, for tests of how such a command ends. */
const folder = process.argv[2];

await main(async () => {
  closeOnSignals();
  try {
    mkdirSync(folder, { recursive: true });
    const { url } = await startDatabase(join(folder, 'database'), { passing: true });
    writeFileSync(join(folder, 'url'), url);
    say('ready\n');
    if (process.argv[3] === 'talks') setInterval(() => say('still here\n'), 50);
    await new Promise((_, never) => setTimeout(never, 2 ** 31 - 1));
  } finally {
    await closeAll();
  }
});
