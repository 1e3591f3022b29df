import type { StopDevice } from './device';

/** Where no station is left: the carriage is brought there anew at every piece. */
export const eachTime = {
  means: 'each-time',
  axis: 'carriage',
  staysSet: false,
  words: () => 'set each time',
  short: () => 'each',
  use: (hand) => ({ name: 'set the stop each time', minutes: hand.setStop }),
} as const satisfies StopDevice;
