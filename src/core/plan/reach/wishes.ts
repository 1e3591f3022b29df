import { isEnd, isSetup } from '../../model/overrule';
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
  end?: 'front' | 'back';
  /** Or the number of the set-up that makes it. */
  setup?: number;
}

/** Holes right through the part, and what is bored and reamed in them (paths): none is made without those before it. */
const throughHoles = (part: Part): string[] => [
  ...part.holes.filter(({ through }) => through).map(({ path }) => path),
  ...part.features.filter((feature) => feature.bore && goesThrough(feature, part)).map(({ path }) => path),
];

/** What was decided of ends: a hole through the part takes along what is made in it. */
export const wishesOf = ({ overrules, part }: Run): Wish[] =>
  overrules.flatMap((overrule, index) => {
    if (!isEnd(overrule) && !isSetup(overrule)) return [];
    const through = throughHoles(part);
    const paths = through.includes(overrule.feature) ? through : [overrule.feature];
    return [{ index, paths, ...(isEnd(overrule) ? { end: overrule.end } : { setup: overrule.setup }) }];
  });

/**
 * What is not to be made from the end that is worked first (paths).
 * @param last the number of the last set-up that works that end
 */
export const wishedElsewhere = (wishes: readonly Wish[], first: 'front' | 'back', last = 1): string[] =>
  wishes.filter(({ end, setup }) => (setup === undefined ? end !== first : setup > last)).flatMap(({ paths }) => paths);

const makes = ({ turned, drilled, features, chamfered }: Setup): string[] => [
  ...turned.map(({ path }) => path),
  ...drilled,
  ...features,
  ...chamfered,
];

/** Refuses set-ups that do not make something from the end that was decided. */
export function keepsWishes(wishes: readonly Wish[], setups: readonly Setup[]): Result<null> {
  for (const { paths, end, setup: number } of wishes)
    for (const path of paths)
      if (!setups.some((setup) => (setup.number === number || setup.end === end) && makes(setup).includes(path)))
        return refuse(
          path,
          number === undefined
            ? `it is not reached from the ${end} with what holds the part then`
            : `set-up ${number} does not reach it`,
        );
  return good(null);
}

/** The wishes as overrules that a set-up took: kept, or why they cannot be. */
export const takenWishes = (wishes: readonly Wish[], problem?: string): TakenOverrule[] =>
  wishes.map(({ index }) => ({
    index,
    state: problem === undefined ? 'kept' : 'cannot',
    breaks: problem === undefined ? [] : [{ rule: 'GRIP-LEFT', because: `${problem}.`, strength: 'H' }],
  }));
