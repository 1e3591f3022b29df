import { angle } from './angles';
import { centreEnd } from './centreEnd';
import {
  edgeAfterSurfaces,
  edgeBeforeLoss,
  grooveAfterOd,
  partInLate,
  reliefAfterOd,
  roomFirst,
  shapeAfterCylinder,
} from './edges';
import { faceFirst, nib, partLast } from './faces';
import { holeChain, holeOrOutside, holesBeforePart, pilot, spotDrill } from './holes';
import { bigFirst, centreSupport, closeSmallFirst, roughAllFirst, roughThenFinish } from './turning';
import { neckLate } from './necks';
import { knurlEarly, pinchedEarly } from './knurls';
import { deburrLast, gate, polishLate } from './lastLook';
import { reliefFirst, threadLate } from './threads';
import type { Rule } from './rule';

/** The rules of the order that apply to what is planned (trade: Order; ids that are ours are told in docs/rules.md). */
export const rules: readonly Rule[] = [
  centreSupport,
  centreEnd,
  spotDrill,
  pilot,
  holeChain,
  roughThenFinish,
  roughAllFirst,
  bigFirst,
  closeSmallFirst,
  holeOrOutside,
  grooveAfterOd,
  reliefAfterOd,
  shapeAfterCylinder,
  roomFirst,
  knurlEarly,
  pinchedEarly,
  reliefFirst,
  neckLate,
  threadLate,
  edgeAfterSurfaces,
  edgeBeforeLoss,
  partInLate,
  polishLate,
  deburrLast,
  gate,
  holesBeforePart,
  partLast,
  nib,
  angle,
  // Last, because it goes for everything: what is particular to an operation is told before it.
  faceFirst,
];
