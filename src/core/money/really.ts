import type { Progress } from '../lathe/progress';
import { costOfRun } from '../plan/cost/runCost';
import type { Plan } from '../plan/plan';
import type { Quote } from '../read/runFile';

/** What a share of a batch was reckoned at, and what it really came to. */
export interface CostBeside {
  name: string;
  reckoned: number;
  really: number;
}

/** What a run really cost beside what was reckoned, and what is earned where it was sold. */
export interface ReallyCost {
  shares: CostBeside[];
  batch: CostBeside;
  /** Of a good piece; nothing before there is one. */
  piece: CostBeside | undefined;
  /** Everything is made: before that it is what it has cost so far. */
  isWhole: boolean;
  /** What the good pieces are paid with, as the quotation was accepted, and what is over. */
  paid: number | undefined;
  earned: number | undefined;
}

/**
 * What a run really cost (trade: Shop arithmetic): the minutes that were pressed, the stock of pieces that took the place of scrap beyond the
 * spares; edges and ordering as reckoned.
 * @param minutes at the lathe, of steps and of making ready
 */
export function reallyCost(
  plan: Plan,
  minutes: number,
  { good, toMake, at }: Pick<Progress, 'good' | 'toMake' | 'at'>,
  accepted?: Quote['accepted'],
): ReallyCost {
  const { rates } = plan.run.shop;
  const { material, labour, edges, order, batch } = costOfRun(plan);
  const shares = [
    {
      name: 'material',
      reckoned: material.value,
      really: material.value * Math.max(1, toMake / plan.stock.toMake.value),
    },
    { name: 'machine and hand', reckoned: labour.value, really: (minutes * rates.machineHour) / 60 },
    { name: 'edges', reckoned: edges.value, really: edges.value },
    { name: 'ordering', reckoned: order.value, really: order.value },
  ];
  const really = shares.reduce((sum, share) => sum + share.really, 0);
  const paid = accepted && accepted.each * Math.min(good, accepted.quantity);
  return {
    shares,
    batch: { name: 'the batch', reckoned: batch.value, really },
    piece:
      good > 0 ? { name: 'a good piece', reckoned: batch.value / plan.run.quantity, really: really / good } : undefined,
    isWhole: at === undefined,
    paid,
    earned: paid === undefined ? undefined : paid - really,
  };
}
