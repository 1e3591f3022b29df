import type { Feature } from '../../model/part/feature';
import type { Hole } from '../../model/part/part';
import type { Setup } from '../../model/plan/setup';
import type { Problem } from '../../model/result';
import { sayDiameter } from '../../model/words';
import { cylinder } from '../../model/workpiece/profile';

/** A hole that goes right through, as a bar makes it. */
const asBore = ({ path, name, diameter, deep }: Hole, { part, run }: Setup): Feature => ({
  path,
  kind: 'bore',
  name: `bore ${sayDiameter(diameter.nominal, run.units)}`,
  ...(name === undefined ? {} : { called: name }),
  from: 'front',
  z0: 0,
  z1: part.length,
  bore: [cylinder(0, part.length, diameter.nominal / 2)],
  size: diameter,
  ...(deep ? { deep } : {}),
  dimensions: [],
});

/**
 * A set-up whose holes right through that no drill makes in this hold are opened by a smaller one, and bored (trade: Safe holds).
 * @param problems why its operations were refused
 * @returns undefined where something else was refused too
 */
export function boredInstead(setup: Setup, problems: readonly Problem[]): Setup | undefined {
  const { part, drilled, features } = setup;
  const isWanted = ({ path, through }: Hole) =>
    through && problems.some((problem) => problem.wants === 'bar' && problem.path === `${path}.diameter`);
  const wide = part.holes.filter(isWanted);
  if (!problems.every((problem) => wide.some(({ path }) => problem.path === `${path}.diameter`))) return undefined;
  const isWide = (path: string) => wide.some((hole) => hole.path === path);
  return {
    ...setup,
    part: {
      ...part,
      holes: part.holes.filter(({ path }) => !isWide(path)),
      features: [...part.features, ...wide.map((hole) => asBore(hole, setup))],
    },
    drilled: drilled.filter((path) => !isWide(path)),
    features: [...features, ...wide.map(({ path }) => path)],
  };
}
