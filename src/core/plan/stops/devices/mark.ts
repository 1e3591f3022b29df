import type { StopDevice } from './device';

/** A mark on the drill, for a depth that is free. */
export const mark = {
  means: 'mark',
  axis: 'quill',
  staysSet: true,
  shape: 'drop',
  words: () => 'mark on the tool',
  short: () => 'mark',
  byItself: (_, { stops }) => ({
    use: { name: 'to its mark', minutes: 0, per: 'operation' },
    ready: { name: 'tool marked', minutes: stops.markReady },
    spread: 2 * stops.markRepeats,
  }),
} as const satisfies StopDevice;
