import type { Wish } from '../reach/wishes';
import { heldBack } from './stickOut';
import type { Setup, Turned } from '../../model/plan/setup';
import { takersOf } from './firstHolding';
import { farStretch, stretchesOf } from './heldStretch';
import { jawsFromAtLeast, throughBores } from './throat';
import { gripNeeded } from './secondHolding';
import { reachedFeatures } from '../reach/reached';
import { chamferedIn, turnedSteps } from './division';
import { say } from '../../model/words';
import type { Run } from '../../model/run';
import { good, refuse, type Result } from '../../model/result';
import { turnRound, type Part } from '../../model/part/part';
import { sum, term, type Figure } from '../../model/figure';
import type { Stock } from '../../model/plan/stock';
import { CLOSE } from '../../model/tolerances';

/** What comes off before a finished face, in words for a working. */
export const facingTerm = (facing: number) => term('f', 'facing allowance', facing, 'mm', 'computed');

/** One way of dividing the work between two set-ups. */
export interface Attempt {
  run: Run;
  stock: Stock;
  firstEnd: 'front' | 'back';
  count: number;
  /** Its end is faced and centred before it is drawn out. */
  centred: boolean;
  /** An end for that centre is left on, and goes last, in a holding of its own. */
  endLast: boolean;
  /** Worked a piece at a time, drawn out for each. */
  drawnOut: boolean;
  /** Which of what could hold the second side does, the best being 0. */
  hold: number;
  /** One means holds both sides, so that it is not changed between them. */
  bothAlike: boolean;
  /** Which, once it is known. */
  alike?: string;
  /** What waits for the second set-up (paths): other machines work across it first, or it was decided so. */
  deferred: readonly string[];
  wishes: readonly Wish[];
}

/** Run-out asked between some surfaces and others. */
export const tiesBetween = ({ ties }: Part, some: readonly string[], others: (path: string) => boolean) =>
  ties.filter(({ of, to }) => (some.includes(of) && others(to)) || (some.includes(to) && others(of)));

/** Where everything lies along the work while its first side is turned. z of the first view, mm. */
export interface Layout {
  view: Part;
  back: Part;
  /** What comes off before either face, with what is left on a blank: an end for a centre, a spigot to hold by. */
  firstFacing: number;
  lastFacing: number;
  /** Where the finished piece and what is left behind it ends; and the far side of the blade, from the bar. */
  partedAt: number;
  throughTo: number | undefined;
  /** Steps turned first, how far any tool goes, and the diameter that the second side starts from. */
  turned: Turned[];
  turnedEnd: number;
  left: number;
}

/** Where what is cut into steps ends that the bar brought as they are: with a spigot behind, all of it in the first set-up. */
const cutInto = ({ steps, features }: Part, { asDrawn }: Stock): number[] =>
  features
    .filter(({ bore, inFace, z0, z1 }) =>
      steps.some(
        ({ path, zFrom, zTo }) =>
          !bore && !inFace && asDrawn.includes(path) && path !== undefined && zFrom < z1 && zTo > z0,
      ),
    )
    .map(({ z1 }) => z1);

/** Lays the work out for one way of dividing it. */
export function layoutOf({ run, stock, firstEnd, count, centred }: Attempt): Layout {
  const view = firstEnd === 'front' ? run.part : turnRound(run.part);
  const [here, there] =
    firstEnd === 'front' ? [stock.frontFacing, stock.backFacing] : [stock.backFacing, stock.frontFacing];
  const lastFacing = there + stock.spigot;
  const partedAt = view.length + lastFacing;
  const throughTo = stock.blade && partedAt + stock.blade.width;
  const turned = turnedSteps(view, count, stock.asDrawn, throughTo, run.shop.allowances.overrun);
  // From the bar, the largest diameter is turned through to the blade: that is what the second side starts from.
  const lastTurned = view.steps.find(({ path }) => path === turned.at(-1)?.path);
  const isThrough = throughTo !== undefined && turned.at(-1)?.to === throughTo;
  return {
    view,
    back: turnRound(view),
    // What is centred before it is drawn out is faced by then.
    firstFacing: (centred ? 0 : here) + stock.centreEnd,
    lastFacing,
    partedAt,
    throughTo,
    turned,
    turnedEnd: Math.max(
      0,
      ...turned.map(({ to }) => to),
      ...(throughTo === undefined ? [] : [throughTo]),
      ...(stock.spigot > 0 ? cutInto(view, stock) : []),
    ),
    left: isThrough && lastTurned ? lastTurned.diameter.aim : stock.over,
  };
}

/** How far the stock stands out for its first side, what is clear of the jaws, and how much of it they hold. */
export interface Standing {
  stickOut: Figure;
  clearance: number;
  rawHold: number;
}

/** The least that any means that takes the stock must grip, so far out, mm. */
export const leastGripOf = (run: Run, stock: Stock, { diameter, out }: { diameter: number; out: number }): number =>
  Math.min(...takersOf(run, stock, diameter).map(({ kind }) => gripNeeded(run, kind, diameter, out)));

/** Between which places an end is worked while it stands out so far, z of the view, mm: all of it, or a piece of it. */
export interface Worked {
  from: number;
  to: number;
  /** Before it nothing was drawn out; after it nothing is. */
  first: boolean;
  last: boolean;
}

