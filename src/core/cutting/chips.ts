import type { Operation } from '../route/operation';
import type { Setup } from '../route/setup';
import { say, type Caution } from '../words';
import { roughnessOf } from './speed';

/** Whether a cut is heavy enough to break the chip of a material that makes long ones (handbook 6). */
export const breaksChip = (
  { feed, depth, nose }: { feed: number; depth: number; nose: number },
  { chipFeed, chipDepthTimes }: { chipFeed: number; chipDepthTimes: number },
): boolean => feed >= chipFeed - 1e-9 && depth >= chipDepthTimes * nose - 1e-9;

/** What to mind of a chip that does not break, and which change breaks it; nothing where it does. */
export function chipCaution({ tool }: Operation, feed: number, depth: number, { run }: Setup): Caution[] {
  const { material, cutting } = run.shop;
  const { nose } = tool;
  if (!material.stringy || nose === undefined || depth <= 0 || breaksChip({ feed, depth, nose }, cutting)) return [];
  const deep = cutting.chipDepthTimes * nose;
  const change =
    feed < cutting.chipFeed
      ? `a feed of ${cutting.chipFeed} mm/rev breaks it and leaves Ra ${roughnessOf(cutting.chipFeed, nose).toFixed(1)} µm`
      : `a cut of ${say(Number(deep.toFixed(2)), run.units)} a side breaks it`;
  return [
    {
      kind: 'mistake',
      text: `Too light to break the chip of ${material.name}: it comes long. More feed, a deeper cut or less speed: ${change}; else stop and clear it with a hook.`,
    },
  ];
}
