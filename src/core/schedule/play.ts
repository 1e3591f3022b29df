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

/** How sure a promise is. */
export interface Promised {
  job: number;
  /** Share of the played weeks in which it is kept; 1 without a day. */
  kept: number;
  /** Delivered no later than this in half of them and in four of five, minutes from the first midnight. */
  p50: number;
  p80: number;
}

/**
 * Plays the weeks again and again in one order (trade: Days): every run's making ready and pieces are off by factors of their own, and whoever
 * comes behind waits. @param off of each run by its id and the lathe that it is on
 */
export function playWeeks(
  order: Order,
  jobs: ReadonlyMap<number, Job>,
  lathes: Lathes,
  now: number,
  off: (job: number, lathe: string) => Off,
  { weeks, seed }: { weeks: number; seed: number },
): Promised[] {
  const random = seeded(seed);
  const ids = Object.values(order).flat();
  // In an order that cannot be nothing is ever delivered.
  const delivered = new Map(ids.map((id) => [id, new Float64Array(weeks).fill(Infinity)]));
  const saves = savesBetween();
  const drawn = Object.entries(order).flatMap(([lathe, here]) =>
    here.flatMap((id) => {
      const job = jobs.get(id);
      const on = job?.on[lathe];
      return job && on ? [{ id, job, lathe, on, off: off(id, lathe) }] : [];
    }),
  );
  for (let week = 0; week < weeks; week++) {
    const played = new Map<number, Job>();
    for (const { id, job, lathe, on, off: by } of drawn) {
      const [ready, work] = [on.ready * triangular(random(), by.setup), on.work * triangular(random(), by.pieces)];
      played.set(id, { ...job, on: { [lathe]: { ...on, ready, work } } });
    }
    for (const { job, delivered: at } of placeAll(order, played, lathes, now, saves) ?? [])
      (delivered.get(job) as Float64Array)[week] = at;
  }
  return ids.map((job) => {
    const days = (delivered.get(job) as Float64Array).sort();
    const due = jobs.get(job)?.due ?? Infinity;
    const kept = days.reduce((count, day) => count + Number(day <= due + 1e-9), 0) / weeks;
    const share = (of: number) => days[Math.min(weeks - 1, Math.floor(of * weeks))] ?? Infinity;
    return { job, kept, p50: share(0.5), p80: share(0.8) };
  });
}
