import { DAY, workTime, type WorkTime } from './hours';
import type { Job, Order } from './job';
import type { Lathes } from './place';

/** Where runs wait until both halves are there: nobody works at it, and it is always open. */
const TOGETHER = 'both halves';

/** Longer than any schedule, days. */
const LONG = 4000;
const always: WorkTime = workTime([{ from: 0, to: LONG * DAY }]);

/** A shop in which one run is made in two halves at once. */
export interface Halved {
  jobs: Job[];
  lathes: Lathes;
  order: Order;
  /** The run whose minutes a half is off by. */
  halfOf: ReadonlyMap<number, number>;
}

/**
 * A run made in two halves, on the lathe that it is on and on another, each made ready by itself; it is there when both are. The first half
 * keeps the run's place, the other stands where it is told to.
 */
export function inTwoHalves(
  job: Job,
  { jobs, lathes, order }: { jobs: readonly Job[]; lathes: Lathes; order: Order },
  from: string,
  to: string,
  place: number,
): Halved {
  // Ids of runs are whole and above nought: these are nobody else's.
  const [twin, both] = [-2 * job.id, -2 * job.id - 1];
  const { due, lead, ...rest } = job;
  const half = (id: number, lathe: string): Job => {
    const on = job.on[lathe];
    return { ...rest, id, lead: 0, on: on ? { [lathe]: { ...on, work: on.work / 2 } } : {} };
  };
  const whole: Job = {
    ...rest,
    id: both,
    lead,
    ...(due === undefined ? {} : { due }),
    on: { [TOGETHER]: { ready: 0, work: 0 } },
    after: [job.id, twin],
  };
  const others = jobs
    .filter(({ id }) => id !== job.id)
    .map((one) => ({ ...one, after: one.after.map((id) => (id === job.id ? both : id)) }));
  return {
    jobs: [...others, half(job.id, from), half(twin, to), whole],
    lathes: { ...lathes, [TOGETHER]: { time: always } },
    order: { ...order, [to]: (order[to] ?? []).toSpliced(place, 0, twin), [TOGETHER]: [both] },
    halfOf: new Map([[twin, job.id]]),
  };
}
