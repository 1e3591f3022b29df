import type { Way } from './way';
import type { BarOnSale } from './plan/stock';
import type { Overrule } from './overrule';
import type { Part } from './part/part';
import type { ShopForRun } from './shop/shop';
import type { UnitSystem } from './units/length';
import type { Reason } from './words';

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
  /** Left on a blank until its second set-up, to be held by; or as long as the hold needs, under a centre or not. */
  spigot?: number | 'choose' | 'choose-centred';
  /** Left on the free end of a blank for a centre, and cut off when the turning is done. */
  centreEnd?: number | 'choose';
}

/** What somebody wrote to an operation. */
export interface OperationNote {
  operation: string;
  text: string;
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
  /** Which end is worked first. */
  firstEnd: 'front' | 'back' | 'choose';
  allowances: RunAllowances;
  overrules: Overrule[];
  /** What somebody wrote to operations, by their keys; nothing is planned by it. */
  notes: OperationNote[];
  shop: ShopForRun;
  /** Why its material was taken, where several would do. */
  takenBecause?: Reason[];
}
