import { spread } from '@/core/drawing/layout';
import type { PlannedSetup } from '@/core/plan/times/planTimes';
import type { SheetLayout } from './sheetLayout';

/** Room that a pin's words want side by side, px, and the ends of the rail that pins may use. */
const WANTED = 74;
const LEAST = 60;
/** How far below the rail of the carriage that of the quill lies, px. */
export const QUILL = 8;
const [LEFT, RIGHT] = [150, 58];

/** Room for words that stand upright below the rail, px. */
export const UPRIGHT = 96;

/** Height of the rail of the cross-slide with its words, px. */
const ACROSS = 28;

/**
 * How the pins of a set-up stand: side by side, or with their words upright when there are many; below them the rail of the
 * cross-slide, where something stops that.
 */
export function stopsRail(
  { pins, crossStops }: Pick<PlannedSetup, 'pins' | 'crossStops'>,
  width: number,
): { gap: number; crowded: boolean; height: number; rail: number; across: number } {
  const gap = Math.min(WANTED, (width - LEFT - RIGHT) / Math.max(1, pins.length - 1));
  const crowded = gap < LEAST;
  const [height, rail] = crowded ? [106 + UPRIGHT, 82] : [78, 44];
  return { gap, crowded, height: height + (crossStops.length > 0 ? ACROSS : 0), rail, across: height + ACROSS / 2 - 4 };
}

/** Room that the words of a stop of the cross-slide want beside it, px. */
const ACROSS_WANTED = 190;

/** Where the stops of the cross-slide stand: below the place where the first that comes to each ends, px. */
export function crossPlaces({ crossStops, operations }: PlannedSetup, layout: SheetLayout): number[] {
  const places = crossStops.map(({ operations: keys }) => {
    const first = operations.find(({ key }) => keys.includes(key));
    return Math.max(layout.names - 40, Math.min(layout.right + 12, layout.x(first?.to ?? 0)));
  });
  return spread(places, ACROSS_WANTED, LEFT, layout.width - ACROSS_WANTED);
}

/** Where the pins of a set-up stand: over the place that each stops at, and where its head finds room on the rail, px. */
export function pinPlaces(planned: PlannedSetup, layout: SheetLayout): { places: number[]; heads: number[] } {
  const { pins } = planned;
  const { gap } = stopsRail(planned, layout.width);
  const places = pins.map(({ setting }) => Math.max(layout.names - 40, Math.min(layout.right + 12, layout.x(setting))));
  return { places, heads: spread(places, gap, LEFT, layout.width - RIGHT) };
}
