import type { Operation } from '../../model/plan/operation';
import type { Setup } from '../../model/plan/setup';
import { notAbove } from './speed';
import { speedFor } from './speedFor';

/** Minutes of so many cuts so long, mm, at the usual feed and speed of a kind on a diameter, each with its approach: to compare by. */
export function minutesOfCuts(operation: Pick<Operation, 'kind' | 'tool'>, diameter: number, setup: Setup) {
  const { machine, cutting, handMinutes } = setup.run.shop;
  const feed = notAbove(machine.feeds, cutting.feed[operation.kind] ?? 0);
  const { value: speed } = speedFor(operation, diameter, setup, false);
  return (cuts: number, way: number): number => cuts * (handMinutes.approach + way / (feed * speed));
}
