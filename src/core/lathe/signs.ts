import { sayFigure, sayFixed } from '../model/units/mark';
import type { Sign } from './events';

/** Signs in words, as they are pressed. */
export const SIGN_WORDS: Record<Sign, string> = {
  chatter: 'it chatters',
  torn: 'torn or dull surface',
  strings: 'long strings',
  stall: 'it stalls or slips',
  taper: 'taper, barrel or steps',
  wobble: 'out of round, wobble',
  'hole-wide': 'hole wide or off line',
  nib: 'nib, doubled knurl, blade walks',
};

/** What of a cut is known when causes are weighed. */
export interface CutNow {
  kind: string;
  /** rev/min and mm/rev; 0 where it stands or is fed by hand. */
  speed: number;
  feed: number;
  /** The deepest pass, mm a side. */
  depth: number;
  edge: 'hss' | 'carbide';
  /** How far the work stands out for its diameter, and the tool for its own. */
  workReach: number;
  toolReach: number;
  /** A centre or a rest bears it. */
  isBorne: boolean;
  fluid: boolean;
  /** The next speeds of the machine under and over what it runs at. */
  slower?: number;
  faster?: number;
}

/** Something to change, one at a time: what, to which figure, and what goes with it. */
export interface Cause {
  id: string;
  /** What to look at or to do. */
  words: string;
  /** What it does to minutes, limits and zeros. */
  effect: string;
  /** Its place among the causes of this sign for this cut, the less the likelier. */
  rank: number;
}

const cause = (id: string, words: string, effect: string) => ({ id, words, effect });

/** How much longer a cut takes at another speed, in words. */
const slowerBy = (now: CutNow): string =>
  now.slower ? `the cut takes ${Math.round((now.speed / now.slower - 1) * 100)} % longer; zeros stay` : 'zeros stay';

const down = (now: CutNow) =>
  cause(
    'speed-down',
    now.slower ? `speed down, ${sayFigure(now.speed)} to ${sayFigure(now.slower)}` : 'speed down',
    slowerBy(now),
  );
const up = (now: CutNow) =>
  cause(
    'speed-up',
    now.faster ? `speed up, ${sayFigure(now.speed)} to ${sayFigure(now.faster)}` : 'speed up',
    'the cut is quicker; zeros stay',
  );
const feedUp = (now: CutNow) =>
  cause(
    'feed-up',
    now.feed > 0
      ? `feed up, ${sayFixed(now.feed, 2)} to ${sayFixed(now.feed * 1.3, 2)} mm/rev`
      : 'feed quicker by hand',
    'the cut is quicker; the surface is coarser by its square',
  );
const feedDown = (now: CutNow) =>
  cause(
    'feed-down',
    now.feed > 0
      ? `feed down, ${sayFixed(now.feed, 2)} to ${sayFixed(now.feed * 0.7, 2)} mm/rev`
      : 'feed slower by hand',
    'the cut takes 43 % longer; zeros stay',
  );
const lessDeep = (now: CutNow) =>
  cause('depth', `less deep, ${sayFixed(now.depth / 2, 2)} in place of ${sayFixed(now.depth, 2)}`, 'twice the passes');
