import { spread } from '@/core/drawing/layout';
import type { PlannedSetup } from '@/core/plan/times/planTimes';
import type { SheetLayout } from './sheetLayout';

/** Room that a pin's words want side by side, px, and the ends of the rail that pins may use. */
const WANTED = 74;
const LEAST = 60;
/** How far below the rail of the carriage that of the quill lies, px. */
export const QUILL = 8;
const [LEFT, RIGHT] = [150, 58];

/** How the pins of a set-up stand: side by side, or with their words upright when there are many. */
export function stopsRail(
  pins: number,
  width: number,
): { gap: number; crowded: boolean; height: number; rail: number } {
  const gap = Math.min(WANTED, (width - LEFT - RIGHT) / Math.max(1, pins - 1));
  return gap < LEAST ? { gap, crowded: true, height: 156, rail: 82 } : { gap, crowded: false, height: 78, rail: 44 };
}

/** Where the pins of a set-up stand: over the place that each stops at, and where its head finds room on the rail, px. */
export function pinPlaces({ pins }: PlannedSetup, layout: SheetLayout): { places: number[]; heads: number[] } {
  const { gap } = stopsRail(pins.length, layout.width);
  const places = pins.map(({ setting }) => Math.max(layout.names - 40, Math.min(layout.right + 12, layout.x(setting))));
  return { places, heads: spread(places, gap, LEFT, layout.width - RIGHT) };
}
