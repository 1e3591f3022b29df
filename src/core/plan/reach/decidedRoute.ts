import { isLeave, isSetups, type SetupsOverrule } from '../../model/overrule';
import type { TakenOverrule } from '../../model/plan/taken';
import type { Run, RunAllowances } from '../../model/run';

/** What is left on a blank where a run decides so. */
function leftOn({ overrules }: Run): Pick<RunAllowances, 'spigot' | 'centreEnd'> {
  // A spigot and an end for a centre may both be left on; nothing is nothing of either.
  const decided = overrules.filter(isLeave);
  const none = decided.findLastIndex(({ leave }) => leave === 'none');
  if (none >= 0 && none === decided.length - 1) return { spigot: 0, centreEnd: 0 };
  const left = decided.slice(none + 1);
  const lengthOf = (kind: 'spigot' | 'centre-end') => left.findLast(({ leave }) => leave === kind);
  const [spigot, centreEnd] = [lengthOf('spigot'), lengthOf('centre-end')];
  return {
    ...(spigot ? { spigot: spigot.length ?? 'choose' } : {}),
    ...(centreEnd ? { centreEnd: centreEnd.length ?? 'choose' } : {}),
  };
}

/** A run with what it decides of its blanks as allowances, as if it gave them itself. */
export const withDecided = (run: Run): Run =>
  run.overrules.some(isLeave) ? { ...run, allowances: { ...run.allowances, ...leftOn(run) } } : run;

/** What of a route is decided beside what is left on its blanks. */
interface Decided {
  setups: readonly unknown[];
  skeleton: { centred: boolean; drawnOut?: true };
}

/** Whether a route is made as an overrule says: in so many set-ups, drawn out a piece at a time or not, centred first or not. */
const isAs = ({ setups, drawnOut, centred }: SetupsOverrule, route: Decided): boolean =>
  setups === route.setups.length &&
  (drawnOut === undefined || drawnOut === (route.skeleton.drawnOut ?? false)) &&
  (centred === undefined || centred === route.skeleton.centred);

/** What came of deciding the number of set-ups and what is left on: of several of a kind the last counts. */
export const takenOfRoute = (run: Run, route: Decided): TakenOverrule[] =>
  run.overrules.flatMap((overrule, index): TakenOverrule[] => {
    if (isLeave(overrule)) return [{ index, state: 'kept', breaks: [] }];
    if (!isSetups(overrule)) return [];
    if (isAs(overrule, route)) return [{ index, state: 'kept', breaks: [] }];
    const because = `No route in ${overrule.setups === 1 ? 'one set-up' : `${overrule.setups} set-ups`} was found; this one has ${route.setups.length}.`;
    return [{ index, state: 'cannot', breaks: [{ rule: 'SET-UPS', because, strength: 'H' }] }];
  });
