import { isHolding, isSigned } from '../../../model/overrule';
import type { Tie } from '../../../model/part/part';
import type { Run } from '../../../model/run';
import type { ShopForRun } from '../../../model/shop/shop';
import { say, type Reason } from '../../../model/words';
import type { OtherHolding, WorkHolding } from '../../../model/plan/setup';
import type { Break, TakenOverrule } from '../../../model/plan/taken';
import { SAME_SIZE, type HoldingFigures, type HoldingKind, type Surface } from './holding';
import { holdingKinds } from '.';
import { CLOSE } from '../../../model/tolerances';

/** A surface and a means that could hold it. */
export interface Candidate {
  surface: Surface;
  kind: HoldingKind;
  figures: HoldingFigures;
  /** Why it should not, in words. */
  against: string | undefined;
  /** Run-out that is asked to what was there before, and that it does not run true enough for. */
  untrue: Tie[];
  /** Minutes over the batch. */
  minutes: number;
}

/** What the work is held by in a set-up, and why. */
export interface Held {
  holding: WorkHolding;
  reasons: Reason[];
  /** Run-out that is asked, and that it is not true enough for. */
  untrue: Tie[];
  taken: TakenOverrule[];
  /** What else could hold it: means and surface. */
  others: OtherHolding[];
}

/** The figures of a means, making it ready left out where the shop keeps one of that size. */
function withKept({ kind, figures }: HoldingKind, surface: Surface, shop: ShopForRun): HoldingFigures | undefined {
  const made = figures(shop);
  const kept = shop.holders.find(
    (holder) =>
      holder.kind === kind &&
      // A thread has one diameter by its name, however its blank is turned.
      (surface.threadName
        ? holder.thread === surface.threadName
        : !holder.thread && Math.abs(holder.diameter - surface.diameter) < SAME_SIZE),
  );
  if (!made || !kept) return made;
  const { name, place } = kept;
  return {
    ...made,
    change: Math.min(made.change, shop.setupMinutes.keptHolder),
    kept: { name, ...(place ? { place } : {}) },
  };
}

/** Every means whose sizes take a surface, with what speaks against it. @param loads how often it is loaded over the batch */
export function candidatesFor(
  surface: Surface,
  { shop }: Run,
  ties: readonly Tie[],
  loads: number,
  kinds: readonly HoldingKind[] = holdingKinds,
): Candidate[] {
  return kinds.flatMap((kind): Candidate[] => {
    const figures = withKept(kind, surface, shop);
    if (!figures || surface.diameter < figures.from - CLOSE || surface.diameter > figures.upTo + CLOSE) return [];
    return [
      {
        surface,
        kind,
        figures,
        against: kind.against(surface),
        untrue: ties.filter(({ limit }) => figures.runOut > limit + 1e-9),
        minutes: figures.change + loads * figures.load,
      },
    ];
  });
}

/** What a decided holding breaks: what never is gripped bare, and ties that it does not run true enough for. */
const breaksOf = ({ against, untrue, kind, figures }: Candidate, { units }: Run): Break[] => [
  ...(against ? [{ rule: 'GRIP-LEFT', because: `${kind.words}: ${against}.`, strength: 'H' as const }] : []),
  ...untrue.map(({ limit }) => ({
    rule: 'SAME-SETUP',
    because: `A run-out of ${say(limit, units)} is asked, and ${kind.words} it is ${say(figures.runOut, units)}.`,
    strength: 'S' as const,
  })),
];

/**
 * The holding that was decided for a set-up, where it can be; and what was made of it.
 * @param candidates that are long enough, the best first
 * @param otherwise why there is none of that kind, in words
 */
export function decidedHolding<Own extends Candidate>(
  run: Run,
  setup: 1 | 2,
  candidates: readonly Own[],
  otherwise: string,
): { chosen?: Own; taken: TakenOverrule[] } {
  const index = run.overrules.findIndex((asked) => isHolding(asked) && (asked.setup ?? 2) === setup);
  const overrule = run.overrules[index];
  if (!overrule || !isHolding(overrule)) return { taken: [] };
  const { kind, grip } = overrule.holding;
  const named = candidates
    .filter((candidate) => candidate.kind.kind === kind && (grip === undefined || candidate.surface.path === grip))
    .sort((a, b) => Number(a.against !== undefined) - Number(b.against !== undefined))[0];
  if (!named)
    return {
      taken: [{ index, state: 'cannot', breaks: [{ rule: 'GRIP-LEFT', because: otherwise, strength: 'H' }] }],
    };
  const breaks = breaksOf(named, run);
  const waits = breaks.some(({ strength }) => strength === 'H') && !isSigned(overrule);
  return { ...(waits ? {} : { chosen: named }), taken: [{ index, state: waits ? 'waits' : 'kept', breaks }] };
}

/** The ties that a holding serves, in words. */
export const servedBy = (
  { kind, untrue, figures }: Candidate,
  ties: readonly Tie[],
  to: string,
  { units }: Run,
): Reason[] =>
  ties
    .filter((tie) => !untrue.includes(tie))
    .map(({ limit }) => ({
      rule: 'SAME-SETUP',
      because: `A run-out of ${say(limit, units)} is asked to ${to}: ${kind.words} it is ${say(figures.runOut, units)}.`,
    }));
