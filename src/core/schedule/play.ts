import { triangular } from '../ask/promise';
import { seeded } from '../model/seeded';
import type { Spread } from '../model/shop/shop';
import type { Job, Order } from './job';
import { placeAll, savesBetween, type Lathes } from './place';

/** By how much minutes may be off: making ready, and pieces, each a factor of the whole run. */
export interface Off {
  setup: Spread;
  pieces: Spread;
}

/** How sure the promise of a run is; of one in parts that all are there. */
export interface Promised {
  run: number;
  /** Share of the played weeks in which it is kept; 1 without a day. */
  kept: number;
  /** Delivered no later than this in half of them and in four of five, minutes from the first midnight. */
  p50: number;
  p80: number;
}

/**
 * Plays the weeks again and again in one order (trade: Days): every making ready is off by a factor of its own, the pieces of a run by
 * one, in both of its parts, and whoever comes behind waits. @param off of each run by its id and the lathe that it is on
 */
export function playWeeks(
  order: Order,
  jobs: ReadonlyMap<number, Job>,
  lathes: Lathes,
  now: number,
  off: (run: number, lathe: string) => Off,
  { weeks, seed }: { weeks: number; seed: number },
): Promised[] {
  const random = seeded(seed);
  const saves = savesBetween();
  const drawn = Object.entries(order).flatMap(([lathe, here]) =>
    here.flatMap((id) => {
      const job = jobs.get(id);
      const on = job?.on[lathe];
      return job && on ? [{ id, job, lathe, on, off: off(job.run, lathe) }] : [];
    }),
  );
  const dues = new Map<number, number>();
  for (const { job } of drawn) dues.set(job.run, Math.min(job.due ?? Infinity, dues.get(job.run) ?? Infinity));
  const delivered = new Map([...dues.keys()].map((run) => [run, new Float64Array(weeks)]));
  for (let week = 0; week < weeks; week++) {
    const played = new Map<number, Job>();
    const luck = new Map<number, number>();
    for (const { id, job, lathe, on, off: by } of drawn) {
      const ready = on.ready * triangular(random(), by.setup);
      const here = luck.get(job.run) ?? random();
      luck.set(job.run, here);
      played.set(id, { ...job, on: { [lathe]: { ...on, ready, work: on.work * triangular(here, by.pieces) } } });
    }
    const placed = placeAll(order, played, lathes, now, saves);
    // In an order that cannot be nothing is ever delivered.
    if (!placed) for (const all of delivered.values()) all[week] = Infinity;
    for (const { run, delivered: at } of placed ?? []) {
      const all = delivered.get(run) as Float64Array;
      all[week] = Math.max(all[week] as number, at);
    }
  }
  return [...delivered].map(([run, all]) => {
    const days = all.sort();
    const due = dues.get(run) ?? Infinity;
    const kept = days.reduce((count, day) => count + Number(day <= due + 1e-9), 0) / weeks;
    const share = (of: number) => days[Math.min(weeks - 1, Math.floor(of * weeks))] ?? Infinity;
    return { run, kept, p50: share(0.5), p80: share(0.8) };
  });
}
