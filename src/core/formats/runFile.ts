import type { LengthEntry, SizeEntry } from '../part/size';
import type { BarCondition, HouseRules, Machine } from '../shop/shop';
import type { GeneralClass } from '../part/tolerance';
import type { RunAllowances, Way } from '../run';
import type { UnitSystem } from '../units/length';

/** One cylinder, front to back. */
export interface StepFile {
  shape: 'cylinder';
  diameter: SizeEntry;
  length: SizeEntry;
  name?: string;
  roughness?: number | string;
  critical?: boolean;
  /** 45° chamfers on its own corners; the same as `details` at those places, and they move with the step. */
  chamfers?: { front?: LengthEntry; back?: LengthEntry };
}

export interface ChamferFile {
  kind: 'chamfer';
  at: LengthEntry;
  size: LengthEntry;
  side?: 'front' | 'back';
}

export interface HoleFile {
  from: 'front';
  shape: 'drill';
  diameter: SizeEntry;
  depth: LengthEntry;
}

export interface PartFile {
  number: string;
  name?: string;
  revision?: string;
  material: string;
  generalTolerance?: GeneralClass;
  outside: StepFile[];
  details?: ChamferFile[];
  bores?: HoleFile[];
}

export interface StockFile {
  form?: 'round';
  size: LengthEntry;
  condition?: BarCondition;
  barLength?: LengthEntry;
}

/**
 * The run file, `shingle-run/1`: what is imported, exported, kept, and edited on the page. While it is being entered it
 * may hold text that cannot be planned yet; the text stays as typed, and reading it says what is missing.
 */
export interface RunFile {
  format: 'shingle-run/1';
  units: UnitSystem;
  part: PartFile;
  quantity: number | string;
  /** Promised for this day, as 2026-12-04. */
  due?: string;
  stock?: 'choose' | StockFile;
  way?: 'choose' | Way;
  allowances?: { [key in keyof RunAllowances]?: LengthEntry };
  machine?: string | Machine;
  rules?: Partial<HouseRules> & { batchOrder?: 'piece-by-piece' };
}

/** A step that waits to be filled in. */
export const emptyStep = (): StepFile => ({ shape: 'cylinder', diameter: '', length: '' });

/** A run with nothing entered yet. */
export const emptyRun = (units: UnitSystem = 'mm'): RunFile => ({
  format: 'shingle-run/1',
  units,
  part: {
    number: '',
    name: '',
    revision: 'A',
    material: '',
    generalTolerance: 'medium',
    outside: [emptyStep()],
    details: [],
    bores: [],
  },
  quantity: '',
  stock: 'choose',
  way: 'choose',
});
