import type { Way } from '../way';
import type { Reason } from '../words';
import type { BarCondition, StockForm, Tool } from '../shop/shop';
import type { Figure } from '../figure';
import type { Feature } from '../part/feature';
import type { Profile } from '../workpiece/segment';

/** A piece as it arrives, z from the finished front face, mm. */
export interface Piece {
  outside: Profile;
  bore: Profile;
  /** What is cut into it: z from the finished front face of the part. */
  features: Feature[];
  /** What stands before the finished front face, and behind the back one. */
  ahead: number;
  behind: number;
  /** Of unknown strength, as its maker or a weld left it. */
  grade?: string;
}

/** A bar as it is sold, or a piece as it arrives. Lengths mm. */
export interface BarOnSale {
  form: StockForm;
  condition: BarCondition;
  /** Diameter, or across the flats. */
  size: number;
  /** Bore of a tube. */
  bore: number;
  barLength: number;
  pricePerKilogram: number;
  /** Of a piece as it arrives: what there is of it. */
  piece?: Piece;
  /** Nobody sells it: it is there, or it is not. */
  rackOnly?: boolean;
  /** Beyond the list: a dealer cuts it to order. */
  toOrder?: true;
}

/** A bar that the part can be made from. */
export interface Bar extends BarOnSale {
  /** Diameter over its corners; of a round bar its size. */
  over: number;
  /** The smallest bar that cleans up, with its working. */
  need: Figure;
  /** Steps and holes that stay as the bar was drawn (paths). */
  asDrawn: string[];
  reasons: Reason[];
}

/** What is bought and how it is divided. Lengths mm. */
export interface BoughtStock extends Bar {
  way: Way;
  frontFacing: number;
  backFacing: number;
  /** Left on a blank until its second set-up to hold it by; at the free end of a blank or of the bar for a centre. */
  spigot: number;
  centreEnd: number;
  /** Only from the bar. */
  blade?: Blade;
  /** Pitch from the bar, or the length of a blank. */
  each: Figure;
  gripRemnant: Figure;
  /** Cut off the end of a fresh bar before its first piece. */
  firstEnd: number;
  /** Of the saw. */
  kerf: number;
  /** Lengths that a bar is cut into to pass the spindle, and the longest that passes. */
  lengths: number;
  longest: number;
  jawClearance: number;
  breakthrough: number;
  /** Pieces to make: the quantity and its spares. */
  toMake: Figure;
  piecesPerBar: Figure;
  bars: Figure;
  leftOver: Figure;
  mass: Figure;
}

export interface Blade {
  tool: Tool;
  /** As measured, mm. */
  width: number;
}

/** What the stock of a run costs: what is bought, and the minutes of turning the rest into swarf (trade: Stock). */
export interface StockCost {
  material: Figure;
  swarf: Figure;
  /** Having bars come in; nothing when enough is free on the rack, or nothing is known of it. */
  order: Figure;
  /** Milling flats that the bar does not bring. */
  milling: Figure;
  total: Figure;
}

/** The stock of a run: the bar, how it is divided, what it costs. */
export interface Stock extends BoughtStock {
  cost: StockCost;
}

/** How long each of the lengths is that a bar is cut into, mm. */
export const lengthCut = ({ barLength, lengths, kerf }: Pick<BoughtStock, 'barLength' | 'lengths' | 'kerf'>): number =>
  (barLength - (lengths - 1) * kerf) / lengths;
