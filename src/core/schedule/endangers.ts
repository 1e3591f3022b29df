import { TRIED, type DaysAsked } from './answer';
import { toSchedule } from './fromRuns';
import type { Order } from './job';
import { playWeeks, type Off } from './play';

/** A run that makes a promise less sure: how often it would be kept if that run took exactly what is planned. */
export interface Danger {
  run: number;
  keptWithout: number;
}

/** Less than this of the weeks is chance. */
const LEAST = 0.02;
const AS_PLANNED: Off = { setup: { down: 0, up: 0 }, pieces: { down: 0, up: 0 } };

/**
 * Which runs endanger a promise, the worst first: the weeks are played again with each in turn as it is planned, by the same chance otherwise.
 * The run itself may be among them.
 * @returns how often the promise is kept as things are, and what it would be without each danger
 */
export function endangers(
  { runs, days, machines, today, now }: DaysAsked,
  order: Order,
  run: number,
): { kept: number; by: Danger[] } {
  const { jobs, lathes, off } = toSchedule(runs, days, machines, today);
  const byId = new Map(jobs.map((job) => [job.id, job]));
  const keptWith = (steady: number | undefined) =>
    playWeeks(order, byId, lathes, now, (id, lathe) => (id === steady ? AS_PLANNED : off(id, lathe)), TRIED).find(
      (one) => one.run === run,
    )?.kept ?? 0;
  const kept = keptWith(undefined);
  const inOrder = new Set(Object.values(order).flatMap((ids) => ids.flatMap((id) => byId.get(id)?.run ?? [])));
  const by = [...inOrder]
    .map((id): Danger => ({ run: id, keptWithout: keptWith(id) }))
    .filter(({ keptWithout }) => keptWithout - kept >= LEAST)
    .sort((a, b) => b.keptWithout - a.keptWithout);
  return { kept, by };
}