/** All of an end, worked as it stands out at once. */
export const workedWhole = ({ firstFacing, turnedEnd }: Layout): Worked => ({
  from: -firstFacing,
  to: turnedEnd,
  first: true,
  last: true,
});

/** What stands out of the jaws, with its working: from the bar with the blade, else as far as the tools go. */
function stickOutOf(stock: Stock, layout: Layout, { to, first, last }: Worked, clearance: number): Figure {
  const clear = term('c', 'clearance to the jaws', clearance, 'mm', 'start value');
  const facing = facingTerm(first ? layout.firstFacing : 0);
  return stock.blade && last
    ? sum('stick-out', 'mm', [
        term('L', 'length of the part', layout.view.length, 'mm', 'drawing'),
        facing,
        term('w', 'blade width', stock.blade.width, 'mm', 'tool'),
        term('k', 'facing allowance of the other end', layout.lastFacing, 'mm', 'computed'),
        clear,
      ])
    : sum('stick-out', 'mm', [term('z', 'furthest that a tool goes', to, 'mm', 'computed'), facing, clear]);
}

/** What stays free before the jaws: for a blade from the bar, for a tool else, or as the run says, mm. */
export const clearanceOf = ({ allowances, shop }: Run, stock: Stock): number =>
  stock.blade ? stock.jawClearance : (allowances.jawClearance ?? shop.allowances.toolClearance);

/** How the stock stands while its first side is worked, or why too little of a blank is left to hold. */
export function standingOf(
  { run, stock, firstEnd, centred, deferred }: Attempt,
  layout: Layout,
  worked: Worked,
): Result<Standing> {
  const { units } = run;
  const { partedAt, view } = layout;
  const { from, to, last } = worked;
  const bar = stock.blade !== undefined;
  const held = farStretch(stock, firstEnd, view.length);
  const behind = stretchesOf(stock, firstEnd, view.length).map((stretch) => ({
    ...stretch,
    to: Math.min(stretch.to, partedAt),
  }));
  // A bar goes through the spindle, or it is none.
  const bored = throughBores(view, (path) => !deferred.includes(path), partedAt, stock, run.shop.allowances.closest);
  const least = bar ? -Infinity : jawsFromAtLeast([...behind, ...bored], run.shop.machine);
  const usual = Math.max(clearanceOf(run, stock), held.from - to, least - to);
  // Under a centre that is there from the start it does not lean (trade: Safe holds).
  const out = centred ? 0 : to - from + usual;
  const needed = leastGripOf(run, stock, { diameter: held.diameter, out });
  // A blank has so much to let go of; of a bar the stock has seen to it.
  const spare = bar ? 0 : partedAt - to - usual - needed;
  const clearance = usual + (last ? heldBack(run, 1, to - from + usual, spare) : 0);
  const rawHold = bar ? stock.gripRemnant.value : partedAt - to - clearance;
  if (!bar && rawHold < needed - CLOSE)
    return refuse(
      'part.outside',
      `${stock.piece ? 'the piece' : 'a blank'} leaves ${say(Math.max(0, rawHold), units)} to hold by while its first side is turned, and ${say(needed, units)} are needed`,
      'halves',
    );
  return good({ stickOut: stickOutOf(stock, layout, worked, clearance), clearance, rawHold });
}

/** What a set-up that turns these steps gets at. */
export const reach = (turned: readonly Turned[], { asDrawn }: Stock, jaws: number) => ({ turned, asDrawn, jaws });

/** What is made at the face behind an end for a centre (paths): it is there when that is gone. */
export function madeBehindEnd({ view }: Layout, stock: Stock) {
  const atFace = view.features.filter(({ z0, from }) => (from ? from === 'front' : z0 < CLOSE));
  return {
    drilled: toDrill(view, stock).flatMap(({ path, from, through }) => (from === 'front' || through ? [path] : [])),
    features: atFace.map(({ path }) => path),
    chamfered: view.chamfers.filter(({ z, end }) => end === 'front' && z < CLOSE).map(({ path }) => path),
  };
}

/** Holes that are drilled at all: the bore of a tube may be the hole itself. */
export const toDrill = ({ holes }: Part, { asDrawn }: Stock) => holes.filter(({ path }) => !asDrawn.includes(path));

/** What the first set-up makes beside its face (paths). */
export interface MadeFirst {
  turned: string[];
  drilled: string[];
  features: string[];
  chamfered: string[];
}

/** What the first set-up makes, its jaws where they are. */
export function madeFirst({ stock, deferred }: Attempt, { view, turned }: Layout, jawsAt: number): MadeFirst {
  return {
    turned: turned.map(({ path }) => path),
    drilled: toDrill(view, stock)
      .filter(({ through, from }) => from === 'front' || through)
      .filter(({ path, through }) => !(through && deferred.includes(path)))
      .map(({ path }) => path),
    features: reachedFeatures(view, reach(turned, stock, jawsAt)).filter((path) => !deferred.includes(path)),
    chamfered: chamferedIn(view, []),
  };
}

/** Edges of the back face: broken through the gap when the piece is parted off finished. */
export const backEdges = ({ chamfers, length }: Part) =>
  chamfers.filter(({ end, z }) => end === 'back' && z > length - CLOSE);

/** A set-up, how many ties to what was there before its holding are not true enough for, and whether it is held with care. */
export interface Held {
  setup: Setup;
  untrue: number;
  uneasy: boolean;
}
