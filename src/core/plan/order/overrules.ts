import { sayEntry, sayFigure } from '../../model/units/mark';
import {
  isAdd,
  isCut,
  isEnd,
  isHolding,
  isLeave,
  isOrder,
  isOutside,
  isSetup,
  isSetups,
  isSkip,
  isStickOut,
  isStop,
  isTool,
  keyOfAdded,
  type CutWish,
  type Overrule,
} from '../../model/overrule';
import type { Run } from '../../model/run';
import { EDGES } from '../../model/shop/material';
import { holdingOf } from '../holding/means';
import type { TakenOverrule } from '../../model/plan/taken';

/** An overrule of a run as its plan takes it. */
export interface PlannedOverrule extends Omit<TakenOverrule, 'state'> {
  overrule: Overrule;
  /** As it was taken; or idle, because the plan has not what it is about. */
  state: TakenOverrule['state'] | 'idle';
  /** What it adds to a piece, minutes; less than nothing when it saves. Told once for an operation that was moved. */
  minutes?: number;
}

/** Which operation was moved, where an overrule is of an order and says so. */
export const movedBy = (overrule: Overrule | undefined): string | undefined =>
  overrule && isOrder(overrule) ? overrule.moved : undefined;

/** The overrules that decided one place together: those of one moved operation, or one alone. */
const together = ({ overrules }: Run, index: number): number[] => {
  const moved = movedBy(overrules[index]);
  return moved === undefined ? [index] : overrules.flatMap((other, index) => (movedBy(other) === moved ? [index] : []));
};

/**
 * The overrules of a run, with what each breaks and costs.
 * @param pieceWithout minutes of a piece without some of them; undefined where there is no plan then
 */
export function plannedOverrules(
  run: Run,
  found: readonly TakenOverrule[],
  piece: number,
  pieceWithout: (indices: readonly number[]) => number | undefined,
): PlannedOverrule[] {
  const stateOf = (index: number) => found.find((one) => one.index === index);
  return run.overrules.map((overrule, index): PlannedOverrule => {
    const takenOverrule = stateOf(index);
    if (!takenOverrule) return { index, overrule, state: 'idle', breaks: [] };
    const others = together(run, index);
    const told = takenOverrule.state === 'kept' && index === others.find((other) => stateOf(other)?.state === 'kept');
    const without = told ? pieceWithout(others) : undefined;
    return { ...takenOverrule, overrule, ...(without === undefined ? {} : { minutes: piece - without }) };
  });
}

/** The operations that an overrule is about, by their keys. */
export function keysIn(overrule: Overrule): string[] {
  if (isOrder(overrule)) return [overrule.first, overrule.then];
  if (isTool(overrule) || isCut(overrule) || isStop(overrule)) return [overrule.operation];
  if (isAdd(overrule)) return [keyOfAdded(overrule.add)];
  return isSkip(overrule) ? [overrule.skip] : [];
}

const sayWish = ({ speed, feed, depth, nose, edge }: CutWish): string =>
  [
    ...(speed === undefined ? [] : [`${sayFigure(speed)} rev/min`]),
    ...(feed === undefined ? [] : [`${sayFigure(feed)} mm/rev`]),
    ...(depth === undefined ? [] : [`${sayFigure(depth)} mm a pass`]),
    ...(nose === undefined ? [] : [`a nose of ${sayFigure(nose)} mm`]),
    ...(edge === undefined ? [] : [EDGES[edge]]),
  ].join(', ');

const LEFT_ON = {
  spigot: 'A spigot left on',
  'centre-end': 'An end left on for a centre',
  none: 'Nothing left on',
};

/** What was decided, in words. @param names of operations by their keys, of tools by their ids, of features by their paths */
export function sayOverrule({ overrule, name }: PlannedOverrule, names: ReadonlyMap<string, string>): string {
  const named = (key: string) => names.get(key) ?? key;
  if (isOrder(overrule)) return `${named(overrule.first)} before ${named(overrule.then)}`;
  if (isTool(overrule)) return `${named(overrule.operation)} with ${named(overrule.tool)}`;
  if (isCut(overrule)) return `${named(overrule.operation)} at ${sayWish(overrule.cut)}`;
  if (isStop(overrule)) {
    const { means, station, spacers = [] } = overrule.stop;
    return [
      `${named(overrule.operation)} by ${means}`,
      station ?? '',
      ...(spacers.length > 0 ? [`with ${spacers.join(' + ')}`] : []),
    ]
      .filter((word) => word !== '')
      .join(' ');
  }
  if (isSkip(overrule)) return `Without ${name ?? overrule.skip}`;
  if (isHolding(overrule)) {
    const { kind } = overrule.holding;
    return `${overrule.setup === 1 ? 'The first side' : 'The second side'} ${holdingOf(kind)?.words ?? kind}`;
  }
  if (isStickOut(overrule)) return `Set-up ${overrule.setup}, ${sayEntry(overrule.stickOut)} mm standing out`;
  if (isEnd(overrule)) return `${named(overrule.feature)}, from the ${overrule.end}`;
  if (isSetup(overrule)) return `${named(overrule.feature)}, in set-up ${overrule.setup}`;
  if (isSetups(overrule))
    return `${overrule.setups === 1 ? 'In one set-up' : `In ${overrule.setups} set-ups`}${overrule.drawnOut ? ', drawn out a piece at a time' : ''}`;
  if (isLeave(overrule))
    return `${LEFT_ON[overrule.leave]}${overrule.length ? `, ${sayEntry(overrule.length)} mm` : ''}`;
  if (isOutside(overrule)) return `${named(overrule.outside)}, after set-up ${overrule.after}`;
  return `${overrule.add.name} added, ${sayFigure(overrule.add.minutes)} min`;
}

const IDLE = 'the plan has not what it is about; it does nothing.';

/** An overrule that whoever works by the plan must know of: what it breaks and who signed, or that it is not followed. */
export function toldOf({ overrule, state, breaks, name }: PlannedOverrule): string[] {
  const rules = breaks.map(({ rule, because }) => `${rule} (${because})`).join(', ');
  if (state === 'idle')
    return [isOrder(overrule) ? 'the plan has not both of its operations in one set-up; it does nothing.' : IDLE];
  if (state === 'cannot') return [`not followed: ${breaks.map(({ because }) => because).join(' ')}`];
  if (state === 'waits') return [`not followed, it is against ${rules || 'another'}: a signed reason is wanted.`];
  if (breaks.some(({ strength }) => strength === 'H'))
    return [`breaks ${rules}; signed ${overrule.signed}: ${overrule.because}.`];
  return isSkip(overrule) && name ? [`${name} is left out: so decided.`] : [];
}
