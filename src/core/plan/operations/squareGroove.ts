import type { Feature } from '../../model/part/feature';
import { exactly, type Size } from '../../model/part/size';
import type { Tool } from '../../model/shop/shop';
import { say, sayDiameter } from '../../model/words';
import type { Check } from '../../model/plan/operation';
import type { Setup } from '../../model/plan/setup';
import { CLOSE } from '../../model/tolerances';
import { minutesOfCuts } from '../cutting/estimate';

/** A square groove, or a recess between larger steps: straight down. Rounded corners want a form tool. */
export const isSquare = ({ kind, outside }: Feature): boolean =>
  (kind === 'groove' || kind === 'recess') && outside?.length === 1;

/** Radius of the metal that a groove is cut into, and that stands so far beside it, mm. */
const outerOf = ({ z0, z1 }: Feature, { part, turned, outerRadius, earlier, stock }: Setup, beside = 0): number =>
  Math.max(
    ...part.steps
      .filter(({ zFrom, zTo }) => zFrom < z1 + beside - 1e-6 && zTo > z0 - beside + 1e-6)
      .map(({ path, diameter }) =>
        turned.some((step) => step.path === path) || earlier.includes(path) || stock.asDrawn.includes(path)
          ? diameter.aim / 2
          : Math.max(outerRadius, diameter.aim / 2),
      ),
  );

/** The diameter at the bottom of a groove. */
export const bottomOf = ({ size }: Feature): Size => size ?? exactly(0);

/** How deep a groove goes below what stands so far beside it, a side, mm. */
export const depthOf = (groove: Feature, setup: Setup, beside = 0): number =>
  outerOf(groove, setup, beside) - bottomOf(groove).aim / 2;

/** The blades that go into a groove and reach its bottom, their holders clear of what stands beside it; the widest first. */
const bladesFor = (groove: Feature, setup: Setup): Tool[] =>
  setup.run.shop.tools
    .filter(
      ({ does, width = Infinity, reach = 0, holder }) =>
        does.includes('groove') &&
        width <= groove.z1 - groove.z0 + CLOSE &&
        reach >= depthOf(groove, setup, holder) - CLOSE,
    )
    .sort((a, b) => (b.width ?? 0) - (a.width ?? 0));

/** Minutes of the plunges of a blade in a groove, and of its way along the bottom: to compare by. */
function plungingMinutes(groove: Feature, tool: Tool, setup: Setup): number {
  const { width = 0 } = tool;
  const deep = depthOf(groove, setup);
  const count = plunges(groove.z0, groove.z1, width, setup.run.shop.cutting.plungeStep).length;
  const minutes = minutesOfCuts({ kind: 'groove', tool }, bottomOf(groove).aim + 2 * deep, setup);
  return minutes(count, deep) + (count > 1 ? minutes(1, groove.z1 - groove.z0 - width) : 0);
}

/**
 * The blade for a groove: the widest, which makes the fewest plunges, or the one that parts off here all the same where the
 * change that it saves takes longer than its plunges (trade: Small practices).
 */
export function bladeFor(groove: Feature, setup: Setup): Tool | undefined {
  const blades = bladesFor(groove, setup);
  const [widest] = blades;
  const parting = setup.partsOff ? blades.find(({ id }) => id === setup.stock.blade?.tool.id) : undefined;
  if (!widest || !parting || parting === widest) return widest;
  // Where others are cut by the widest as well, the change is saved by all of them together.
  const alike = setup.part.features.filter(
    (other) => isSquare(other) && setup.features.includes(other.path) && bladesFor(other, setup)[0] === widest,
  ).length;
  const saved = setup.run.shop.handMinutes.changePost / Math.max(1, alike);
  const longer = plungingMinutes(groove, parting, setup) - plungingMinutes(groove, widest, setup);
  return longer < saved ? parting : widest;
}

/** Where the blade goes in, z of its right edge: on both edges, and between them by steps that overlap (trade: Shop arithmetic). */
export function plunges(z0: number, z1: number, blade: number, most: number): number[] {
  const rest = z1 - z0 - blade;
  if (rest < 1e-6) return [z0];
  const steps = Math.ceil(rest / (most * blade) - 1e-9);
  return Array.from({ length: steps + 1 }, (_, index) => z0 + (rest * index) / steps);
}

/** What is measured of a groove: its bottom, and its width and place where they have limits of their own. */
export function checksOf(groove: Feature, { run }: Setup): Check[] {
  const { size, place } = groove;
  const bottom = bottomOf(groove);
  const across = groove.dimensions.find((dimension) => dimension.kind === 'length')?.size;
  const length = (what: string, of: Size): Check => ({
    what: `${what} ${say(of.nominal, run.units)}`,
    measures: 'length',
    size: of,
  });
  return [
    { what: `groove bottom ${sayDiameter(bottom.nominal, run.units)}`, measures: 'outside', size: bottom },
    ...(size && across ? [length('groove width', across)] : []),
    ...(place?.size.from === 'limits' ? [length('place of the groove', place.size)] : []),
  ];
}
