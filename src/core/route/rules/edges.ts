import { turns, type Rule } from './rule';

export const edgeAfterSurfaces: Rule = {
  id: 'EDGE-AFTER-SURFACES',
  strength: 'H',
  before: (before, after, { part, run }) => {
    if (after.kind !== 'chamfer' || !turns(before)) return undefined;
    const chamfer = part.chamfers.find(({ path }) => path === after.feature);
    if (!chamfer) return undefined;
    const makesDiameter = before.feature === chamfer.step;
    // Roughing ends that much before it.
    const makesShoulder = Math.abs(before.to - chamfer.z) <= run.shop.allowances.shoulder + 1e-6;
    return makesDiameter || makesShoulder ? 'An edge is broken when both surfaces that make it are there.' : undefined;
  },
};

export const edgeBeforeLoss: Rule = {
  id: 'EDGE-BEFORE-LOSS',
  strength: 'H',
  before: (before, after) =>
    before.kind === 'chamfer' && after.kind === 'part-off'
      ? 'This edge is reached now and not after the piece is off.'
      : undefined,
};
