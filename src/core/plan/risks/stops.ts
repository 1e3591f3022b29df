import { say } from '../../model/words';
import type { RiskKind } from './risk';

/** Lengths that no stop holds closely enough: they are measured and cut to. */
export const measuredOnly: RiskKind = (setups, { units }) =>
  setups.flatMap(({ pins, setup }) =>
    pins
      .filter(({ means }) => means === 'measured')
      .map(({ setting }) => ({
        price: 'measuredOnly' as const,
        because: `${say(Number(setting.toFixed(3)), units)} in set-up ${setup.number} is measured and cut to: no stop of the machine repeats so closely.`,
      })),
  );

/** Stops of a set-up of which a wrong one spoils the piece: one word for all of them. */
export const wrongStop: RiskKind = (setups) =>
  setups.flatMap(({ pins, setup }) => {
    const minutes = pins.reduce((sum, { spoils = 0 }) => sum + spoils, 0);
    return minutes > 0
      ? [
          {
            price: 'wrongStop' as const,
            minutes,
            because: `A wrong station or a spacer forgotten in set-up ${setup.number} cuts into the work.`,
          },
        ]
      : [];
  });
