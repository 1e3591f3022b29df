import { isRecess, isTied, type Part, type Step } from '../../model/part/part';
import type { Operation } from '../../model/plan/operation';
import type { Feature } from '../../model/part/feature';
import { FLATS } from '../../model/shop/section';
import { CLOSE } from '../../model/tolerances';
import { cylinder, largestRadius, mirror, widen, type Segment } from '../../model/workpiece/profile';
import type { CuttingValues, Tool } from '../../model/shop/shop';
import type { Setup, Turned } from '../../model/plan/setup';

/** A step to turn, with what is known before any cut: whether it is roughed first, and to which radius. */
export interface TurnedStep extends Turned {
  step: Step;
  /** Radius left by roughing; undefined when there is too little on it to rough. */
  roughRadius?: number;
  /** Roughing leaves it as it is to be. */
  isDone?: true;
  /** A recess is cut from it: its diameter is its neighbour's, and nobody measures it. */
  isRecess?: true;
}

/** Whether the drawing leaves open how a step comes out: roughed to its size it is done, unless a shoulder is faced with it. */
const isLeftOpen = ({ diameter, roughness, critical, path }: Step, { shoulder }: Turned, part: Part): boolean =>
  diameter.open !== undefined && roughness === undefined && !critical && !shoulder && !isTied(part, path);

/** Whether the drawing asks for nothing closer than usual of a step: a little more than the finish comes off it in one cut. */
const isUsual = ({ diameter, roughness, critical, path, leaves }: Step, part: Part): boolean =>
  diameter.from === 'general' && roughness === undefined && !critical && !leaves && !isTied(part, path);

/** Whether the nose of a tool leaves a fillet as it finishes the step before it. */
export const leavesFillet =
  (radius: number, { filletWithin }: CuttingValues) =>
  ({ does, nose }: Tool): boolean =>
    (does.includes('turn-finish') || does.includes('form')) &&
    nose !== undefined &&
    Math.abs(nose - radius) <= filletWithin * radius;

/** Whether an operation turns a step, alone or along with its neighbours. */
export const turns = ({ feature, along = [] }: Pick<Operation, 'feature' | 'along'>, path: string): boolean =>
  feature === path || along.includes(path);

/** The steps that an operation turns, all in one cut. */
export const stepsOf = ({ feature, along = [] }: Pick<Operation, 'feature' | 'along'>, part: Part): Step[] =>
  part.steps.filter(({ path }) => turns({ feature, along }, path));

/**
 * Whether two steps lie in a row of which each is no further from the next than roughing leaves for the finish: roughed, the
 * smaller stands higher than the larger is to be.
 */
export function areClose({ part, run }: Setup, one: string, other: string): boolean {
  const places = [one, other].map((wanted) => part.steps.findIndex(({ path }) => path === wanted));
  const [first, last] = [Math.min(...places), Math.max(...places)];
  const row = part.steps.slice(first, last + 1).map(({ diameter }) => diameter.aim / 2);
  return (
    first >= 0 &&
    row.slice(1).every((radius, index) => Math.abs(radius - (row[index] ?? 0)) < run.shop.allowances.finishPerSide)
  );
}

/** The fillet at the shoulder that a step ends at, and the tool whose nose leaves it; undefined where there is neither. */
export function filletOf(
  { step, shoulder }: TurnedStep,
  { part, run }: Setup,
): { feature: Feature; tool: Tool } | undefined {
  const feature = shoulder
    ? part.features.find(({ kind, leaves, z1 }) => kind === 'radius' && leaves && Math.abs(z1 - step.zTo) < 1e-6)
    : undefined;
  const radius = feature?.leaves?.[0]?.arc?.radius;
  if (!feature || radius === undefined) return undefined;
  const tool = run.shop.tools.find(leavesFillet(radius, run.shop.cutting));
  return tool && { feature, tool };
}

/** What turning a step to a radius takes away: straight, but for the fillet that stays in its corner. */
export function turnedAway(turned: TurnedStep, from: number, to: number, radius: number, setup: Setup): Segment[] {
  const straight = [cylinder(from, to, radius)];
  const fillet = filletOf(turned, setup)?.feature.leaves;
  return fillet ? widen(straight, fillet) : straight;
}

/**
 * The steps a set-up turns, from the chuck to the free end, as BIG-FIRST has them roughed: each finds what the larger
 * one before it left.
 */
export function turnedStepsOf({ turned, part, run, outerRadius, stock, end }: Setup): TurnedStep[] {
  const { allowances, cutting, tools } = run.shop;
  const thinnest = tools.find(({ does }) => does.includes('turn-rough'))?.thinnestCut ?? 0;
  const chuckFirst = [...turned].sort((a, b) => b.to - a.to);
  const piece = stock.piece && (end === 'front' ? stock.piece.outside : mirror(stock.piece.outside, part.length));
  let radius = outerRadius;
  const turnedSteps = chuckFirst.flatMap((turn): TurnedStep[] => {
    const step = part.steps.find(({ path }) => path === turn.path);
    if (!step) return [];
    const isDone = isLeftOpen(step, turn, part);
    const left = step.diameter.aim / 2 + (isDone ? 0 : allowances.finishPerSide);
    if (piece) radius = Math.min(radius, largestRadius(piece, step.zFrom, turn.to - CLOSE));
    if (radius - left < thinnest - 1e-9) return [{ ...turn, step }];
    const fromStock = radius === outerRadius && FLATS[stock.form] === 0;
    if (fromStock && radius - step.diameter.aim / 2 <= cutting.atOnce + 1e-9 && isUsual(step, part))
      return [{ ...turn, step }];
    radius = left;
    return [{ ...turn, step, roughRadius: left, ...(isDone ? { isDone: true as const } : {}) }];
  });
  return turnedSteps.map((turn) => (isRecess(part, turn.path) ? { ...turn, isRecess: true } : turn));
}
