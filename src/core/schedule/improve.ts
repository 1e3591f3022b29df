import { seeded } from '../model/seeded';
import type { Job, Order } from './job';
import { compareWorth, NO_WORTH, placeAll, plusWorth, worthOf, type Lathes, type Saves, type Worth } from './place';

/** What an order is judged by. */
export interface Judged {
  jobs: ReadonlyMap<number, Job>;
  lathes: Lathes;
  now: number;
  saves: Saves;
  /** Runs that wait for another, and those that are waited for: the lathes that they are on are placed together. */
  linked: ReadonlySet<number>;
  /** What sequences of lathes that are placed by themselves, or together, are worth. */
  known: Map<string, Worth>;
}

/** What orders of these runs are judged by. */
export const judgedBy = (jobs: readonly Job[], lathes: Lathes, now: number, saves: Saves): Judged => ({
  jobs: new Map(jobs.map((job) => [job.id, job])),
  lathes,
  now,
  saves,
  linked: new Set(
    jobs.flatMap(({ id, after, behind }) => {
      const others = [...after, ...(behind ? [behind.job] : [])];
      return others.length > 0 ? [id, ...others] : [];
    }),
  ),
  known: new Map(),
});

const NEVER: Worth = { missed: Infinity, late: Infinity, ready: Infinity, waits: Infinity };

/** What an order is worth; nothing is worse than one that cannot be. */
export function judge(order: Order, judged: Judged): Worth {
  const { jobs, lathes, now, saves, linked, known } = judged;
  const worthOfSome = (some: [string, readonly number[]][]): Worth => {
    const key = some.map(([lathe, ids]) => `${lathe} ${ids.join(' ')}`).join(';');
    let worth = known.get(key);
    if (!worth) {
      const placed = placeAll(Object.fromEntries(some), jobs, lathes, now, saves);
      known.set(key, (worth = placed ? worthOf(placed, jobs) : NEVER));
    }
    return worth;
  };
  const together: [string, readonly number[]][] = [];
  let sum = NO_WORTH;
  for (const lathe in order) {
    const ids = order[lathe] ?? [];
    if (linked.size > 0 && ids.some((id) => linked.has(id))) together.push([lathe, ids]);
    else sum = plusWorth(sum, worthOfSome([[lathe, ids]]));
  }
  return together.length > 0 ? plusWorth(sum, worthOfSome(together)) : sum;
}

export const without = (order: Order, job: number): Order =>
  Object.fromEntries(Object.entries(order).map(([lathe, ids]) => [lathe, ids.filter((id) => id !== job)]));

export const withAt = (order: Order, job: number, lathe: string, place: number): Order => ({
  ...order,
  [lathe]: (order[lathe] ?? []).toSpliced(place, 0, job),
});

/** Every place in which a run can be put into an order, what it is worth there. */
export function placesFor(
  order: Order,
  job: Job,
  judged: Judged,
): { order: Order; lathe: string; place: number; worth: Worth }[] {
  return Object.keys(job.on).flatMap((lathe) =>
    judged.lathes[lathe]
      ? Array.from({ length: (order[lathe] ?? []).length + 1 }, (_, place) => {
          const tried = withAt(order, job.id, lathe, place);
          return { order: tried, lathe, place, worth: judge(tried, judged) };
        })
      : [],
  );
}

const least = <T extends { worth: Worth }>(all: readonly T[]): T | undefined =>
  all.reduce<T | undefined>((best, one) => (best && compareWorth(best.worth, one.worth) <= 0 ? best : one), undefined);

/** Puts a run where it is worth most; where it can be nowhere the order stays. */
export function insertBest(order: Order, job: Job, judged: Judged): Order {
  return least(placesFor(order, job, judged))?.order ?? order;
}

/** What is promised first, and of those the heavier, is put in first. */
const byUrgency = (a: Job, b: Job): number =>
  (a.due ?? Infinity) - (b.due ?? Infinity) || b.weight - a.weight || a.release - b.release || a.id - b.id;

/** How far a search may go, counted in rounds, never in time: equal counts give equal answers everywhere. */
export interface Effort {
  rounds: number;
  seed: number;
}

/** Takes runs out one by one and puts each where it is worth most, until none is worth more elsewhere. */
function settle(order: Order, judged: Judged): { order: Order; worth: Worth } {
  let best = { order, worth: judge(order, judged) };
  for (let better = true; better;) {
    better = false;
    for (const job of judged.jobs.values()) {
      const moved = least(placesFor(without(best.order, job.id), job, judged));
      if (moved && compareWorth(moved.worth, best.worth) < 0) {
        best = moved;
        better = true;
      }
    }
  }
  return best;
}

/**
 * A good order of many runs: each put in where it is worth most, then runs taken out and put in again; some at a time by chance, from
 * which the next round goes on when it is better.
 * @param onRound told after each round, how many are over
 */
export function improvedOrder(
  judged: Judged,
  { rounds, seed }: Effort,
  begun?: Order,
  onRound?: (round: number) => void,
): { order: Order; worth: Worth } {
  const { jobs, lathes } = judged;
  const all = [...jobs.values()].sort(byUrgency);
  const empty: Order = Object.fromEntries(Object.keys(lathes).map((lathe) => [lathe, []]));
  const start = begun ?? all.reduce((order, job) => insertBest(order, job, judged), empty);
  let best = settle(start, judged);
  const random = seeded(seed);
  for (let round = 1; round <= rounds; round++) {
    const taken = all.filter(() => random() < Math.min(0.5, 6 / all.length));
    const left = taken.reduce((order, { id }) => without(order, id), best.order);
    // Put back in an order of their own, not by their days.
    const shuffled = taken.map((job) => ({ job, at: random() })).sort((a, b) => a.at - b.at);
    const tried = settle(
      shuffled.reduce((order, { job }) => insertBest(order, job, judged), left),
      judged,
    );
    if (compareWorth(tried.worth, best.worth) < 0) best = tried;
    onRound?.(round);
  }
  return best;
}
