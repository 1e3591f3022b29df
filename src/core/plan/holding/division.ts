import { sayFigure } from '../../model/units/mark';
import type { Part, Step } from '../../model/part/part';
import { good, refuse, type Result } from '../../model/result';
import type { Turned } from '../../model/plan/setup';
import { CLOSE } from '../../model/tolerances';

const nominal = (step: Step | undefined) => step?.diameter.nominal ?? 0;

/** Whether a tool that comes from the free end gets at each step: nothing before it is larger. */
const reached = (steps: Step[]): boolean[] =>
  steps.map((step, index) => steps.slice(0, index).every((before) => nominal(before) <= nominal(step) + CLOSE));

/**
 * How many steps from the first end may be turned in the first set-up: everything up to there is reached from there,
 * everything after it from the other end. The largest number first.
 */
export function splits(part: Part, asDrawn: string[]): Result<number[]> {
  const { steps } = part;
  const left = (step: Step) => asDrawn.includes(step.path);
  const fromHere = reached(steps).map((can, index) => can || left(steps[index] as Step));
  const fromThere = reached([...steps].reverse())
    .reverse()
    .map((can, index) => can || left(steps[index] as Step));
  const neither = steps.findIndex((_, index) => !fromHere[index] && !fromThere[index]);
  const step = steps[neither];
  if (step)
    return refuse(
      `${step.path}.diameter`,
      `⌀${sayFigure(step.diameter.nominal)} mm lies between larger diameters: a turning tool reaches it from neither end, and recesses are not planned yet`,
    );
  const all = Array.from({ length: steps.length + 1 }, (_, index) => steps.length - index);
  return good(all.filter((count) => steps.every((_, index) => (index < count ? fromHere[index] : fromThere[index]))));
}

/** What of a view is turned in one set-up, and how far. */
export function turnedSteps(
  part: Part,
  count: number,
  asDrawn: string[],
  throughTo: number | undefined,
  overrun: number,
): Turned[] {
  return part.steps.slice(0, count).flatMap((step, index): Turned[] => {
    if (asDrawn.includes(step.path)) return [];
    const next = part.steps[index + 1];
    const last = index === count - 1;
    // A larger one behind it is turned from the other end: it stays as thick as the bar.
    const largest = part.steps.every((other) => nominal(other) <= nominal(step) + CLOSE);
    if (last && largest && throughTo !== undefined) return [{ path: step.path, to: throughTo, shoulder: false }];
    const shoulder = next !== undefined && nominal(next) > nominal(step) + CLOSE;
    // Past the end of the step where nothing is in the way, so that its far edge is clean.
    return [{ path: step.path, to: step.zTo + (shoulder || !last ? 0 : overrun), shoulder }];
  });
}

/** Edges that look out of the chuck in a view, and are not cut yet (paths). */
export const chamferedIn = ({ chamfers }: Part, done: readonly string[]): string[] =>
  chamfers.filter(({ end, path }) => end === 'front' && !done.includes(path)).map(({ path }) => path);

/** Refuses an edge that faces the jaws when its step is turned: one on a step behind those that are turned from here. */
export function edgeFacingJaws(view: Part, count: number, asDrawn: readonly string[]): Result<null> {
  const edge = view.chamfers.find(({ end, step }) => {
    const index = view.steps.findIndex(({ path }) => path === step);
    return end === 'front' && (index > count || (index === count && !asDrawn.includes(step)));
  });
  if (!edge) return good(null);
  return refuse(edge.path, `this edge faces the jaws when its step is turned; it cannot be cut in this way`);
}
