import type { Feature } from '../../model/part/feature';
import { exactly, type Size } from '../../model/part/size';
import type { Tool } from '../../model/shop/shop';
import { say, sayDiameter } from '../../model/words';
import type { Check } from '../../model/plan/operation';
import type { Setup } from '../../model/plan/setup';

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

/** The widest blade that goes in and reaches the bottom, its holder clear of what stands beside it: fewest plunges. */
export function bladeFor(groove: Feature, setup: Setup): Tool | undefined {
  return setup.run.shop.tools
    .filter(
      ({ does, width = Infinity, reach = 0, holder }) =>
        does.includes('groove') &&
        width <= groove.z1 - groove.z0 + 1e-6 &&
        reach >= depthOf(groove, setup, holder) - 1e-6,
    )
    .sort((a, b) => (b.width ?? 0) - (a.width ?? 0))[0];
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
