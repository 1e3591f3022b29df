import { pointLength } from '../../cutting/speed';
import { term, sum, type Figure } from '../../figure';
import type { Hole } from '../../part/part';
import { collect, good, refuse, type Result } from '../../result';
import type { Tool } from '../../shop/shop';
import { say, sayDiameter } from '../../words';
import type { Setup } from '../setup';

/** One drill that goes into one hole. */
export interface DrillStep {
  feature: string;
  hole: Hole;
  tool: Tool;
  pilot: boolean;
  /** Where the full diameter ends, and where the tip stops. */
  fullDepth: number;
  tip: Figure;
}

/** How deep the full diameter goes (handbook 3): a through hole past the blade, or past the blank's far end. */
export function fullDepthOf(hole: Pick<Hole, 'through' | 'depth'>, { part, stock, partsOff, behind }: Setup): Figure {
  if (!hole.through) return sum('full depth', 'mm', [term('t', 'depth on the drawing', hole.depth, 'mm', 'drawing')]);
  return sum('full depth', 'mm', [
    term('L', 'length of the part', part.length, 'mm', 'drawing'),
    term('k', 'facing allowance behind it', behind, 'mm', 'computed'),
    term('w', partsOff ? 'blade width' : 'no blade', partsOff ? (stock.blade?.width ?? 0) : 0, 'mm', 'tool'),
    term('b', 'breakthrough', stock.breakthrough, 'mm', 'start value'),
  ]);
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
  const long = fitting.filter(({ flute = 0 }) => flute >= depth - 1e-6);
  if (long[0]) return good(long[0]);
  return refuse(
    `${path}.depth`,
    `${say(depth, units)} is deeper than the flute of ${fitting[0]?.name ?? 'the drill'} (${say(fitting[0]?.flute ?? 0, units)})`,
  );
}

function drillsOfHole(hole: Hole, setup: Setup): Result<DrillStep[]> {
  const { shop, units } = setup.run;
  const fullDepth = fullDepthOf(hole, setup);
  const { nominal, lower, upper } = hole.diameter;
  const drill = findDrill(setup, hole.path, nominal + lower, nominal + upper, nominal, fullDepth.value);
  if (!drill.ok) return drill;
  const { cutting, material, houseRules, machine } = shop;
  // A tube is open already: the drill follows its bore.
  const wantsPilot =
    setup.stock.bore === 0 && houseRules.pilot === 'tough-over-12' && material.tough && nominal > cutting.pilotOver;
  const pilotAim = nominal * cutting.pilotFraction;
  const pilot = wantsPilot
    ? findDrill(setup, hole.path, pilotAim, pilotAim + cutting.pilotWithin, pilotAim, fullDepth.value)
    : undefined;
  if (pilot && !pilot.ok) return pilot;
  const step = (tool: Tool, isPilot: boolean): DrillStep => ({
    feature: hole.path,
    hole,
    tool,
    pilot: isPilot,
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
  const tooDeep = steps.find(({ tip }) => tip.value > machine.quillTravel);
  if (tooDeep)
    return refuse(
      `${hole.path}.depth`,
      `the quill travels ${say(machine.quillTravel, units)}, and the tip goes ${say(tooDeep.tip.value, units)} deep`,
    );
  const pokesOut = hole.through ? undefined : steps.find(({ tip }) => tip.value > setup.part.length - 1e-6);
  if (pokesOut)
    return refuse(
      `${hole.path}.depth`,
      `the point of ${pokesOut.tool.name} (${say(pokesOut.tip.value - pokesOut.fullDepth, units)}) would come through the other face; write “through” or less depth`,
    );
  return good(steps);
}

/** Every drill of a set-up, the narrowest and deepest first (handbook 5, HOLE-CHAIN), or why a hole cannot be drilled. */
export function drillsOf(setup: Setup): Result<DrillStep[]> {
  const holes = setup.part.holes
    .filter(({ path }) => setup.drilled.includes(path))
    .sort((a, b) => a.diameter.nominal - b.diameter.nominal);
  const steps = collect(holes.map((hole) => drillsOfHole(hole, setup)));
  return steps.ok ? good(steps.value.flat()) : steps;
}
