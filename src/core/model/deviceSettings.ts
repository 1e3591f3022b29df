import type { UnitSystem } from './units/length';

/** Decimal mark of the tables that a device gives out; with a comma their columns are told apart by semicolons. */
export type DecimalMark = 'point' | 'comma';

/** How one device wants things, whoever works at it. */
export interface DeviceSettings {
  /** Units that a new run begins in. */
  units: UnitSystem;
  mark: DecimalMark;
  /** Day on which the week begins, from Monday as 0. */
  weekFrom: 0 | 5 | 6;
}

/** What a device has that was told nothing. */
export const USUAL_SETTINGS: DeviceSettings = { units: 'mm', mark: 'point', weekFrom: 0 };
