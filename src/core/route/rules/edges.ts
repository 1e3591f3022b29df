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

export const grooveAfterOd: Rule = {
  id: 'GROOVE-AFTER-OD',
  strength: 'S',
  before: (before, after, { part }) => {
    if (after.kind !== 'groove' || before.kind !== 'turn-finish') return undefined;
    const step = part.steps.find(({ path }) => path === before.feature);
    const under = step && step.zFrom < after.to - 1e-6 && step.zTo > after.from + 1e-6;
    return under ? 'The diameter that a groove sits in is finished first: the groove has no burr then.' : undefined;
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
