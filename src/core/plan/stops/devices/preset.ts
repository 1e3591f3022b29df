import type { StopDevice } from './device';

/** A figure that the read-out stores, with the tool's own zero: it counts down to nothing there. */
export const preset = {
  means: 'preset',
  axis: 'carriage',
  places: ({ readOut, presets = 0 }) => (readOut === 'none' ? 0 : presets),
  numbered: true,
  staysSet: true,
  shape: 'square',
  words: (place) => `preset ${place}`,
  short: (place) => `pre. ${place}`,
  byItself: (_, { machine, stops }) =>
    machine.readOut === 'none' || !machine.presets
      ? undefined
      : {
          use: { name: 'carriage to its preset', minutes: stops.presetUse, per: 'operation' },
          ready: { name: 'preset stored', minutes: stops.presetReady },
          spread: 2 * stops.readOutRepeats,
        },
} as const satisfies StopDevice;
