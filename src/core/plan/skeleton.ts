import { sayFigure } from '../model/units/mark';
import { isHolding, namesSetup } from '../model/overrule';
import type { Problem } from '../model/result';
import type { Run } from '../model/run';
import { WAY_BEGINS, type Way } from '../model/way';

/** Something that could be made from either end. */
export interface Either {
  path: string;
  name: string;
}

/** How a route begins, before anything of it is planned: what is chosen above the straight line. */
export interface Skeleton {
  way: Way;
  /** A spigot is left on its blanks to hold them by. */
  spigot: boolean;
  /** Its end is faced and centred before the work is drawn out. */
  centred: boolean;
  /** Its end is worked a piece at a time, near the jaws, and drawn out for each. */
  drawnOut?: true;
  /** An end is left on for that centre, and goes last, in a holding of its own. */
  endLast?: true;
  /** A diameter that no holding leaves whole is turned half from each side. */
  halves?: true;
  /** Which of what could hold the second side does, after the best. */
  hold?: number;
  /** What holds the second side holds the first too, so that it is not changed. */
  alike?: true;
  /** How many bars that cost less are passed over. */
  dearer: number;
  /** Which end is worked first, where that is not left to how it can be held. */
  end?: 'front' | 'back';
  /** What the end that is worked first could make, and leaves to the other: there it was found not to work. */
  later?: readonly Either[];
  /** It stands out so much farther than its cuts go, mm: for what wants more room before the jaws. */
  clearance?: number;
}

/** The route that is taken where it is sound: nothing left on, the work standing out at once. */
export const usual = (way: Way): Skeleton => ({ way, spigot: false, centred: false, dearer: 0 });

/** What routes that were refused would want of another. */
export type Wants = ReadonlySet<Problem['wants']>;

/** Rooms before the jaws that a route may leave: for a blade's holder, and where it is wanted for each rest of the machine. */
function roomsOf({ allowances, shop }: Run, way: Way, wants: Wants): number[] {
  if (allowances.jawClearance !== undefined) return [];
  const rests = wants.has('room') ? (shop.machine.rests ?? []).map(({ width }) => width) : [];
  return [...(way === 'from-bar' ? [] : [shop.allowances.jawClearance]), ...rests];
}

/** Other ways of holding the second side that are tried: the two next best, and the quickest of the rest; or one for both sides. */
const OTHER_HOLDS: readonly Pick<Skeleton, 'hold' | 'alike'>[] = [
  { hold: 1 },
  { hold: 2 },
  { hold: 3 },
  { alike: true },
  { hold: 3, alike: true },
];

/** How many bars beyond the cheapest are tried. */
const MORE_BARS = 2;

/**
 * Other routes of a way, the plainest first: what holds its blanks better, then what those that were refused want: more room
 * before the jaws, another bar. What the run says of its blanks is not taken from it.
 * The end that would not be taken first comes last: not for what holds it better, but for what is quicker.
 */
export function otherSkeletons(run: Run, way: Way, wants: Wants): Skeleton[] {
  const { allowances } = run;
  const fromBar = way === 'from-bar';
  const asItIs = fromBar || way === 'as-it-arrives';
  const spigots = asItIs || allowances.spigot !== undefined ? [false] : [false, true];
  const centres = allowances.centreEnd !== undefined ? [false] : [false, true];
  const rooms = [undefined, ...roomsOf(run, way, wants)];
  const bars =
    wants.has('stock') && run.stock === 'choose' ? Array.from({ length: MORE_BARS }, (_, index) => index + 1) : [];
  const held = rooms
    .flatMap((clearance) =>
      centres.flatMap((centred) =>
        spigots.map((spigot) => ({
          way,
          spigot,
          centred,
          dearer: 0,
          ...(clearance === undefined ? {} : { clearance }),
        })),
      ),
    )
    .filter(({ spigot, centred, clearance }) => spigot || centred || clearance !== undefined);
  const drawn = rooms.flatMap((clearance) =>
    spigots.map((spigot): Skeleton => ({
      ...usual(way),
      spigot,
      drawnOut: true,
      ...(clearance === undefined ? {} : { clearance }),
    })),
  );
  const halves: Skeleton[] = !fromBar && wants.has('halves') ? [{ ...usual(way), halves: true }] : [];
  const hasEnd = allowances.centreEnd === undefined ? wants.has('end') : allowances.centreEnd !== 0;
  const endsLast: Skeleton[] =
    way !== 'as-it-arrives' && hasEnd
      ? spigots.map((spigot) => ({ ...usual(way), spigot, centred: true, endLast: true }))
      : [];
  const holds = run.overrules.some(isHolding) ? [] : OTHER_HOLDS.map((held): Skeleton => ({ ...usual(way), ...held }));
  const ends =
    run.firstEnd === 'choose' && !run.overrules.some(namesSetup)
      ? [usual(way), ...held, ...drawn, ...endsLast, ...halves, ...holds].map((skeleton) => ({
          ...skeleton,
          end: 'back' as const,
        }))
      : [];
  return [
    ...held,
    ...drawn,
    ...endsLast,
    ...halves,
    ...holds,
    ...bars.map((dearer) => ({ ...usual(way), dearer })),
    ...ends,
  ];
}

