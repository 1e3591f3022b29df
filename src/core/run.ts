import type { Part } from './part/part';
import type { ShopForRun } from './shop/shop';
import type { BarOnSale } from './stock/bar';
import type { UnitSystem } from './units/length';

/** How the pieces come off the stock. */
export type Way = 'from-bar' | 'sawn-blanks';

/** Allowances that the run gives itself, mm; what is open comes from the shop. */
export interface RunAllowances {
  frontFacing?: number;
  backFacing?: number;
  firstEnd?: number;
  bladeWidth?: number;
  kerf?: number;
  gripRemnant?: number;
  jawClearance?: number;
  breakthrough?: number;
  /** A spigot, or an end with a centre hole, that a blank keeps to be held by. */
  spigot?: number;
}

/** A run as the core plans it: everything in mm, everything resolved. */
export interface Run {
  part: Part;
  units: UnitSystem;
  quantity: number;
  /** Pieces beyond the quantity; what is open comes from the shop. */
  spares?: number;
  stock: BarOnSale | 'choose';
  way: Way | 'choose';
  allowances: RunAllowances;
  shop: ShopForRun;
}
