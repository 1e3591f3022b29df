import type { StopDevice } from './device';

/** Where nothing else stands: the stop of the carriage is set there anew each time. */
export const eachTime = {
  means: 'each-time',
  axis: 'carriage',
  staysSet: false,
  shape: 'open',
  words: () => 'set each time',
  short: () => 'each',
  byItself: (_, { hand, stops }) => ({
    use: { name: 'set the stop each time', minutes: hand.setStop, per: 'anew' },
    spread: 2 * stops.eachRepeats,
  }),
} as const satisfies StopDevice;

/** The same of the quill: its stop is set on another reading. */
export const quillEachTime = { ...eachTime, axis: 'quill' } as const satisfies StopDevice;
