import type { StopDevice } from './device';

/** The stop or the scale of the quill. */
export const quill = {
  means: 'quill',
  axis: 'quill',
  staysSet: true,
  words: () => 'quill',
  short: () => 'quill',
} as const satisfies StopDevice;
