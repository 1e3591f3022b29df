import { goesThrough } from '../reach/reached';
import { orificesOf } from '../reach/orifices';
import { pointLength } from '../../model/workpiece/drillPoint';
import { term, sum, type Figure } from '../../model/figure';
import type { Hole } from '../../model/part/part';
import type { Size } from '../../model/part/size';
import { bad, good, refuse, type Problem, type Result } from '../../model/result';
import type { Tool } from '../../model/shop/shop';
import { say, sayDiameter } from '../../model/words';
import type { Setup } from '../../model/plan/setup';
import { CLOSE } from '../../model/tolerances';
import { drillSlips } from '../cutting/drillLoad';
import { fullDepthOf } from './fullDepth';
import { drillFor, holeServing, type HoleNeed } from './holeNeed';
import { holeNeeds } from './holeNeeds';

/** One drill that goes into one hole. */
export interface DrillStep {
  feature: string;
  tool: Tool;
  through: boolean;
  /** To its size, or before that: by the house's rule, or since what holds the work does not bear it at once. */
  goes: 'to-size' | 'pilot' | 'opens';
  /** What another tool needs the hole for; undefined for a hole of the drawing. */
  purpose?: string;
  /** The size that a hole of the drawing is measured to. */
  size?: Size;
  /** It follows a hole that is there, mm. */
  hole?: number;
  /** Where the full diameter ends, and where the tip stops. */
  fullDepth: number;
  tip: Figure;
}

/** Finds a drill that makes a diameter within limits and is long enough; the nearest to the middle of the limits. */
function findDrill(setup: Setup, path: string, from: number, upTo: number, aim: number, depth: number): Result<Tool> {
  const { shop, units } = setup.run;
  const drills = shop.tools.filter(({ does, diameter }) => does.includes('drill') && diameter !== undefined);
  const byNearness = (a: Tool, b: Tool) => Math.abs((a.diameter ?? 0) - aim) - Math.abs((b.diameter ?? 0) - aim);
  const fitting = drills
    .filter(({ diameter = 0 }) => diameter >= from - 1e-6 && diameter <= upTo + 1e-6)
    .sort(byNearness);
  const nearest = [...drills].sort(byNearness)[0];
  if (fitting.length === 0)
    return refuse(
      `${path}.diameter`,
      `no drill of ${sayDiameter(aim, units)} is in the tool list${nearest ? `; the nearest is ${sayDiameter(nearest.diameter ?? 0, units)}` : ''}`,
    );
  // Its point goes deeper than its full diameter, and its chuck stays out.
  const long = fitting.filter(
    ({ flute = 0, diameter = 0, point = 118 }) => flute >= depth + pointLength(diameter, point) - 1e-6,
  );
  if (long[0]) return good(long[0]);
  return refuse(
    `${path}.depth`,
    `${say(depth, units)} is deeper than the flute of ${fitting[0]?.name ?? 'the drill'} (${say(fitting[0]?.flute ?? 0, units)})`,
  );
}

/** What a drill is to make: a hole of the drawing, or one that another tool needs. */
interface Wanted {
  feature: string;
  through: boolean;
  depth: number;
  atLeast: number;
  atMost: number;
  aim: number;
  beyond?: number;
  opened?: number;
  purpose?: string;
  size?: Size;
  hole?: number;
}

/** A hole of the drawing, as deep as the tools want it that need no other. */
const wantedOf = ({ path, through, depth, diameter }: Hole, needs: readonly HoleNeed[], setup: Setup): Wanted => ({
  feature: path,
  through,
  depth,
  atLeast: diameter.nominal + diameter.lower,
  atMost: diameter.nominal + diameter.upper,
  aim: diameter.nominal,
  size: diameter,
  opened:
    orificesOf(setup.part, setup.run.shop.cutting).find((own) => own.path === path && own.opened === 'back')?.deep ?? 0,
  beyond: Math.max(
    0,
    ...needs.flatMap((need) => (need.through && holeServing(need, setup)?.path === path ? (need.beyond ?? 0) : [])),
  ),
});

/** What is drilled already when a drill comes, mm: nothing is there before the first. */
const holeBefore = (before: readonly DrillStep[], fullDepth: number): number =>
  Math.max(0, ...before.flatMap((step) => (step.fullDepth >= fullDepth - CLOSE ? [step.tool.diameter ?? 0] : [])));

/** Whether what holds the work bears a drill in a hole, fed as little as it may be. */
const isBorne = ({ diameter = 0, point = 118 }: Tool, hole: number, setup: Setup): boolean =>
  drillSlips({ diameter, point, hole }, setup) <= 1 + 1e-9;

/**
 * Drills before one that what holds the work does not bear at once, each within it (trade: Safe holds): the smallest that
 * leaves so little, and what that wants before it. Undefined where there is no such chain.
 */
function openedBy(drill: Tool, hole: number, fullDepth: number, setup: Setup): Tool[] | undefined {
  if (isBorne(drill, hole, setup)) return [];
  const between = setup.run.shop.tools
    .filter(
      ({ does, diameter = 0, flute = 0, point = 118 }) =>
        does.includes('drill') &&
        diameter > hole + CLOSE &&
        diameter < (drill.diameter ?? 0) - CLOSE &&
        flute >= fullDepth + pointLength(diameter, point) - CLOSE,
    )
    .toSorted((a, b) => (a.diameter ?? 0) - (b.diameter ?? 0));
  for (const first of between) {
    if (!isBorne(drill, first.diameter ?? 0, setup)) continue;
    const before = openedBy(first, hole, fullDepth, setup);
    if (before) return [...before, first];
  }
  return undefined;
}

