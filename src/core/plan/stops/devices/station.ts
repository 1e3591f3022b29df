import type { StopDevice } from './device';

/** A screw of the carriage stop. */
export const station = {
  means: 'station',
  axis: 'carriage',
  places: ({ stations }) => stations,
  staysSet: true,
  words: (place) => `station ${place}`,
  short: (place) => `st. ${place}`,
  use: (hand) => ({ name: 'move the stop to its station', minutes: hand.station, onlyWhenMoved: true }),
} as const satisfies StopDevice;
