import { pointLength } from '../../model/workpiece/drillPoint';
import type { Feature } from '../../model/part/feature';
import type { Hole } from '../../model/part/part';
import type { Tool } from '../../model/shop/shop';
import { CLOSE } from '../../model/tolerances';
import { goesThrough } from '../reach/reached';
import type { Setup } from '../../model/plan/setup';
import { fullDepthOf } from './fullDepth';

/** A hole that a tool must find before it can make a feature: how wide it may be, and how deep its full diameter. mm */
export interface HoleNeed {
  /** Path of the feature, and what the hole is for, in words. */
  feature: string;
  purpose: string;
  atLeast: number;
  atMost: number;
  /** Of several drills the nearest to this. */
  aim: number;
  through: boolean;
  depth: number;
  /** What the tool wants behind a through hole, mm: a tap its lead. */
  beyond?: number;
  /** How deep the tip may go at most, where something ends there. */
  tipAtMost?: number;
  /** A hole that is there before, which its tip goes down in, mm. */
  hole?: number;
}

/** A straight hole that is open at the face of a view. mm */
interface Opening {
  path: string;
  diameter: number;
  through: boolean;
  depth: number;
}

/** How wide a hole of the drawing is drilled: like the drill nearest to its size within its limits, mm. */
export function drilledAs(
  { diameter: { nominal, lower, upper } }: Pick<Hole, 'diameter'>,
  tools: readonly Tool[],
): number {
  const off = (size: number) => Math.abs(size - nominal);
  const fitting = tools.flatMap(({ does, diameter = 0 }) =>
    does.includes('drill') && diameter >= nominal + lower - CLOSE && diameter <= nominal + upper + CLOSE
      ? [diameter]
      : [],
  );
  return fitting.toSorted((a, b) => off(a) - off(b))[0] ?? nominal;
}

/** What holes are looked for in: a part, a shop, and the stock where that is known. */
type Holed = Pick<Setup, 'part' | 'run'> & Partial<Pick<Setup, 'stock'>>;

/** Every straight hole that is open at the face of a view: drilled, bored or reamed by the drawing, or that of a tube. */
function openings({ part, run, stock }: Holed): Opening[] {
  const drilled = part.holes
    .filter(({ through, from }) => through || from === 'front')
    .map((hole) => ({ ...hole, diameter: drilledAs(hole, run.shop.tools) }));
  const finished = part.features
    .filter(
      (feature) =>
        (feature.kind === 'bore' || feature.kind === 'ream') &&
        (feature.from === 'front' || goesThrough(feature, part)),
    )
    .map((feature) => ({
      path: feature.path,
      diameter: feature.size?.nominal ?? 0,
      through: goesThrough(feature, part),
      depth: feature.z1,
    }));
  const tube =
    stock && stock.bore > 0 ? [{ path: 'stock', diameter: stock.bore, through: true, depth: part.length }] : [];
  return [...drilled, ...finished, ...tube];
}

/** Radius of the widest hole that goes on beyond the bottom of a feature, mm; nothing where the metal is whole. */
export function goesOnAs({ path, z1 }: Feature, setup: Holed): number {
  // As deep as the feature, a drilled one still goes on by its point.
  const hasPoint = (hole: Opening) => setup.part.holes.some((drilled) => drilled.path === hole.path);
  const goesOn = (hole: Opening) => hole.through || hole.depth > z1 + (hasPoint(hole) ? -1e-6 : 1e-6);
  return Math.max(
    0,
    ...openings(setup).flatMap((hole) => (hole.path !== path && goesOn(hole) ? [hole.diameter / 2] : [])),
  );
}

/** A hole of the drawing that meets a need: the widest. */
export const holeServing = (
  { feature, atLeast, atMost, depth, through }: HoleNeed,
  setup: Holed,
): Opening | undefined =>
  openings(setup)
    .filter(
      (hole) =>
        hole.path !== feature &&
        hole.diameter >= atLeast - 1e-6 &&
        hole.diameter <= atMost + 1e-6 &&
        (hole.through || (!through && hole.depth >= depth - 1e-6)),
    )
    .sort((a, b) => b.diameter - a.diameter)[0];

/** The drill for a need that no hole of the drawing meets, and how deep its full diameter goes: of those so long the nearest. */
export function drillFor(need: HoleNeed, setup: Setup): { tool: Tool; depth: number } | undefined {
  // In a hole that is there its point cuts no deeper than from that outwards.
  const deep = ({ diameter = 0, point = 118 }: Tool) =>
    Math.min(
      need.depth,
      (need.tipAtMost ?? Infinity) - pointLength(diameter, point) + pointLength(need.hole ?? 0, point),
    );
  const isShort = (tool: Tool): number => {
    const { flute = 0, diameter = 0, point = 118 } = tool;
    const full = fullDepthOf({ ...need, depth: deep(tool) }, setup).value;
    return flute >= full + pointLength(diameter, point) - CLOSE ? 0 : 1;
  };
  const tool = setup.run.shop.tools
    .filter(
      (candidate) =>
        candidate.does.includes('drill') &&
        (candidate.diameter ?? 0) >= need.atLeast - 1e-6 &&
        (candidate.diameter ?? 0) <= need.atMost + 1e-6 &&
        deep(candidate) > 0,
    )
    .sort((a, b) => {
      const [x, y] = [a.diameter ?? 0, b.diameter ?? 0];
      const nearer = Math.abs(x - need.aim) - Math.abs(y - need.aim);
      // Of two as near the wider: it leaves the next tool less.
      return isShort(a) - isShort(b) || (Math.abs(nearer) > 1e-6 ? nearer : y - x);
    })[0];
  return tool && { tool, depth: deep(tool) };
}

/** How wide the hole is that a tool finds: one of the drawing, or the one that is drilled for it. */
export const widthFound = (need: HoleNeed, setup: Setup): number | undefined =>
  holeServing(need, setup)?.diameter ?? drillFor(need, setup)?.tool.diameter;

/**
 * Features of some kinds that a set-up drills for: what goes right through is drilled in the first, whichever end its
 * other tools come from, so that both mouths can be worked; where an end is left on for a centre, when that is gone.
 */
export const drilledFor = ({ part, features, side, centres, drawnOut, stock }: Setup, ...kinds: string[]): Feature[] =>
  part.features.filter(
    (feature) =>
      kinds.includes(feature.kind) &&
      !stock.asDrawn.includes(feature.path) &&
      (goesThrough(feature, part) && stock.centreEnd === 0
        ? side === 1 && !centres && !drawnOut
        : features.includes(feature.path)),
  );

/** Features of some kinds that a set-up gets at. */
export const reachedOf = ({ part, features, stock }: Setup, ...kinds: string[]): Feature[] =>
  part.features.filter(
    ({ kind, path }) => kinds.includes(kind) && features.includes(path) && !stock.asDrawn.includes(path),
  );
