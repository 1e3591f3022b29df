import { sayFigure, sayFixed } from '../../model/units/mark';
import type { Chip } from '../../model/plan/passLoad';
import type { Operation } from '../../model/plan/operation';
import type { Setup } from '../../model/plan/setup';
import { say, type Caution } from '../../model/words';
import { roughnessOf } from './speed';

/** Whether a cut is heavy enough to break the chip of a material that makes long ones (trade: Cutting). */
export const breaksChip = (
  { feed, depth, nose }: { feed: number; depth: number; nose: number },
  { chipFeed, chipDepthTimes }: { chipFeed: number; chipDepthTimes: number },
): boolean => feed >= chipFeed - 1e-9 && depth >= chipDepthTimes * nose - 1e-9;

/** How the chip of a cut comes in the material of a shop. */
export function chipOf(cut: Parameters<typeof breaksChip>[0], { material, cutting }: Setup['run']['shop']): Chip {
  if (!material.stringy) return 'short';
  return breaksChip(cut, cutting) ? 'broken' : 'long';
}

/** What to mind of a finish of a diameter whose chip comes long, and which change breaks it (trade: Cutting). */
export function chipCaution({ tool, checks }: Operation, feed: number, depth: number, { run }: Setup): Caution[] {
  const { material, cutting } = run.shop;
  const { nose } = tool;
  const finishes = checks.some(({ measures }) => measures === 'outside' || measures === 'inside');
  if (!finishes || nose === undefined || depth <= 0 || chipOf({ feed, depth, nose }, run.shop) !== 'long') return [];
  const deep = cutting.chipDepthTimes * nose;
  const more = [
    ...(depth < deep - 1e-9 ? [`a cut of ${say(Number(deep.toFixed(2)), run.units)} a side`] : []),
    ...(feed < cutting.chipFeed
      ? [
          `a feed of ${sayFigure(cutting.chipFeed)} mm/rev, which leaves Ra ${sayFixed(roughnessOf(cutting.chipFeed, nose), 1)} µm,`,
        ]
      : []),
  ];
  return [
    {
      kind: 'mistake',
      text: `Too light to break the chip of ${material.name}: it comes long. More feed, a deeper cut or less speed: ${more.join(' and ')} ${more.length > 1 ? 'break' : 'breaks'} it; else stop and clear it with a hook.`,
    },
  ];
}
