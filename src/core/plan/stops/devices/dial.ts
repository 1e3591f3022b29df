import type { StopDevice } from './device';

/** Turns and divisions of the carriage's handwheel, from its one zero at the face; beyond a few turns one is miscounted. */
export const dial = {
  means: 'dial',
  axis: 'carriage',
  places: ({ carriageDial }) => (carriageDial ? 1 : 0),
  staysSet: false,
  shape: 'square',
  words: () => 'by the dial',
  short: () => 'dial',
  madeReady({ machine: { carriageDial }, stops }) {
    if (!carriageDial) return [];
    return [
      {
        setting: 0,
        hard: false,
        ready: { name: 'dial of the carriage zeroed', minutes: stops.dialReady },
        serves({ axis, setting }) {
          const turns = Math.abs(setting) / carriageDial.travel;
          if (axis !== 'carriage' || turns > stops.dialTurns) return undefined;
          return {
            use: {
              name: 'carriage by its dial',
              minutes: stops.dialUse + stops.dialTurn * turns,
              per: 'operation' as const,
            },
            // Half a division either way.
            spread: carriageDial.travel / carriageDial.divisions,
          };
        },
      },
    ];
  },
} as const satisfies StopDevice;
