import { isOutside, type OutsideOverrule } from '../../model/overrule';
import type { Run } from '../../model/run';
import type { Setup } from '../../model/plan/setup';
import type { TakenOverrule } from '../../model/plan/taken';
import type { OutsideOp } from './outsideOp';

/** A set-up of the lathe, and what it makes (paths). */
export interface Made {
  setup: Setup;
  makes: readonly string[];
}

/** Why work on another machine cannot be done after a set-up already; undefined where it can. */
function against(outsideOp: OutsideOp, after: number, { part }: Run, setups: readonly Made[]): string | undefined {
  const later = setups.filter(({ setup }) => setup.number > after);
  if (after > setups.length) return `the plan has no set-up ${after}`;
  if (later.length === 0) return undefined;
  if (outsideOp.afterAllCutting) return outsideOp.afterAllCutting;
  const feature = part.features.find(({ path }) => path === outsideOp.feature);
  const entry = part.elsewhere.find(({ path }) => path === outsideOp.feature);
  const steps = part.steps.filter(
    ({ path, zFrom, zTo }) =>
      entry?.on.includes(path) || (feature !== undefined && zFrom < feature.z1 && zTo > feature.z0),
  );
  const paths = [...steps.map(({ path }) => path), ...(entry?.on ?? [])];
  const missing = later.find(({ makes }) => paths.some((path) => makes.includes(path)));
  if (missing) return `set-up ${missing.setup.number} still turns where it is done`;
  const held = later.find(({ setup }) => feature?.flats && paths.includes(setup.holding.grip));
  if (held) return `set-up ${held.setup.number} holds there, and no jaw goes on a flat`;
  return undefined;
}

const decided = ({ overrules }: Run, path: string): { index: number; overrule: OutsideOverrule } | undefined => {
  const index = overrules.findLastIndex((overrule) => isOutside(overrule) && overrule.outside === path);
  const overrule = overrules[index];
  return overrule && isOutside(overrule) ? { index, overrule } : undefined;
};

/** Work on other machines where it was decided to be done, as far as it can be there. */
export function placed(
  operations: readonly OutsideOp[],
  run: Run,
  setups: readonly Made[],
): { operations: OutsideOp[]; taken: TakenOverrule[] } {
  const taken: TakenOverrule[] = [];
  const moved = operations.map((operation): OutsideOp => {
    const found = decided(run, operation.feature);
    if (!found) return operation;
    const { index, overrule } = found;
    const problem = against(operation, overrule.after, run, setups);
    taken.push({
      index,
      state: problem === undefined ? 'kept' : 'cannot',
      breaks:
        problem === undefined ? [] : [{ rule: 'OUTSIDE', because: `It cannot be there: ${problem}.`, strength: 'H' }],
    });
    return problem === undefined ? { ...operation, after: overrule.after } : operation;
  });
  return { operations: moved.sort((a, b) => a.after - b.after), taken };
}
