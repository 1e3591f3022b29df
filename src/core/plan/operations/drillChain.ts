import { orificesOf } from '../reach/orifices';
import { pointLength } from '../../model/workpiece/drillPoint';
import { term, sum, type Figure } from '../../model/figure';
import type { Hole } from '../../model/part/part';
import type { Size } from '../../model/part/size';
import { collect, good, refuse, type Result } from '../../model/result';
import type { Tool } from '../../model/shop/shop';
import { say, sayDiameter } from '../../model/words';
import type { Setup } from '../../model/plan/setup';
import { fullDepthOf } from './fullDepth';
import { drillFor, holeServing, type HoleNeed } from './holeNeed';
import { holeNeeds } from './holeNeeds';

/** One drill that goes into one hole. */
export interface DrillStep {
  feature: string;
  tool: Tool;
  through: boolean;
  pilot: boolean;
  /** What another tool needs the hole for; undefined for a hole of the drawing. */
  purpose?: string;
  /** The size that a hole of the drawing is measured to. */
  size?: Size;
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

function drillsFor(wanted: Wanted, setup: Setup): Result<DrillStep[]> {
  const { shop, units } = setup.run;
  const { feature, through, atLeast, atMost, aim, purpose, size } = wanted;
  const fullDepth = fullDepthOf(wanted, setup);
  const drill = findDrill(setup, feature, atLeast, atMost, aim, fullDepth.value);
  if (!drill.ok) return drill;
  const { cutting, material, houseRules } = shop;
  // A tube is open already: the drill follows its bore.
  const wantsPilot =
    setup.stock.bore === 0 && houseRules.pilot === 'tough-over-12' && material.tough && aim > cutting.pilotOver;
  const pilotAim = aim * cutting.pilotFraction;
  const pilot = wantsPilot
    ? findDrill(setup, feature, pilotAim, pilotAim + cutting.pilotWithin, pilotAim, fullDepth.value)
    : undefined;
  if (pilot && !pilot.ok) return pilot;
  const step = (tool: Tool, isPilot: boolean): DrillStep => ({
    feature,
    tool,
    through,
    pilot: isPilot,
    ...(purpose ? { purpose } : {}),
    ...(size && !isPilot ? { size } : {}),
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
  const steps = [...(pilot?.ok ? [step(pilot.value, true)] : []), step(drill.value, false)];
  const pokesOut = through ? undefined : steps.find(({ tip }) => tip.value > setup.part.length - 1e-6);
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
  const steps = collect([...drawn, ...needed].sort((a, b) => a.aim - b.aim).map((wanted) => drillsFor(wanted, setup)));
  return steps.ok ? good(steps.value.flat()) : steps;
}
