import { exactly } from '../model/part/size';
import type { Feature } from '../model/part/feature';
import type { Part, Step } from '../model/part/part';
import type { ShopForRun } from '../model/shop/shop';
import { CLOSE } from '../model/tolerances';
import { leavesFillet } from './operations/turned';

/** A step without the fillet at one of its ends, and what the fillet is cut out of, as high as it is. */
function besideFillet(step: Step, { path, name, z0, z1 }: Feature, high: number): Step[] {
  const free = (mm: number) => ({ ...exactly(mm), open: 'free' as const });
  const isBehind = Math.abs(z1 - step.zTo) < CLOSE;
  const [from, to] = isBehind ? [step.zFrom, z0] : [z1, step.zTo];
  const { middle } = step;
  const between = isBehind ? middle.to : middle.from;
  const plain = {
    ...step,
    zFrom: from,
    zTo: to,
    middle: isBehind ? { from: middle.from, to: between } : { from: between, to: middle.to },
  };
  const corner: Step = {
    path,
    name,
    diameter: free(2 * high),
    length: free(z1 - z0),
    zFrom: z0,
    zTo: z1,
    middle: { from: between, to: between },
    critical: false,
  };
  return isBehind ? [plain, corner] : [corner, plain];
}

/**
 * A part with the fillets that no nose leaves as forms of their own, to be walked in steps and blended (trade: Shop
 * arithmetic): each on a step as high as it is, which is roughed like any other.
 */
export function withWalkedFillets(part: Part, shop: Pick<ShopForRun, 'tools' | 'cutting'>): Part {
  return part.features.reduce<Part>((whole, feature) => {
    const arc = feature.kind === 'radius' ? feature.leaves?.[0]?.arc : undefined;
    const { z0, z1 } = feature;
    const step = whole.steps.find(
      ({ zFrom, zTo }) =>
        zFrom < z0 + CLOSE && zTo > z1 - CLOSE && (Math.abs(zTo - z1) < CLOSE || Math.abs(zFrom - z0) < CLOSE),
    );
    if (
      !arc ||
      !step ||
      step.zTo - step.zFrom < z1 - z0 + CLOSE ||
      shop.tools.some(leavesFillet(arc.radius, shop.cutting))
    )
      return whole;
    const { leaves = [], ...rest } = feature;
    return {
      ...whole,
      steps: whole.steps.flatMap((one) => (one === step ? besideFillet(step, feature, arc.r) : [one])),
      features: whole.features.map((one) => (one === feature ? { ...rest, outside: leaves } : one)),
    };
  }, part);
}
