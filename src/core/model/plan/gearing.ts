/**
 * Wheels between spindle and leadscrew, from the spindle on: each driver meshes with the driven one of its place, and a driven one
 * shares its stud with the next driver.
 */
export interface GearTrain {
  drivers: number[];
  driven: number[];
  /** Between the first driver and what it drives: they bridge, and give the hand. */
  idlers: number[];
  /** What it cuts, mm. */
  pitch: number;
  /** Parts per million, signed. */
  error: number;
}

/** Whether the half-nuts may be opened between passes, and where they are closed again. */
export type HalfNuts =
  | { open: 'anywhere' }
  /** At every mark of the thread dial, every second…, or always the same; and how far the carriage goes meanwhile, mm. */
  | { open: 'at-marks'; every: number; same: boolean; apart: number }
  | { open: 'never' };

/** How far a pitch is off, in words: `+12 ppm`; less than half of one is exact. */
export const sayPpm = (error: number): string =>
  Math.abs(error) < 0.5 ? 'exact' : `${error > 0 ? '+' : '−'}${Math.round(Math.abs(error))} ppm`;

/** How a thread is driven: by wheels, or by levers of a gearbox; what that really cuts, and what the half-nuts do. */
export interface Gearing {
  train?: GearTrain;
  /** A wheel of it that is not on hand, teeth. */
  toGet?: number;
  levers?: string;
  /** mm */
  pitch: number;
  /** Parts per million, signed; and what that comes to over the length of the thread, mm. */
  error: number;
  over: number;
  nuts: HalfNuts;
}
