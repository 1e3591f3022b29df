import type { OperationKind } from '../operation';
import { bore, counterbore } from './bore';
import { centre } from './centre';
import { chamfer } from './chamfer';
import { drill } from './drill';
import { countersink } from './countersink';
import { face } from './face';
import { groove } from './groove';
import { partOff } from './partOff';
import { ream } from './ream';
import { tap } from './tap';
import { turnFinish } from './turnFinish';
import { turnRough } from './turnRough';

/** Every kind of operation that is planned. The order of the list breaks ties only; the rules make the order. */
export const operationKinds: readonly OperationKind[] = [
  face,
  centre,
  drill,
  bore,
  counterbore,
  countersink,
  tap,
  ream,
  turnRough,
  turnFinish,
  groove,
  chamfer,
  partOff,
];

/** The kind of an operation. */
export const kindOf = ({ kind }: { kind: string }): OperationKind => {
  const found = operationKinds.find((known) => known.kind === kind);
  if (!found) throw new Error(`no kind of operation is called ${kind}`);
  return found;
};
