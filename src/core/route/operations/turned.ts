import type { Step } from '../../part/part';
import type { Setup, Turned } from '../setup';

/** A step to turn, with what is known before any cut: whether it is roughed first, and to which radius. */
export interface TurnedStep extends Turned {
  step: Step;
  /** Radius left by roughing; undefined when there is too little on it to rough. */
  roughRadius?: number;
}

/**
 * The steps a set-up turns, from the chuck to the free end, as BIG-FIRST has them roughed: each finds what the larger
 * one before it left.
 */
export function turnedStepsOf({ turned, part, run, outerRadius }: Setup): TurnedStep[] {
  const { allowances, tools } = run.shop;
  const thinnest = tools.find(({ does }) => does.includes('turn-rough'))?.thinnestCut ?? 0;
  const chuckFirst = [...turned].sort((a, b) => b.to - a.to);
  let radius = outerRadius;
  return chuckFirst.flatMap((turn): TurnedStep[] => {
    const step = part.steps.find(({ path }) => path === turn.path);
    if (!step) return [];
    const left = step.diameter.aim / 2 + allowances.finishPerSide;
    if (radius - left < thinnest - 1e-9) return [{ ...turn, step }];
    radius = left;
    return [{ ...turn, step, roughRadius: left }];
  });
}
