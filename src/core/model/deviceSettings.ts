import type { UnitSystem } from './units/length';

/** Decimal mark of the figures that a device shows and gives out; with a comma, columns of its tables are told apart by semicolons. */
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
