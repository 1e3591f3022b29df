import { isHolding, isSigned } from '../overrule';
import type { Part, Tie } from '../part/part';
import { good, refuse, type Result } from '../result';
import type { Run } from '../run';
import { say, sayDiameter, type Reason } from '../words';
import type { HoldingFigures, HoldingKind, Surface } from './holdings/holding';
import { holdingKinds } from './holdings';
import type { WorkHolding } from './setup';
import { finishedSurfaces } from './surfaces';
import type { Break, TakenOverrule } from './taken';

const CLOSE = 0.001;

/** Shortest hold of a finished diameter, mm. */
export const holdNeeded = ({ shop }: Run, diameter: number) =>
  Math.max(shop.allowances.gripTimes * diameter, shop.allowances.gripLeast);

/** A surface and a means that could hold it. */
interface Candidate {
  surface: Surface;
  kind: HoldingKind;
  figures: HoldingFigures;
  /** How much of the surface it holds, mm, and how much it must. */
  length: number;
  needed: number;
  /** Why it should not, in words. */
  against: string | undefined;
  /** What is left standing out, in diameters. */
  slender: number;
  /** Ties between the set-ups that it does not run true enough for. */
  untrue: Tie[];
  /** Minutes over the batch. */
  minutes: number;
}

/** What the second side is held by, and why. */
export interface SecondHolding {
  holding: WorkHolding;
  reasons: Reason[];
  /** Ties between the set-ups that the holding is not true enough for. */
  untrue: Tie[];
  taken: TakenOverrule[];
  /** What else could hold it: means and surface. */
  others: { kind: string; grip: string; name: string }[];
}

interface Sought {
  run: Run;
  view: Part;
  /** Steps finished in the first set-up, and those that the bar brings. */
  count: number;
  asDrawn: readonly string[];
  /** Holes and features that the first set-up makes. */
  made: readonly string[];
  /** Run-out asked between what the first set-up makes and what the second does. */
  ties: readonly Tie[];
  /** Whether the second set-up works in the hole as well, where a mandrel would be in the way. */
  boresLater: boolean;
}

function candidatesOf({ run, view, count, asDrawn, made, ties, boresLater }: Sought): Candidate[] {
  return finishedSurfaces(run, view, count, asDrawn, made).flatMap((surface) =>
    holdingKinds.flatMap((kind): Candidate[] => {
      const figures = kind.figures(run.shop);
      const { diameter, from, end, gaps, inside } = surface;
      if (!figures || diameter < figures.from - CLOSE || diameter > figures.upTo + CLOSE) return [];
      // On the wrong side of the wall it is no holding at all.
      if (inside !== (kind.kind === 'mandrel')) return [];
      const length = Math.min(end - from, figures.length);
      return [
        {
          surface,
          kind,
          figures,
          length: length - gaps,
          needed: holdNeeded(run, diameter),
          against: kind.against(surface) ?? (inside && boresLater ? 'the second side works in the hole' : undefined),
          slender: (view.length - (inside ? length : end)) / diameter,
          untrue: ties.filter(({ limit }) => figures.runOut > limit + 1e-9),
          minutes: figures.change + run.quantity * figures.load,
        },
      ];
    }),
  );
}

/** A bore, a thread, a knurl, or a diameter with grooves in it is held by only where no plain one is, even a close one. */
const carries = ({ inside, thread, knurl, gaps, close }: Surface): number =>
  inside || thread || knurl || gaps > 0 ? 2 : close ? 1 : 0;

/** True enough first, then a plain diameter, then what leaves least standing out, then the quickest over the batch. */
const better = (a: Candidate, b: Candidate): number =>
  a.untrue.length - b.untrue.length ||
  carries(a.surface) - carries(b.surface) ||
  (Math.abs(a.slender - b.slender) > 1e-9 ? a.slender - b.slender : a.minutes - b.minutes);

const isLong = ({ length, needed }: Candidate): boolean => length >= needed - CLOSE;

/** What a decided holding breaks: what never is gripped bare, and ties that it does not run true enough for. */
const breaksOf = ({ against, untrue, kind, figures }: Candidate, { run }: Sought): Break[] => [
  ...(against ? [{ rule: 'GRIP-LEFT', because: `${kind.words}: ${against}.`, strength: 'H' as const }] : []),
  ...untrue.map(({ limit }) => ({
    rule: 'SAME-SETUP',
    because: `A run-out of ${say(limit, run.units)} is asked, and ${kind.words} it runs true to ${say(figures.runOut, run.units)}.`,
    strength: 'S' as const,
  })),
];

