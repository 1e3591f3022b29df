import type { Figure } from '../figure';

/**
 * What holds a cut where it is, its depth or how fast it is fed: the least of everything that could allow more of it (trade: Cutting). A new limit is one more
 * name here, with its words.
 */
export type Limit =
  | 'stock'
  | 'material'
  | 'power'
  | 'holding'
  | 'bending'
  | 'bar'
  | 'finish'
  | 'tolerance'
  | 'chip'
  | 'shape'
  | 'winding'
  | 'again'
  | 'decided';
/** Each in words: what would have to be otherwise for a deeper cut. */
export const LIMITS: Record<Limit, string> = {
  stock: 'there is no more to take off',
  material: 'deeper is too much for this material on such a lathe',
  power: 'the motor gives no more at its speed and feed',
  holding: 'more force could turn the work in what holds it',
  bending: 'the work would give way into its finish',
  bar: 'the bar would give way',
  finish: 'it is what roughing left for it',
  tolerance: 'two equal cuts give way alike',
  chip: 'every pass takes the same chip',
  shape: 'the form goes so deep',
  winding: 'a hand turns its wheel so many times a minute',
  decided: 'so decided',
  again: 'no infeed: it takes what gave way',
};

/** What a pass asks of the machine and of the work. */
export interface PassLoad {
  /** Main force, N. */
  force?: Figure;
  /** Of what turns in a hole: torque, N·m, and thrust, N. */
  torque?: Figure;
  thrust?: Figure;
  /** At the spindle, kW. */
  power: Figure;
  /** How far the work gives way where it does most, mm; it comes out so much too large, twice on the diameter. */
  bends?: Figure;
  /** Ra that the nose leaves, µm. */
  roughness?: Figure;
  /** How its chip comes. */
  chip?: Chip;
}

/** How a chip comes: short of itself, broken by the cut, or long. */
export type Chip = 'short' | 'broken' | 'long';

/** In words. */
export const CHIPS: Record<Chip, string> = { short: 'short', broken: 'broken', long: 'long: clear it by a hook' };
