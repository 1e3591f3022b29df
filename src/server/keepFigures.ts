import { setPriority } from 'node:os';
import { setTimeout } from 'node:timers/promises';
import { closeDatabase, database } from './database';
import { figureSome } from './figuring';
import { sayForAll } from './kept';
import { wantAnew } from './runList';
import { planForSchedule } from './runsToMake';
import { troubleOf } from './trouble';

/** Pause before looking again, ms: when there was nothing to do, and the longest after trouble. */
const IDLE_MS = 300;
const LONGEST_MS = 15_000;

/**
 * Keeps the figures of the lists: a process of its own beside the server, so that no page waits for a plan. It ends
 * with the command that started it, and goes on by itself when the database was away.
 */
async function keepFigures(program: string): Promise<void> {
  let [ending, pause, first] = [false, IDLE_MS, true];
  for (const signal of ['SIGTERM', 'SIGINT', 'SIGHUP'] as const) process.on(signal, () => (ending = true));
  process.on('disconnect', () => (ending = true));
  // Whoever opens a page goes first.
  setPriority(10);
  while (!ending)
    try {
      // The planner may be another one than last time.
      if (first) await wantAnew(database());
      first = false;
      // A schedule waits behind the lists: it is asked for less.
      const did = (await figureSome(program)) || (await planForSchedule());
      pause = IDLE_MS;
      if (did === 0) await setTimeout(IDLE_MS);
    } catch (error) {
      troubleOf(error);
      pause = Math.min(pause * 2, LONGEST_MS);
      await setTimeout(pause);
    }
  await closeDatabase();
  process.exit(0);
}

sayForAll();
await keepFigures(process.env.SHINGLE_PLANNER ?? '');
