import type { Feature } from '../../model/part/feature';
import type { Part } from '../../model/part/part';
import type { Setup } from '../../model/plan/setup';
import { standsOut } from '../../model/shop/boringBar';
import type { Tool } from '../../model/shop/shop';
import { CLOSE } from '../../model/tolerances';
import { finishedPart } from '../../model/workpiece/finishedPart';

/** Radius of the core that an inside thread is cut in, and how deep it goes from there, mm. */
export function insideSizes({ size, thread }: Feature): { core: number; depth: number } {
  const core = (size?.aim ?? 0) / 2;
  return { core, depth: (thread?.diameter ?? 0) / 2 - core };
}

/** How far from the wall a tool is drawn back, mm: its point out of the thread, its back off the wall behind it. */
export const drawnBack = (feature: Feature, { run }: Pick<Setup, 'run'>): number =>
  Math.min(run.shop.allowances.approach, insideSizes(feature).depth);

/** Where behind a place a bore is first narrower than a radius: there the end of a bar meets metal. z of the view, mm */
function floorBehind(part: Part, from: number, radius: number): number {
  const behind = finishedPart(part).bore.filter(({ z1 }) => z1 > from + CLOSE);
  const narrow = behind.find(({ r0, r1 }) => Math.min(r0, r1) < radius - CLOSE);
  const ends = behind.at(-1)?.z1 ?? from;
  return narrow ? Math.max(from, narrow.z0) : ends > part.length - CLOSE ? Infinity : ends;
}

/** Whether a tool goes into the core with its point out of the way, and reaches the root, as far in as it is asked to, mm. */
const goesIn =
  (feature: Feature, setup: Pick<Setup, 'run'>, deepest: number) =>
  (tool: Tool): boolean =>
    tool.does.includes('inner-thread') &&
    standsOut(tool) >= insideSizes(feature).depth + drawnBack(feature, setup) - CLOSE &&
    (tool.least ?? Infinity) <= 2 * insideSizes(feature).core + CLOSE &&
    (tool.deep ?? 0) >= deepest - CLOSE;

const stoutestFirst = (a: Tool, b: Tool): number => (b.diameter ?? 0) - (a.diameter ?? 0);

/** How far the stoutest tool that cuts an inside thread stands on beyond its point, with what it stays short of a floor by, mm. */
export function aheadOfPoint(feature: Feature, setup: Pick<Setup, 'run'>): number {
  const [tool] = setup.run.shop.tools.filter(goesIn(feature, setup, feature.z1)).toSorted(stoutestFirst);
  return (tool?.ahead ?? 0) + setup.run.shop.allowances.tipShort;
}

/**
 * The stoutest tool for an inside thread whose end stays clear of what is narrower behind it.
 * @param ends where its point is farthest in, and where the bore that is made for it ends, z of the view, mm
 */
export function insideToolFor(
  feature: Feature,
  setup: Pick<Setup, 'run' | 'part'>,
  { tip, bored }: { tip: number; bored: number },
): Tool | undefined {
  const { tipShort } = setup.run.shop.allowances;
  const root = (feature.thread?.diameter ?? 0) / 2;
  const isClear = (tool: Tool) =>
    tip + (tool.ahead ?? 0) + tipShort <=
    Math.max(bored, floorBehind(setup.part, feature.z1, root - standsOut(tool))) + CLOSE;
  return setup.run.shop.tools
    .filter(goesIn(feature, setup, tip))
    .filter(isClear)
    .toSorted(stoutestFirst)[0];
}
