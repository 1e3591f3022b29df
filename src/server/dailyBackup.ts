import { existsSync, mkdirSync, readdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { writeBackup } from './backup';
import { closeDatabase } from './database';

/** Backups of so many days are kept. */
const DAYS = 14;

const OF_A_DAY = /^\d{4}-\d{2}-\d{2}\.shingle\.gz$/;

/** Writes the backup of the day, when there is none yet, and lets those go that are older than the last fourteen. */
async function backUpToday(folder: string): Promise<string> {
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  const file = join(folder, `${new Date().toISOString().slice(0, 10)}.shingle.gz`);
  if (existsSync(file)) return '';
  await writeBackup(file);
  const kept = readdirSync(folder)
    .filter((name) => OF_A_DAY.test(name))
    .sort();
  for (const name of kept.slice(0, -DAYS)) rmSync(join(folder, name));
  return file;
}

try {
  process.stdout.write(await backUpToday(process.argv[2] ?? join(process.cwd(), '.shingle/backups')));
} finally {
  await closeDatabase();
}
