import { say } from '../../words';
import type { Setup } from '../setup';
import type { Look } from './doubt';

/** The set-up that makes a surface; the bar's own skin belongs to none, and what no set-up reaches to none either. */
const madeIn = (path: string, setups: readonly Setup[]): Setup | undefined =>
  setups.find(
    ({ end, turned, drilled, features }) =>
      turned.some((own) => own.path === path) ||
      drilled.includes(path) ||
      features.includes(path) ||
      path === `${end} face`,
  );

/** SAME-SETUP (handbook 5): surfaces tied by run-out in two set-ups run only as true as the second holding. */
export const sameSetup: Look = ({ part, units }, setups) =>
  part.ties.flatMap(({ of, to, limit, path }) => {
    const [one, other] = [madeIn(of, setups), madeIn(to, setups)];
    if (!one || !other || one === other) return [];
    const second = one.number > other.number ? one : other;
    const costs = second.holding.runOut;
    if (costs <= limit) return [];
    return [
      {
        path,
        rule: 'SAME-SETUP',
        because: `A run-out of ${say(limit, units)} is asked between surfaces that are made in two set-ups, and the second holding runs true to ${say(costs, units)} only: dial it in, or make both in one holding.`,
      },
    ];
  });
