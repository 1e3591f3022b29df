import type { StopDevice } from './device';

/** The figure of the read-out, which the carriage is brought to and which is read anew at every piece. */
export const readOut = {
  means: 'read-out',
  axis: 'carriage',
  places: ({ readOut: shows }) => (shows === 'none' ? 0 : Infinity),
  staysSet: false,
  words: () => 'by the read-out',
  short: () => 'read-out',
  use: (hand) => ({ name: 'carriage to the figure of the read-out', minutes: hand.readOut, everyPiece: true }),
} as const satisfies StopDevice;
