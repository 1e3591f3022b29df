import type { RiskKind } from './risk';

/** A surface with limits of its own that a later set-up holds by. */
export const rechucked: RiskKind = (setups, { part }) =>
  setups.flatMap(({ setup: { holding, number } }) => {
    const size =
      part.steps.find(({ path }) => path === holding.grip)?.diameter ??
      part.holes.find(({ path }) => path === holding.grip)?.diameter;
    return size && size.from !== 'general' && number > 1
      ? [
          {
            price: 'rechucked' as const,
            because: `Set-up ${number} holds on ${holding.on}, which has limits of its own.`,
          },
        ]
      : [];
  });
