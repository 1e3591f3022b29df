import { gaugeFor } from '../../../model/shop/gauge';
import type { Demand, Ground } from '../demand';
import type { ByItself, StopDevice } from './device';

/** The gauge that reads what is fixed at a place; without a size of its own any for lengths. */
function gaugeAt({ cuts }: Demand, { gauges }: Ground) {
  const checks = cuts.flatMap((cut) => cut.checks.filter(({ measures }) => measures === 'length'));
  const check = checks.sort((a, b) => width(a.size) - width(b.size))[0];
  return gaugeFor(check ?? { what: 'length', measures: 'length' }, gauges);
}

const width = (size: { upper: number; lower: number } | undefined): number =>
  size ? size.upper - size.lower : Infinity;

const measure = (demand: Demand, ground: Ground): ByItself => {
  const { hand, stops } = ground;
  const gauge = gaugeAt(demand, ground);
  return {
    use: {
      name: 'measured and cut to',
      minutes: hand.approach + stops.measuredCut + (gauge?.minutes ?? 0),
      per: 'operation',
    },
    spread: 2 * (gauge?.repeats ?? 0),
    measured: true,
  };
};

const words = { staysSet: false, shape: 'open', words: () => 'measured and cut to', short: () => 'meas.' } as const;

/** The length is measured before the last cut, and cut to: always possible. */
export const measured = {
  means: 'measured',
  axis: 'carriage',
  ...words,
  byItself: measure,
} as const satisfies StopDevice;

/** The same of a depth. */
export const measuredDepth = { ...measured, axis: 'quill' } as const satisfies StopDevice;
