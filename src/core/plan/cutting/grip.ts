import { isBetweenCentres, isCarried, isOnBar, type Setup } from '../../model/plan/setup';
import type { PassLoad } from '../../model/plan/passLoad';
import type { CuttingValues } from '../../model/shop/shop';

/** What of a set-up says how it bears a cut. */
export type Holds = Pick<Setup, 'holding' | 'run' | 'stock' | 'side' | 'supported' | 'facing' | 'rest'>;

/** The share of a weight that counts for tipping: the cut pushes the work down as well as round (trade: Safe holds). */
export const LEVER = 1.1;

/** A thing that turns the work and pushes it along: a torque, N·m, and a force, N. */
export interface Driven {
  torque: number;
  push: number;
}

/** What friction carries on the diameter that is gripped, N, with the safety of the shop; a dog or a thread does not slip. */
export function frictionOf({ holding, run }: Pick<Holds, 'holding' | 'run'>): number {
  const { gripForce, gripFriction, gripSafety } = run.shop.cutting;
  const force = gripForce[holding.kind];
  return force === undefined ? Infinity : ((gripFriction[holding.kind] ?? 0) * force) / gripSafety;
}

/** Whether something stands behind the work and takes what pushes it along: a spindle stop, a step, a centre. */
export const isBacked = (setup: Holds): boolean => !isOnBar(setup) || isBetweenCentres(setup);

/** What a drill does to the work: its chisel edge pushes harder than its lips where it finds full metal. */
export function drivenBy({ torque, thrust }: Pick<PassLoad, 'torque' | 'thrust'>, { run }: Holds): Driven {
  const isFull = thrust?.terms.some(({ symbol, value }) => symbol === 'h' && value === 0) ?? false;
  const push = (thrust?.value ?? 0) * (isFull ? run.shop.cutting.chiselTimes : 1);
  return { torque: torque?.value ?? 0, push };
}

/** How much of what a holding bears by friction something takes: over 1 it slips (trade: Safe holds). */
export function slipsBy({ torque, push }: Driven, setup: Holds): number {
  const along = isBacked(setup) ? 0 : push;
  return Math.hypot((2000 * torque) / setup.holding.diameter, along) / frictionOf(setup);
}

/** The main force on a diameter at which the work slips, N. */
export function slipAt(diameter: number, setup: Holds): number {
  const along = isBacked(setup) ? 0 : setup.run.shop.cutting.feedForce;
  return frictionOf(setup) / Math.hypot(diameter / setup.holding.diameter, along);
}

/** How long the work is gripped, mm. */
export const gripLength = ({ holding }: Pick<Holds, 'holding'>): number => holding.inside ?? holding.to - holding.from;

/** How far from its holding a place stands out, mm. */
export const outOf = (z: number, { holding, facing }: Holds): number =>
  Math.max(0, holding.from - (holding.inside ?? 0) - Math.max(z, -facing));

/** The torque at which the work slips while it is pushed along so hard, N·m. */
export function torqueAt(push: number, setup: Holds): number {
  const along = isBacked(setup) ? 0 : push;
  return (Math.sqrt(Math.max(0, frictionOf(setup) ** 2 - along ** 2)) * setup.holding.diameter) / 2000;
}

/** The shortest that a kind of holding may grip a diameter, mm (trade: Safe holds). */
export const shortestGrip = (kind: string, diameter: number, { gripLeast, gripLeastTimes }: CuttingValues): number =>
  Math.max(gripLeast[kind] ?? 0, (gripLeastTimes[kind] ?? 0) * diameter);

/** What a grip of so long bears before the work tips, N·mm, with the safety of the shop (trade: Safe holds). */
export function tippingMoment(kind: string, length: number, cutting: CuttingValues): number {
  const force = cutting.gripForce[kind];
  return force === undefined ? Infinity : ((cutting.gripTips[kind] ?? 0) * force * length) / 2 / cutting.gripSafety;
}

/** The main force on a diameter, at a place, that tips the work out of its holding, N; a centre takes that away, and a fixed rest. */
export function tipAt(diameter: number, z: number, setup: Holds): number {
  if (setup.supported || isBetweenCentres(setup) || isCarried(setup)) return Infinity;
  const { cutting } = setup.run.shop;
  const { seated = false, diameter: held } = setup.holding;
  // A step that stands out as far as the tool takes what the feed would lift.
  const feed = seated && diameter <= held ? 0 : cutting.feedForce;
  const lever = Math.hypot(LEVER * outOf(z, setup), (feed * diameter) / 2);
  return tippingMoment(setup.holding.kind, gripLength(setup), cutting) / lever;
}

/** The main force on a diameter, at a place, that the holding bears: it neither slips nor tips, N (trade: Safe holds). */
export const gripAt = (diameter: number, z: number, setup: Holds): number =>
  Math.min(slipAt(diameter, setup), tipAt(diameter, z, setup));
