import { drawnSteps } from '../../model/part/part';
import { FACES } from '../../model/part/faces';
import type { Check } from '../../model/plan/operation';
import { surfacesOf, type Setup } from '../../model/plan/setup';
import { say, sayDiameter } from '../../model/words';
import { sayFace } from '../../read/lengths/faces';

/** Whether a surface is there when a set-up ends: its own, an earlier one's, or as it came. */
const isThere = (path: string, { earlier, stock, number, ...setup }: Setup, here: readonly string[]): boolean =>
  here.includes(path) ||
  earlier.includes(path) ||
  stock.asDrawn.includes(path) ||
  (number > 1 && path === FACES[setup.end === 'front' ? 'back' : 'front']);

/** Lengths with limits over several steps, that become fixed in a set-up: both of their faces are there, and it makes one. */
function lengthsOver(setup: Setup): Check[] {
  const { part, units } = setup.run;
  const here = surfacesOf(setup);
  const steps = drawnSteps(part);
  const last = steps.length;
  // A face lies between two steps; the first and the last are ends.
  const besides = (face: number) => [
    ...(face === 0 ? [FACES.front] : [steps[face - 1]?.path ?? '']),
    ...(face === last ? [FACES.back] : [steps[face]?.path ?? '']),
  ];
  return part.links
    .filter(({ from, to, size }) => size.from !== 'general' && to - from > 1)
    .flatMap(({ from, to, size }): Check[] => {
      const surfaces = [...besides(from), ...besides(to)];
      if (!surfaces.every((path) => isThere(path, setup, here)) || !surfaces.some((path) => here.includes(path)))
        return [];
      const words = `length ${say(size.nominal, units)}, from ${sayFace(from, steps)} to ${sayFace(to, steps)}`;
      return [{ what: words, measures: 'length', size }];
    });
}

/** A surface in words, as the drawing calls it. */
function called(path: string, { part, run: { units } }: Setup): string {
  const step = part.steps.find((one) => one.path === path);
  const feature = part.features.find((one) => one.path === path);
  const hole = part.holes.find((one) => one.path === path);
  if (step) return step.name ?? sayDiameter(step.diameter.nominal, units);
  return feature?.called ?? feature?.name ?? (hole ? `hole ${sayDiameter(hole.diameter.nominal, units)}` : path);
}

/**
 * Run-outs of the drawing that become fixed in a set-up: it makes one of the two surfaces, and the other is there. What comes
 * of one holding runs as true as it turns, and is looked at now and then.
 */
function runOuts(setup: Setup): Check[] {
  const { part, run } = setup;
  const here = surfacesOf(setup);
  return part.ties
    .filter(
      ({ of, to }) => (here.includes(of) || here.includes(to)) && isThere(of, setup, here) && isThere(to, setup, here),
    )
    .map(({ of, to, limit }) => ({
      what: `run-out of ${called(of, setup)} to ${called(to, setup)}, ${say(limit, run.units)}`,
      measures: 'run-out',
      size: {
        nominal: 0,
        lower: 0,
        upper: limit,
        aim: 0,
        from: here.includes(of) && here.includes(to) ? 'general' : 'limits',
      },
    }));
}

/** What becomes fixed in a set-up and none of its operations makes alone (trade: Measuring): lengths over several steps, and run-outs. */
export const fixedIn = (setup: Setup): Check[] => [...lengthsOver(setup), ...runOuts(setup)];
