import type { Operation } from '../../model/plan/operation';
import { CLOSE } from '../../model/tolerances';
import { radiusOn } from '../../model/workpiece/profile';
import type { TurnedStep } from './turned';

/** Steps that one cut finishes: the last of them, and its neighbours of that size towards the free end. */
interface FinishingCut {
  turned: TurnedStep;
  along: TurnedStep[];
  /** The one that says how large and how smooth: not what a recess is cut from, where there is another. */
  sized: TurnedStep;
  /** Nothing finishes what lies behind it. */
  goesOn?: boolean;
}

const sameSize = (a: TurnedStep, b: TurnedStep): boolean =>
  a.isRecess || b.isRecess ? Math.abs(a.step.diameter.nominal - b.step.diameter.nominal) < CLOSE : isLikewise(a, b);

const isLikewise = (a: TurnedStep, b: TurnedStep): boolean =>
  Math.abs(a.step.diameter.aim - b.step.diameter.aim) < CLOSE &&
  a.step.diameter.lower === b.step.diameter.lower &&
  a.step.diameter.upper === b.step.diameter.upper &&
  a.step.roughness === b.step.roughness &&
  a.step.leaves === b.step.leaves &&
  a.isDone === b.isDone;

/** Whether a step ends where a cut begins. */
const isBeside = ({ to }: TurnedStep, { turned, along }: Omit<FinishingCut, 'sized'>): boolean =>
  Math.abs(to - (along.at(-1) ?? turned).step.zFrom) < CLOSE;

/** Neighbours of one size are finished in one pass (trade: Cutting). */
function oneCutEach(chuckFirst: TurnedStep[]): FinishingCut[] {
  const cuts: FinishingCut[] = [];
  for (const turned of chuckFirst) {
    const last = cuts.at(-1);
    if (last && isBeside(turned, last) && sameSize(turned, last.sized)) {
      last.along.push(turned);
      if (last.sized.isRecess) last.sized = turned;
    } else cuts.push({ turned, along: [], sized: turned });
  }
  return cuts;
}

/**
 * Whether others cut all of it away, so that it is neither finished nor measured (trade: Cutting). What has limits of its own is
 * the large end of something, and a shoulder is faced with it.
 */
function isCutAway({ turned, along }: FinishingCut, others: readonly Operation[]): boolean {
  const all = [turned, ...along];
  if (turned.shoulder || all.some(({ step, isRecess }) => !isRecess && step.diameter.from !== 'general')) return false;
  const radius = turned.step.diameter.aim / 2;
  const pieces = others.flatMap(({ removal }) => removal.outside ?? []);
  const goes = (z: number) => pieces.some((piece) => piece.z0 < z && z < piece.z1 && radiusOn(piece, z) < radius);
  const ends = pieces.flatMap(({ z0, z1 }) => [z0, z1]);
  return all.every(({ step: { zFrom, zTo } }) => {
    const places = [zFrom, ...ends.filter((z) => z > zFrom && z < zTo).sort((a, b) => a - b), zTo];
    return places.slice(1).every((z, index) => goes((z + (places[index] ?? z)) / 2));
  });
}

/**
 * What is finished of the steps that a set-up turns, chuck first: neighbours of one size in one cut, and nothing that roughing
 * leaves as it is to be or that others cut away.
 */
export function finishingCuts(chuckFirst: TurnedStep[], others: readonly Operation[]): FinishingCut[] {
  const cuts = oneCutEach(chuckFirst);
  return cuts.flatMap((cut, index) => {
    if (cut.turned.isDone || isCutAway(cut, others)) return [];
    const behind = cuts[index - 1];
    const goesOn =
      behind !== undefined && !cut.turned.shoulder && isBeside(cut.turned, behind) && isCutAway(behind, others);
    return [{ ...cut, goesOn }];
  });
}
