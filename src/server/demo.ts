import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { chamfersOnSteps } from '@/core/formats/chamfers';
import type { RunFile } from '@/core/read/runFile';
import { database } from './database';
import { createRun } from './runRepository';

/** Gives a database without runs the ones of examples/, so that the board has something to show. */
export async function seedDemo(): Promise<number> {
  if (await database()('runs').first('id')) return 0;
  const folder = join(process.cwd(), 'examples');
  const files = readdirSync(folder).filter((name) => name.endsWith('.json'));
  for (const name of files)
    await createRun(chamfersOnSteps(JSON.parse(readFileSync(join(folder, name), 'utf8')) as RunFile));
  return files.length;
}
