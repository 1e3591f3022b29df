import type { Part } from '../../model/part/part';
import type { ShopForRun, Tool } from '../../model/shop/shop';

/** How deep a centre drill goes: to half of its full diameter, so that it leaves no pocket wider than what follows. */
export const centreDepth = ({ flute = 0, diameter = 0 }: Tool): number => Math.min(flute, diameter);

/**
 * The centre drill for an end (trade: Safe holds): the largest whose seat is no more than its share of the work, and no
 * wider than the hole that follows; the smallest where all are larger.
 * @param work diameter that is left at that end, and of the hole, mm
 */
export function centreDrillFor({ tools, cutting }: ShopForRun, work: number, hole = Infinity): Tool | undefined {
  const bySize = tools
    .filter(({ does }) => does.includes('centre'))
    .toSorted((a, b) => (b.diameter ?? 0) - (a.diameter ?? 0));
  const most = Math.min(cutting.centreSeat * work, hole);
  return bySize.find(({ diameter = 0 }) => diameter <= most + 1e-6) ?? bySize.at(-1);
}

/** The diameter that is left at the end that a view of the part looks out with, mm. */
export const endDiameter = ({ steps }: Part): number => steps[0]?.diameter.nominal ?? 0;
