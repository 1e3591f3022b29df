import type { FeatureKind } from '../featureKind';
import { bore, counterbore, ream } from './bored';
import { conical, countersink } from './conical';
import { innerGroove } from './innerGroove';
import { tap } from './tap';

/** Every shape of a hole beside the drilled one, by the name the run file gives it. */
export const boreKinds: readonly FeatureKind[] = [bore, ream, counterbore, countersink, conical, tap, innerGroove];