/** A pilot by the house's rule; nothing where what is drilled before is as wide, or what holds the work does not bear it at once. */
function pilotFor({ aim, feature }: Wanted, hole: number, fullDepth: number, setup: Setup): Result<Tool[]> {
  const { cutting, material, houseRules } = setup.run.shop;
  const pilotAim = aim * cutting.pilotFraction;
  const isWanted =
    houseRules.pilot === 'tough-over-12' &&
    material.tough &&
    aim > cutting.pilotOver &&
    hole < pilotAim - cutting.pilotWithin;
  if (!isWanted) return good([]);
  const found = findDrill(setup, feature, pilotAim, pilotAim + cutting.pilotWithin, pilotAim, fullDepth);
  return found.ok ? good(isBorne(found.value, hole, setup) ? [found.value] : []) : found;
}

/** Whether the point of a blind hole opens the far face: there it is wider than what the drawing has open right through. */
function comesThrough({ tool: { diameter = 0, point = 118 }, tip }: DrillStep, { part, stock }: Setup): boolean {
  const beyond = tip.value - part.length;
  const open = [
    stock.bore,
    ...part.holes.flatMap((hole) => (hole.through ? [hole.diameter.nominal] : [])),
    ...part.features.flatMap((bore) => (bore.size && bore.bore && goesThrough(bore, part) ? [bore.size.nominal] : [])),
  ];
  const wide = (diameter * beyond) / pointLength(diameter, point);
  return beyond > -1e-6 && wide >= Math.max(...open) - CLOSE;
}

/** The drills of one hole, after those that are `before` it. */
function drillsFor(wanted: Wanted, before: readonly DrillStep[], setup: Setup): Result<DrillStep[]> {
  const { units } = setup.run;
  const { feature, through, atLeast, atMost, aim, purpose, size } = wanted;
  const fullDepth = fullDepthOf(wanted, setup);
  const found = findDrill(setup, feature, atLeast, atMost, aim, fullDepth.value);
  if (!found.ok) return found;
  const drill = found.value;
  // A tube is open already: the drill follows its bore.
  const hole = Math.max(setup.stock.bore, wanted.hole ?? 0, holeBefore(before, fullDepth.value));
  const pilot = pilotFor(wanted, hole, fullDepth.value, setup);
  if (!pilot.ok) return pilot;
  const open = Math.max(hole, ...pilot.value.map(({ diameter = 0 }) => diameter));
  const opened = openedBy(drill, open, fullDepth.value, setup);
  if (!opened)
    return refuse(
      `${feature}.diameter`,
      `what holds the work bears no drill of ${sayDiameter(drill.diameter ?? 0, units)}, nor a chain of drills up to it`,
      'bar',
    );
  const step = (tool: Tool, goes: DrillStep['goes']): DrillStep => ({
    feature,
    tool,
    through,
    goes,
    ...(purpose ? { purpose } : {}),
    ...(size && goes === 'to-size' ? { size } : {}),
    ...(wanted.hole === undefined ? {} : { hole: wanted.hole }),
    fullDepth: fullDepth.value,
    tip: sum('where the tip stops', 'mm', [
      ...fullDepth.terms,
      term(
        'p',
        'point of the drill, d / (2 tan(point / 2))',
        pointLength(tool.diameter ?? 0, tool.point ?? 118),
        'mm',
        'tool',
      ),
    ]),
  });
  const steps = [
    ...pilot.value.map((tool) => step(tool, 'pilot')),
    ...opened.map((tool) => step(tool, 'opens')),
    step(drill, 'to-size'),
  ];
  const pokesOut = through ? undefined : steps.find((step) => comesThrough(step, setup));
  if (pokesOut)
    return refuse(
      `${feature}.depth`,
      `the point of ${pokesOut.tool.name} (${say(pokesOut.tip.value - pokesOut.fullDepth, units)}) would come through the other face; write “through” or less depth`,
    );
  return good(steps);
}

/** A need that no hole of the drawing meets, as a drill makes it. */
function drilledNeed(need: HoleNeed, setup: Setup): Wanted[] {
  if (holeServing(need, setup)) return [];
  const found = drillFor(need, setup);
  if (!found) return [];
  const diameter = found.tool.diameter ?? 0;
  return [{ ...need, depth: found.depth, atLeast: diameter, atMost: diameter, aim: diameter }];
}

/**
 * Every drill of a set-up, the narrowest and deepest first (trade: Order, HOLE-CHAIN): for the holes of the drawing, and
 * for what other tools need a hole for and the drawing has none; or why a hole cannot be drilled.
 */
export function drillsOf(setup: Setup): Result<DrillStep[]> {
  const needs = holeNeeds(setup);
  const drawn = setup.part.holes
    .filter(({ path }) => setup.drilled.includes(path))
    .map((hole) => wantedOf(hole, needs, setup));
  const needed = needs.flatMap((need) => drilledNeed(need, setup));
  const found: DrillStep[] = [];
  const problems: Problem[] = [];
  for (const wanted of [...drawn, ...needed].toSorted((a, b) => a.aim - b.aim)) {
    const steps = drillsFor(wanted, found, setup);
    if (steps.ok) found.push(...steps.value);
    else problems.push(...steps.problems);
  }
  return problems.length > 0 ? bad(...problems) : good(found);
}
