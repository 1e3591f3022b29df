import type { Feature } from '../../model/part/feature';
import { CLOSE } from '../../model/tolerances';
import type { Setup } from '../../model/plan/setup';
import { say } from '../../model/words';

/** What is left in the corner before a shoulder, mm: the fillet of the drawing, or what the nose of the finishing tool leaves. */
function leftInCorner(z: number, { part, run }: Setup): number {
  const at = part.steps.findIndex(({ zFrom }) => Math.abs(zFrom - z) < CLOSE);
  const [before, behind] = [part.steps[at - 1], part.steps[at]];
  if (!before || !behind || behind.diameter.aim <= before.diameter.aim + CLOSE) return 0;
  const nose = run.shop.tools.find(({ does }) => does.includes('turn-finish'))?.nose ?? 0;
  const fillet = part.features.find(({ kind, leaves, z1 }) => kind === 'radius' && leaves && Math.abs(z1 - z) < CLOSE);
  return Math.max(nose, fillet?.leaves?.[0]?.arc?.radius ?? 0);
}

/**
 * Where something ends that is run on or rolled along a diameter: before a shoulder not in its corner, where a nose has left metal
 * (trade: Small practices). z of the set-up, mm, and why in words, nothing where no corner is.
 */
export function offCorner({ z1 }: Feature, setup: Setup): { to: number; does: string[] } {
  const left = leftInCorner(z1, setup);
  const does =
    left > 0 ? [`It ends ${say(left, setup.run.units)} before the shoulder: so much is left in its corner.`] : [];
  return { to: z1 - left, does };
}
