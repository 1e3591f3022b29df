import { costOfRun } from './cost/runCost';
import type { PlannedRun } from './cost/edgeLife';
import { weightOf } from './risks';
import type { Risk } from './risks/risk';

/** Money as minutes of the machine. */
const asMinutes = (money: number, { run }: PlannedRun): number => (60 * money) / run.shop.rates.machineHour;

/**
 * What a route is worth, minutes over the batch: what it takes, or what it costs at the price of an hour, as the house has
 * it; with what its risks weigh. Less is better.
 */
export function worthOf(planned: PlannedRun, risks: readonly Risk[]): number {
  const { run, times } = planned;
  const whole =
    run.shop.houseRules.worth === 'money' ? asMinutes(costOfRun(planned).batch.value, planned) : times.batch.value;
  return whole + run.quantity * weightOf(risks);
}
