import { answerDays, rushPlaces, TRIED, tryOrder, type DaysAsked } from './answer';
import type { Order } from './job';

/** When a run would be there, and what that does to the others. Minutes from the first midnight. */
export interface Delivery {
  lathe: string;
  /** As planned, and in four of five played weeks. */
  delivered: number;
  p80: number;
  /** Runs that it makes late, or later. */
  harmed: number[];
}

const latheOf = (order: Order, job: number): string | undefined =>
  Object.keys(order).find((lathe) => order[lathe]?.includes(job));

/**
 * When a run would be delivered that may not be ordered yet (trade: Days): in its place, where the order that was taken has it; else put in where it
 * makes the others least late, and there as early as it can be.
 * @returns undefined where no lathe can make it within the hours
 */
export function deliveryOf(asked: DaysAsked, run: number): Delivery | undefined {
  const inOrder = asked.days.order.some(({ runs }) => runs.includes(run));
  if (inOrder) {
    const { order, placed, promised } = answerDays(asked, { weeks: TRIED.weeks });
    const lathe = latheOf(order, run);
    const delivered = Math.max(...placed.filter((one) => one.run === run).map((one) => one.delivered));
    const p80 = promised.find((one) => one.run === run)?.p80 ?? Infinity;
    return lathe === undefined || delivered === Infinity ? undefined : { lathe, delivered, p80, harmed: [] };
  }
  const others = { ...asked, runs: asked.runs.filter(({ id }) => id !== run) };
  const [kindest] = rushPlaces(asked, answerDays(others, { weeks: 0 }).order, run);
  if (!kindest) return undefined;
  const { lathe, delivered, harmed } = kindest;
  const tried = tryOrder(asked, kindest.order);
  const p80 = tried?.promised.find((one) => one.run === run)?.p80 ?? Infinity;
  const runOf = (job: number) => tried?.placed.find((one) => one.job === job)?.run ?? job;
  return { lathe, delivered, p80, harmed: [...new Set(harmed.map(({ job }) => runOf(job)))] };
}
