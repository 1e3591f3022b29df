import type { Way } from '../model/way';
import type { LengthEntry, SizeEntry } from '../model/part/size';
import type { HouseRules } from '../model/shop/houseRules';
import type { BarCondition, Machine, StockForm } from '../model/shop/shop';
import type { GeneralClass } from '../model/part/tolerance';
import type { Overrule } from '../model/overrule';
import type { RunAllowances } from '../model/run';
import type { UnitSystem } from '../model/units/length';

type Angle = number | string;
type End = 'front' | 'back';

/** One step of the outside, front to back; which of the fields it has follows from its shape (`core/read/shapes`). */
export interface StepFile {
  shape: 'cylinder' | 'cone' | 'sphere' | 'hex' | 'square';
  diameter?: SizeEntry;
  length?: SizeEntry;
  /** Diameters of a cone at its front and its back end, and its angle. */
  from?: SizeEntry;
  to?: SizeEntry;
  included?: Angle;
  half?: Angle;
  rises?: End;
  /** Across the flats of a hexagon or a square. */
  across?: SizeEntry;
  name?: string;
  roughness?: number | string;
  critical?: boolean;
  /** It stays as it came, and needs no allowance. */
  keep?: boolean;
  /** Why it is critical, in a few words. */
  why?: string;
  /** 45° chamfers on its own corners; the same as `details` at those places, and they move with the step. */
  chamfers?: { front?: LengthEntry; back?: LengthEntry };
}

/** A detail of the outside; which of the fields it has follows from its kind (`core/read/details`). */
export interface DetailFile {
  kind:
    'chamfer' | 'radius' | 'groove' | 'face-groove' | 'vee' | 'hollow' | 'thread' | 'knurl' | 'flats' | 'cross-hole';
  at?: SizeEntry;
  /** The face that `at` is measured from; without it the front. */
  datum?: string | number;
  size?: LengthEntry;
  side?: End;
  angle?: Angle;
  form?: 'fillet' | 'corner';
  width?: SizeEntry;
  bottom?: SizeEntry;
  radius?: LengthEntry;
  depth?: SizeEntry;
  /** Of a groove in a face: which, and between which diameters. */
  face?: End;
  inner?: SizeEntry;
  outer?: SizeEntry;
  included?: Angle;
  length?: LengthEntry;
  designation?: string;
  runOut?: LengthEntry;
  pattern?: 'straight' | 'diamond';
  pitch?: LengthEntry;
  count?: number | string;
  across?: SizeEntry;
  diameter?: SizeEntry;
  /** How far out of square, degrees. */
  tilt?: Angle;
  name?: string;
}

/** A hole on the axis; which of the fields it has follows from its shape (`core/read/bores`). */
export interface HoleFile {
  from: End;
  shape: 'drill' | 'ream' | 'bore' | 'counterbore' | 'countersink' | 'cone' | 'tap' | 'groove';
  diameter?: SizeEntry;
  depth?: SizeEntry;
  depthTo?: 'full' | 'point';
  bottom?: SizeEntry;
  mouth?: LengthEntry;
  small?: LengthEntry;
  included?: Angle;
  designation?: string;
  at?: LengthEntry;
  width?: SizeEntry;
  name?: string;
}

/** Work on other machines or by other firms; which of the fields it has follows from its kind (`core/read/elsewhere`). */
export interface ElsewhereFile {
  kind: 'harden' | 'grind' | 'hone' | 'plate';
  on?: string;
  leave?: LengthEntry;
  thickness?: LengthEntry;
  growth?: LengthEntry;
  to?: string;
  with?: string;
}

/** A length as the drawing gives it, from whichever datum: between two faces (`core/read/lengths/faces`). */
export interface LengthFile {
  from: string | number;
  to: string | number;
  size: SizeEntry;
}

/** Two surfaces that must run true to each other, by their names. */
export interface TieFile {
  of: string;
  to: string;
  limit: LengthEntry;
}

export interface PartFile {
  number: string;
  name?: string;
  revision?: string;
  /** Of several any does: the first that the shop has is taken. */
  material: string | string[];
  generalTolerance?: GeneralClass;
  outside: StepFile[];
  details?: DetailFile[];
  bores?: HoleFile[];
  /** Lengths between faces; a step whose length follows from them leaves its own empty. */
  lengths?: LengthFile[];
  runout?: TieFile[];
  /** Parts that it must fit, by the names of the surfaces that they fit. */
  mates?: { of: string; name: string }[];
  /** What is done on other machines or by other firms. */
  elsewhere?: ElsewhereFile[];
}

export interface StockFile {
  form?: StockForm;
  size: LengthEntry;
  /** Of a tube. */
  bore?: LengthEntry;
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
  /** A name that several runs of like parts share. */
  family?: string;
  /** Promised for this day, as 2026-12-04. */
  due?: string;
  /** Pieces to make beyond the quantity. */
  spares?: number | string;
  stock?: 'choose' | StockFile;
  way?: 'choose' | Way;
  /** Which end is worked first; left open, the front where the part can then be held. */
  firstEnd?: 'choose' | 'front' | 'back';
  allowances?: { [key in keyof RunAllowances]?: LengthEntry | Extract<RunAllowances[key], string> };
  /** What was decided against the planner: orders, tools, holdings, work left out or added. */
  overrules?: Overrule[];
  machine?: string | Machine;
  rules?: Partial<HouseRules>;
  /** What somebody else asks for the parts: once, and for each. */
  offer?: { once?: number; each: number };
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
