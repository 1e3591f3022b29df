import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { simulateRun, type Simulated } from '@/core/ask/simulateRun';
import { chamfersOnSteps } from '@/core/formats/chamfers';
import { planFile } from '@/core/plan/plan';
import type { RunFile } from '@/core/read/runFile';
import { database } from './database';
import { keepEvents } from './latheEvents';
import { createRun } from './runRepository';
import { currentShop } from './shopRepository';

/** Runs of the demonstration that have a history: two that were made, one that is half done. */
const HISTORIES: Record<string, Simulated> = {
  'vane-spindle.json': {
    seed: 31,
    from: new Date('2026-11-10T07:00:00Z'),
    device: 'lathe A · demonstration',
    pace: 1.15,
  },
  'mast-stud.json': { seed: 12, from: new Date('2026-11-16T07:00:00Z'), device: 'lathe A · demonstration', pace: 1.3 },
  'sensor-spacer.json': {
    seed: 21,
    from: new Date('2026-11-25T07:00:00Z'),
    device: 'lathe A · demonstration',
    pace: 1.2,
    steps: 700,
  },
};

/** So many are kept at once. */
const AT_ONCE = 500;

/** Gives a run the history that the product's own simulation makes up for it. */
async function giveHistory(run: number, file: RunFile, simulated: Simulated): Promise<void> {
  const plan = planFile(file, await currentShop(), 'wanted');
  if (!plan.ok) return;
  const events = simulateRun(plan.value, simulated);
  for (let from = 0; from < events.length; from += AT_ONCE) await keepEvents(run, events.slice(from, from + AT_ONCE));
}

/** Gives a database without runs the ones of examples/, so that the board has something to show. */
export async function seedDemo(): Promise<number> {
  if (await database()('runs').first('id')) return 0;
  const folder = join(process.cwd(), 'examples');
  const files = readdirSync(folder).filter((name) => name.endsWith('.json'));
  for (const name of files) {
    const file = chamfersOnSteps(JSON.parse(readFileSync(join(folder, name), 'utf8')) as RunFile);
    const { id } = await createRun(file);
    const history = HISTORIES[name];
    if (history) await giveHistory(id, file, history);
  }
  return files.length;
}
