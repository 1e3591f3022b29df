import type { Overrule, Run } from '../run';
import type { OverruledOrder } from './precedence';

/** An overrule of a run as its plan takes it. */
export interface PlannedOverrule extends Pick<OverruledOrder, 'breaks'> {
  index: number;
  overrule: Overrule;
  /** Kept; waiting for a signed reason; or idle, because the plan has not both of its operations in one set-up. */
  state: OverruledOrder['state'] | 'idle';
  /** What it adds to a piece, minutes; less than nothing when it saves. Told once for an operation that was moved. */
  minutes?: number;
}

/** The overrules that decided one place together: those of one moved operation, or one alone. */
const together = ({ overrules }: Run, index: number): number[] => {
  const moved = overrules[index]?.moved;
  return moved === undefined ? [index] : overrules.flatMap((other, own) => (other.moved === moved ? [own] : []));
};

/**
 * The overrules of a run, with what each breaks and costs.
 * @param pieceWithout minutes of a piece without some of them; undefined where there is no plan then
 */
export function plannedOverrules(
  run: Run,
  found: readonly OverruledOrder[],
  piece: number,
  pieceWithout: (indices: readonly number[]) => number | undefined,
): PlannedOverrule[] {
  const stateOf = (index: number) => found.find((one) => one.index === index);
  return run.overrules.map((overrule, index): PlannedOverrule => {
    const own = stateOf(index);
    if (!own) return { index, overrule, state: 'idle', breaks: [] };
    const others = together(run, index);
    const told = own.state === 'kept' && index === others.find((other) => stateOf(other)?.state === 'kept');
    const without = told ? pieceWithout(others) : undefined;
    return {
      index,
      overrule,
      state: own.state,
      breaks: own.breaks,
      ...(without === undefined ? {} : { minutes: piece - without }),
    };
  });
}

/** An overrule that whoever works by the plan must know of: what it breaks and who signed, or that it is not followed. */
export function toldOf({ overrule, state, breaks }: PlannedOverrule): string[] {
  const rules = breaks.map(({ rule, because }) => `${rule} (${because})`).join(', ');
  if (state === 'idle') return ['the plan has not both of its operations in one set-up; it does nothing.'];
  if (state === 'waits') return [`not followed, it is against ${rules || 'another'}: a signed reason is wanted.`];
  return breaks.some(({ strength }) => strength === 'H')
    ? [`breaks ${rules}; signed ${overrule.signed}: ${overrule.because}.`]
    : [];
}