/** A skeleton without the end that its run names anyway. */
export function namedBy({ firstEnd }: Pick<Run, 'firstEnd'>, skeleton: Skeleton): Skeleton {
  const { end, ...either } = skeleton;
  return end === firstEnd ? either : skeleton;
}

/** How far from the usual route one is: better held, drawn out, held otherwise, from another bar, from the other end first. */
export const rankOf = ({ drawnOut, endLast, halves, dearer, end }: Skeleton): number =>
  end ? 3 : dearer > 0 ? 2 : drawnOut || endLast || halves ? 1 : 0;

/** Everything that tells one skeleton from another. */
const TOLD_BY = [
  'way',
  'spigot',
  'centred',
  'drawnOut',
  'endLast',
  'halves',
  'hold',
  'alike',
  'dearer',
  'clearance',
  'end',
] as const satisfies readonly (keyof Skeleton)[];

/** One skeleton as a word: two with the same are one. */
export const keyOf = (skeleton: Skeleton): string =>
  [...TOLD_BY.map((told) => skeleton[told]), ...(skeleton.later ?? []).map(({ path }) => path)].join(' ');

/** A run with what a skeleton leaves on its blanks, and how far it stands out. */
export function withLeft(run: Run, { spigot, centred, endLast, clearance, end }: Skeleton): Run {
  const { allowances } = run;
  // Under a centre that is there from the start it is gripped short, whoever wants the spigot (trade: Safe holds).
  const isLeft = spigot || allowances.spigot === 'choose';
  return {
    ...run,
    ...(end ? { firstEnd: end } : {}),
    allowances: {
      ...allowances,
      ...(isLeft ? { spigot: centred ? 'choose-centred' : 'choose' } : {}),
      ...(endLast && allowances.centreEnd === undefined ? { centreEnd: 'choose' as const } : {}),
      ...(clearance === undefined ? {} : { jawClearance: clearance }),
    },
  };
}

/** A skeleton in words. */
export const saySkeleton = ({
  way,
  spigot,
  centred,
  drawnOut,
  endLast,
  halves,
  hold,
  alike,
  dearer,
  clearance,
  end,
  later = [],
}: Skeleton): string =>
  [
    WAY_BEGINS[way],
    ...(end ? [`the ${end} first`] : []),
    ...(spigot ? ['a spigot left on to hold by'] : []),
    ...(centred ? ['faced and centred before it is drawn out'] : []),
    ...(drawnOut ? ['drawn out a piece at a time'] : []),
    ...(endLast ? ['an end left on for the centre, which goes last'] : []),
    ...(halves ? ['half turned from each side'] : []),
    ...(hold ? [hold === 1 ? 'the second side held otherwise' : 'the second side held otherwise again'] : []),
    ...(alike ? ['both sides held alike'] : []),
    ...(dearer > 0 ? [dearer === 1 ? 'the next bar' : 'the bar after the next'] : []),
    ...(clearance === undefined ? [] : [`${sayFigure(clearance)} mm clear of the jaws`]),
    ...later.map(({ name }) => `${name} made from the other end`),
  ].join(', ');
