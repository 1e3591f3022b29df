import type { Corner, LineUse, Mark } from './marks';

/** The sheet to draw on, in its own units. */
export interface Sheet {
  width: number;
  height: number;
  textHeight: number;
  /** Scales that a drawing may have, largest first; without them any that fits. */
  scales?: readonly number[];
}

/** Where z and radius come to lie. */
export interface Frame {
  x: (z: number) => number;
  y: (r: number) => number;
}

/** A line as a mark. */
export const line = (use: LineUse, corners: Corner[], of?: string): Mark => ({
  kind: 'line',
  use,
  corners,
  ...(of ? { of } : {}),
});
