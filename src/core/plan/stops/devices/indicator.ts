import type { StopDevice } from './device';

/** An indicator against the carriage: set on one place it reads every other within its travel. */
export const indicator = {
  means: 'indicator',
  axis: 'carriage',
  places: ({ indicator: travel }) => (travel ? 1 : 0),
  staysSet: true,
  shape: 'diamond',
  words: () => 'by the indicator',
  short: () => 'indic.',
  madeReady({ demands, machine: { indicator: travel = 0 }, stops }) {
    if (travel === 0) return [];
    return demands
      .filter(({ axis }) => axis === 'carriage')
      .map(({ setting }) => ({
        setting,
        hard: false,
        ready: { name: 'indicator mounted and set', minutes: stops.indicatorReady },
        serves: (demand) =>
          demand.axis === 'carriage' && demand.setting <= setting + 1e-6 && demand.setting >= setting - travel
            ? {
                use: { name: 'carriage to the indicator', minutes: stops.indicatorUse, per: 'visit' as const },
                spread: 2 * stops.indicatorRepeats,
              }
            : undefined,
      }));
  },
} as const satisfies StopDevice;
