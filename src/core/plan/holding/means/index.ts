import { betweenCentres } from './betweenCentres';
import { collet } from './collet';
import { fourJaw } from './fourJaw';
import type { HoldingKind } from './holding';
import { mandrel } from './mandrel';
import { sleeve } from './sleeve';
import { softJaws } from './softJaws';
import { splitBush } from './splitBush';
import { threadedHolder } from './threadedHolder';
import { threeJaw } from './threeJaw';

/** Every means of holding the work by a surface. */
export const holdingKinds: readonly HoldingKind[] = [
  threeJaw,
  fourJaw,
  collet,
  softJaws,
  splitBush,
  sleeve,
  threadedHolder,
  mandrel,
];

/** A means of holding by its kind. */
export const holdingOf = (kind: string): HoldingKind | undefined =>
  [...holdingKinds, betweenCentres].find((holdingKind) => holdingKind.kind === kind);
