import type { OperationKind } from '../../model/plan/operation';
import { bore, counterbore } from './bore';
import { centre } from './centre';
import { chamfer } from './chamfer';
import { drill } from './drill';
import { countersink } from './countersink';
import { deburr } from './deburr';
import { face } from './face';
import { faceGroove } from './faceGroove';
import { form } from './form';
import { groove } from './groove';
import { innerGroove } from './innerGroove';
import { innerThread } from './innerThread';
import { inspect } from './inspect';
import { leadIn } from './leadIn';
import { knurl } from './knurl';
import { ownWork } from './ownWork';
import { partIn } from './partIn';
import { partOff } from './partOff';
import { polish } from './polish';
import { ream } from './ream';
import { handTap, tap } from './tap';
import { taper } from './taper';
import { die, thread } from './thread';
import { turnBehind } from './turnBehind';
import { turnFinish } from './turnFinish';
import { turnRough } from './turnRough';
import { vee } from './vee';

/** Every kind of operation that is planned. The order of the list breaks ties only; the rules make the order. */
export const operationKinds: readonly OperationKind[] = [
  face,
  centre,
  drill,
  bore,
  counterbore,
  innerGroove,
  countersink,
  tap,
  handTap,
  innerThread,
  leadIn,
  ream,
  turnRough,
  knurl,
  taper,
  form,
  groove,
  turnBehind,
  faceGroove,
  vee,
  // What of the diameters the others do not cut away.
  turnFinish,
  chamfer,
  thread,
  die,
  partIn,
  // What looks at everything that was asked for before it.
  polish,
  deburr,
  ownWork,
  inspect,
  partOff,
];

/** The kind of an operation. */
export const kindOf = ({ kind }: { kind: string }): OperationKind => {
  const found = operationKinds.find((known) => known.kind === kind);
  if (!found) throw new Error(`no kind of operation is called ${kind}`);
  return found;
};