const EDGE = cause('edge', 'look at the edge; a new or ground one', 'its zero is set anew, the next piece is measured');
const FLUID = cause('fluid', 'fluid, and the built-up edge off', 'nothing else moves');
const HEIGHT = cause('height', 'height of the tool to the centre', 'its zero is set anew');
const SLACK = cause('slack', 'slack of slides and spindle, clamps tight', 'zeros are looked at again');
const REACH = cause('reach', 'work and tool out less far', 'zeros of that tool or of the work are set anew');
const CENTRE = cause('centre', 'a centre or a rest', 'what it is borne by is set, some minutes once');
const CONTACT = cause(
  'contact',
  'less contact: a smaller nose, a narrower blade',
  'another tool: its zero, and the surface',
);
const HOLD = cause('hold', 'hold harder, or by more of its length', 'everything is measured again; mind thin walls');
const LESS_HOLD = cause('hold-less', 'hold less hard for the last cut, which is light', 'everything is measured again');
const SEATS = cause('seats', 'wipe jaws, tapers and faces, put it in anew', 'the face is set anew');
const WALL = cause('wall', 'a thin wall springs: bore it before it is turned thin', 'the order changes');
const SPRING = cause('spring', 'a spring pass at the same setting', 'one pass more');
const DEFLECTION = cause('deflection', 'deflection: lighter last cuts', 'one or two passes more');
const CENTRE_PLACE = cause(
  'centre-place',
  'where the centre stands, and how hard',
  'the tailstock is set; a cut along is measured at both ends',
);
const COMPOUND = cause('compound', 'angle of the compound', 'it is set anew');
const BED = cause('bed', 'ways of the bed: measured at both ends, a light cut', 'nothing, or the machine is levelled');
const START = cause('start', 'start: centre it, or drill shorter first', 'one operation more');
const LIPS = cause('lips', 'lips of the drill alike: another, or ground', 'its length is set anew');
const RUN_OUT = cause('run-out', 'run-out of drill and chuck', 'put in anew');
const PILOT = cause('pilot', 'a smaller drill first', 'one operation more');
const BELT = cause('belt', 'belt and gear: in, and tight', 'nothing else moves');
const BREAKER = cause('breaker', 'a breaker, or another edge', 'another tool: its zero');
const TRACK = cause('track', 'height, track and pressure; squareness and width of the blade', 'its zero is set anew');

/** What to look at for each sign, in the order of practice (trade: At the lathe). */
const LOOK_AT: Record<Sign, (now: CutNow) => ReturnType<typeof cause>[]> = {
  chatter: (now) => [REACH, CENTRE, down(now), feedUp(now), CONTACT, HEIGHT, SLACK],
  torn: (now) => [EDGE, FLUID, feedDown(now), now.edge === 'carbide' ? up(now) : down(now), lessDeep(now)],
  strings: (now) => [feedUp(now), lessDeep(now), down(now), BREAKER, EDGE],
  stall: (now) => [lessDeep(now), feedDown(now), HOLD, BELT, EDGE],
  taper: () => [CENTRE_PLACE, DEFLECTION, SPRING, COMPOUND, BED],
  wobble: () => [SEATS, HOLD, WALL, LESS_HOLD],
  'hole-wide': () => [START, LIPS, RUN_OUT, PILOT],
  nib: () => [TRACK],
};

/** What this cut makes likelier or less likely than the list of practice has it: places up or down. */
function moved(id: string, now: CutNow): number {
  if (id === 'reach') return Math.max(now.workReach, now.toolReach) > 3 ? -2 : 3;
  if (id === 'centre') return now.isBorne ? Infinity : now.workReach > 3 ? -1 : 4;
  if (id === 'centre-place') return now.isBorne ? -1 : Infinity;
  if (id === 'deflection') return now.workReach > 4 ? -2 : 0;
  if (id === 'fluid') return now.fluid ? 2 : -1;
  if (id === 'compound') return now.kind === 'taper' ? -2 : Infinity;
  if (id === 'speed-down') return now.slower === undefined ? Infinity : 0;
  if (id === 'speed-up') return now.faster === undefined ? Infinity : 0;
  return 0;
}

/**
 * What to change for a sign at this cut, one at a time, the likeliest first; what cannot be its cause is left out.
 * @param helped causes that helped at this operation before: they come first
 */
export const causesOf = (sign: Sign, now: CutNow, helped: readonly string[] = []): Cause[] =>
  LOOK_AT[sign](now)
    .map((one, index) => ({ ...one, rank: helped.includes(one.id) ? -Infinity : index + moved(one.id, now) }))
    .filter(({ rank }) => rank < Infinity)
    .sort((a, b) => a.rank - b.rank);
