import type { RiskKind } from './risk';

/** A set-up in which something is cut as hard as its hold bears. */
export const nearHold: RiskKind = (setups) =>
  setups.flatMap(({ setup: { number, holding }, operations }) => {
    const first = operations.find(({ passes }) => passes.some(({ limitedBy }) => limitedBy === 'holding'));
    return first
      ? [
          {
            price: 'nearHold' as const,
            because: `${first.name} goes to what ${holding.words} bears in set-up ${number}.`,
          },
        ]
      : [];
  });