/** The holding that was decided, where it can be; and what was made of it. */
function decided(sought: Sought, long: readonly Candidate[]): { chosen?: Candidate; taken: TakenOverrule[] } {
  const { run } = sought;
  const index = run.overrules.findIndex(isHolding);
  const overrule = run.overrules[index];
  if (!overrule || !isHolding(overrule)) return { taken: [] };
  const { kind, grip } = overrule.holding;
  const named = long
    .filter((own) => own.kind.kind === kind && (grip === undefined || own.surface.path === grip))
    .sort((a, b) => Number(a.against !== undefined) - Number(b.against !== undefined) || better(a, b))[0];
  if (!named) {
    const because = 'Nothing that the first set-up finishes is of its size and long enough for it.';
    return { taken: [{ index, state: 'cannot', breaks: [{ rule: 'GRIP-LEFT', because, strength: 'H' }] }] };
  }
  const breaks = breaksOf(named, sought);
  const waits = breaks.some(({ strength }) => strength === 'H') && !isSigned(overrule);
  return { ...(waits ? {} : { chosen: named }), taken: [{ index, state: waits ? 'waits' : 'kept', breaks }] };
}

/** Why a holding is taken, in words. */
function reasonsOf({ kind, surface, untrue, figures }: Candidate, { run, ties }: Sought, isDecided: boolean): Reason[] {
  const { units } = run;
  const held = `Held on the finished ${surface.name} ${kind.words}`;
  const because = isDecided
    ? `${held}: so decided.`
    : `${held}: long enough, and it leaves least standing out.${kind.marks ? '' : ' It marks nothing.'}`;
  const served = ties.filter((tie) => !untrue.includes(tie));
  return [
    { rule: 'GRIP-LEFT', because: kind.mind ? `${because} ${kind.mind(surface)}` : because },
    ...served.map(({ limit }) => ({
      rule: 'SAME-SETUP',
      because: `A run-out of ${say(limit, units)} is asked to what the first set-up made: ${kind.words} it runs true to ${say(figures.runOut, units)}.`,
    })),
  ];
}

/**
 * What holds the part for its second side (handbook 4): never a thread, a knurl, a fit or a thin wall bare; as true as
 * the drawing asks; else what leaves least standing out and is quickest.
 * @returns the holding with z of the second set-up, or why nothing holds it
 */
export function secondHolding(sought: Sought): Result<SecondHolding> {
  const { run, view } = sought;
  const { units } = run;
  const all = candidatesOf(sought);
  const long = all.filter(isLong);
  const able = long.filter(({ against }) => against === undefined).sort(better);
  const { chosen, taken } = decided(sought, long);
  const best = chosen ?? able[0];
  if (!best) {
    const spoilt = long.sort(better)[0];
    const widest = [...all].sort((a, b) => b.length - a.length)[0];
    const words = spoilt
      ? `: ${spoilt.surface.name} is long enough, but ${spoilt.kind.words} ${spoilt.against}`
      : widest
        ? `: the best is ${sayDiameter(widest.surface.diameter, units)} with ${say(Math.max(0, widest.length), units)} of ${say(widest.needed, units)} needed`
        : '';
    return refuse(
      'part.outside',
      `nothing finished in the first set-up is long enough to hold the part by for its second side${words}; from sawn blanks a spigot can be left on for it (allowances.spigot)`,
    );
  }
  const { surface, kind, figures, untrue } = best;
  const { diameter, inside, end, path } = surface;
  const length = best.length + surface.gaps;
  return good({
    holding: {
      kind: kind.kind,
      words: kind.words,
      grip: path,
      on: surface.on,
      diameter,
      // On a mandrel nothing covers the outside: the face itself stands against its shoulder.
      from: inside ? view.length : view.length - end,
      to: inside ? view.length : view.length - end + length,
      ...(inside ? { inside: length } : {}),
      runOut: figures.runOut,
      load: figures.load,
      change: figures.change,
    },
    reasons: reasonsOf(best, sought, chosen !== undefined),
    untrue,
    taken,
    others: able.map((own) => ({ kind: own.kind.kind, grip: own.surface.path, name: own.surface.name })),
  });
}
