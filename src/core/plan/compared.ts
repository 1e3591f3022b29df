import type { Bar } from '../model/plan/stock';
import type { Setup } from '../model/plan/setup';
import type { Problem } from '../model/result';
import type { SetupDrawn } from './drawnSmall';
import type { Fault } from './proof/faults';
import type { Risk } from './risks/risk';
import type { Route } from './route';
import { nearerToOther } from './leftToOther';
import type { Either, Skeleton } from './skeleton';

/** Minutes over the batch. */
export const batchOf = ({ times }: Route): number => times.batch.value;

/** How a route that was not taken compares: what it is, its figures where it could be planned, and what it lost by. */
export interface Compared {
  skeleton: Skeleton;
  /** How many set-ups it has, the end that is worked first, and the bar that it is made from. */
  setups?: number;
  end?: 'front' | 'back';
  /** What holds the second side, where there is one. */
  held?: { kind: string; grip: string; words: string };
  bar?: Bar;
  /** What the end that is worked first makes, and the other is nearer to. */
  notLeft?: Either[];
  pieceMinutes?: number;
  batchMinutes?: number;
  /** More over the batch than the one that was taken, minutes; less where it is quicker and not sound. */
  lostBy?: number;
  because: 'slower' | 'dearer' | 'riskier' | 'quicker' | 'undecided' | 'bare' | 'not-proved' | 'untrue' | 'refused';
  /** Its set-ups, of a route that is told. */
  drawn?: SetupDrawn[];
  /** Its risks, where they weigh more. */
  risks?: Risk[];
  /** What of it cannot be, where that is why. */
  problem?: Problem;
  fault?: Fault;
}

/** The set-up of the other side, where there is one. */
export const secondOf = ({ setups }: Route): Setup | undefined => setups.find(({ setup }) => setup.side === 2)?.setup;

/** What holds the second side of a route. */
function heldIn(route: Route): Pick<Compared, 'held'> {
  const holding = secondOf(route)?.holding;
  if (!holding) return {};
  const { kind, grip, words, on } = holding;
  return { held: { kind, grip, words: `${words}, on ${on}` } };
}

/** Whether two routes that began otherwise came to the same: nobody could tell them apart. */
export const isSameAs = (a: Compared, b: Compared): boolean =>
  a === b ||
  (a.batchMinutes !== undefined &&
    a.batchMinutes === b.batchMinutes &&
    a.setups === b.setups &&
    a.end === b.end &&
    a.skeleton.way === b.skeleton.way &&
    a.bar?.size === b.bar?.size &&
    a.held?.words === b.held?.words);

/** A route in figures, beside those of the one that is taken. */
export const figuresOf = (route: Route, taken: Route) => ({
  skeleton: route.skeleton,
  setups: route.setups.length,
  end: route.setups[0]?.setup.end ?? 'front',
  ...heldIn(route),
  bar: route.stock,
  notLeft: nearerToOther(route),
  pieceMinutes: route.times.piece.value,
  batchMinutes: batchOf(route),
  lostBy: batchOf(route) - batchOf(taken),
});
