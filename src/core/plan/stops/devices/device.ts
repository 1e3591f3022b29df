import type { Machine } from '../../../model/shop/machine';
import type { Serve } from '../choose/problem';
import type { Axis, Demand, Ground, Use } from '../demand';

/** What of a means serves a place, beside which it is. */
export interface With {
  /** Spacers laid in, the longest first, mm; the last is made for it. */
  spacers?: number[];
  made?: true;
  feeler?: number;
  /** By the scale, with nothing set. */
  scale?: true;
}

/** A means for one place: its use, its full spread and what it takes once. */
export interface ByItself extends Omit<Serve, 'minutes'> {
  use: Use;
  /** To make it ready, once: what, and minutes. */
  ready?: { name: string; minutes: number };
  with?: With;
}

/** A means that is made ready at a setting and then serves every place that it reaches. */
export interface MadeReady {
  setting: number;
  ready: { name: string; minutes: number };
  /** It stops the slide bodily: what is deeper lets every tool go so deep. */
  hard: boolean;
  serves(demand: Demand): ByItself | undefined;
}

/**
 * A means by which a place repeats (trade: Stops). A new one is one new file in `plan/stops/devices`, listed in its index:
 * the choice, pins, minutes, words, drawing and the plan file follow from it.
 */
export interface StopDevice {
  means: string;
  /** The slide that it stops. */
  axis: Axis;
  /** How many of them a machine has; without it there are as many as are wanted. */
  places?(machine: Machine): number;
  /** Its places are numbered. */
  numbered?: true;
  /** Set when the machine is set up, and there for every piece. */
  staysSet: boolean;
  /** How its pins are drawn: round stands by itself, square is a figure, a diamond a needle, a drop hangs on the tool, open is come to anew. */
  shape: 'round' | 'square' | 'diamond' | 'drop' | 'open';
  /** In words, and in short where its neighbours are near. */
  words(place: number | undefined): string;
  short(place: number | undefined): string;
  /** For one place; nothing where it does not serve that. */
  byItself?(demand: Demand, ground: Ground): ByItself | undefined;
  /** What may be made ready of it. */
  madeReady?(ground: Ground): MadeReady[];
}
