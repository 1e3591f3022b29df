import { join } from 'node:path';
import { made, project } from './folder.mjs';
import { atEnd, mustRun } from './processes.mjs';
import { say } from './say.mjs';

/** Between two looks whether the backup of the day is there, ms. */
const LOOK = 30 * 60 * 1000;

/** Has a backup written each day as long as the command runs; one that fails is told, and tried again at the next look. */
export function keepBackups(url) {
  const look = () =>
    mustRun(process.execPath, ['--import', 'tsx', join(project, 'src/server/dailyBackup.ts'), join(made, 'backups')], {
      cwd: project,
      env: { DATABASE_URL: url },
    }).catch((error) => say(`the backup of today was not written: ${error.message}\n`, process.stderr));
  void look();
  const timer = setInterval(look, LOOK);
  atEnd(() => clearInterval(timer));
}
