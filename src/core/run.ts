import type { Part } from './part/part';
import type { ShopForRun, BarCondition } from './shop/shop';
import type { UnitSystem } from './units/length';

/** How the pieces come off the stock. */
export type Way = 'from-bar' | 'sawn-blanks';

/** Stock that the run names. Lengths mm. */
export interface NamedStock {
  size: number;
  condition: BarCondition;
  barLength: number;
}

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
}

/** A run as the core plans it: everything in mm, everything resolved. */
export interface Run {
  part: Part;
  units: UnitSystem;
  quantity: number;
  stock: NamedStock | 'choose';
  way: Way | 'choose';
  allowances: RunAllowances;
  shop: ShopForRun;
}
