import { isSamePlace } from '../demand';
import type { StopDevice } from './device';

/** The stop of the quill, set on a reading; or its scale, read each time: the start reading and the depth. */
export const quill = {
  means: 'quill',
  axis: 'quill',
  places: ({ quillStops = 0 }) => quillStops,
  staysSet: true,
  shape: 'drop',
  words: () => 'quill',
  short: () => 'quill',
  // Going there is the quill's own element; only what is set or read counts here.
  byItself: (_, { stops }) => ({
    use: { name: 'scale of the quill', minutes: 0, per: 'operation' },
    ready: { name: 'start of the quill read', minutes: stops.quillReady },
    spread: 2 * stops.quillScaleRepeats,
    with: { scale: true },
  }),
  madeReady: ({ demands, stops }) =>
    demands
      .filter(({ axis }) => axis === 'quill')
      .map((at) => ({
        setting: at.setting,
        hard: false,
        ready: { name: 'stop of the quill set', minutes: stops.quillReady },
        serves: (demand) =>
          isSamePlace(demand, at)
            ? {
                use: { name: 'stop of the quill', minutes: 0, per: 'visit' as const },
                spread: 2 * stops.quillStopRepeats,
              }
            : undefined,
      })),
} as const satisfies StopDevice;
