import { isEnd } from '../../model/overrule';
import type { Part } from '../../model/part/part';
import { good, refuse, type Result } from '../../model/result';
import type { Run } from '../../model/run';
import { goesThrough } from './reached';
import type { Setup } from '../../model/plan/setup';
import type { TakenOverrule } from '../../model/plan/taken';

/** What was decided of the end that something is made from: the overrule by its place, and the paths it is about. */
export interface Wish {
  index: number;
  paths: readonly string[];
  end: 'front' | 'back';
}

/** Holes right through the part, and what is bored and reamed in them (paths): none is made without those before it. */
const throughHoles = (part: Part): string[] => [
  ...part.holes.filter(({ through }) => through).map(({ path }) => path),
  ...part.features.filter((feature) => feature.bore && goesThrough(feature, part)).map(({ path }) => path),
];

/** What was decided of ends: a hole through the part takes along what is made in it. */
export const wishesOf = ({ overrules, part }: Run): Wish[] =>
  overrules.flatMap((overrule, index) => {
    if (!isEnd(overrule)) return [];
    const through = throughHoles(part);
    return [{ index, end: overrule.end, paths: through.includes(overrule.feature) ? through : [overrule.feature] }];
  });

/** What is not to be made from an end (paths). */
export const wishedElsewhere = (wishes: readonly Wish[], end: 'front' | 'back'): string[] =>
  wishes.filter((wish) => wish.end !== end).flatMap(({ paths }) => paths);

const makes = ({ turned, drilled, features, chamfered }: Setup): string[] => [
  ...turned.map(({ path }) => path),
  ...drilled,
  ...features,
  ...chamfered,
];

/** Refuses set-ups that do not make something from the end that was decided. */
export function keepsWishes(wishes: readonly Wish[], setups: readonly Setup[]): Result<null> {
  for (const { paths, end } of wishes)
    for (const path of paths)
      if (!setups.some((setup) => setup.end === end && makes(setup).includes(path)))
        return refuse(path, `it is not reached from the ${end} with what holds the part then`);
  return good(null);
}

/** The wishes as overrules that a set-up took: kept, or why they cannot be. */
export const takenWishes = (wishes: readonly Wish[], problem?: string): TakenOverrule[] =>
  wishes.map(({ index }) => ({
    index,
    state: problem === undefined ? 'kept' : 'cannot',
    breaks: problem === undefined ? [] : [{ rule: 'GRIP-LEFT', because: `${problem}.`, strength: 'H' }],
  }));
