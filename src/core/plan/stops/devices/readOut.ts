import type { StopDevice } from './device';

/** The figure of the read-out, which the carriage is brought to and which is read anew at every piece. */
export const readOut = {
  means: 'read-out',
  axis: 'carriage',
  staysSet: false,
  shape: 'square',
  words: () => 'by the read-out',
  short: () => 'read-out',
  byItself: (_, { machine, hand, stops }) =>
    machine.readOut === 'none'
      ? undefined
      : {
          use: { name: 'carriage to the figure of the read-out', minutes: hand.readOut, per: 'operation' },
          spread: 2 * stops.readOutRepeats,
        },
} as const satisfies StopDevice;
