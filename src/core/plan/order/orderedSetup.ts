import type { Reason } from '../../model/words';
import type { Setup } from '../../model/plan/setup';
import type { TakenOverrule } from '../../model/plan/taken';
import type { Order } from './order';
import type { Operation } from '../../model/plan/operation';

/** A set-up with its operations in order and why they are so. */
export interface OrderedSetup {
  setup: Setup;
  order: Order;
  operations: Operation[];
  reasons: Reason[][];
  broken: Reason[];
  overruled: TakenOverrule[];
}
