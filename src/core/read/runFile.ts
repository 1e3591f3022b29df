import type { boreKinds } from './bores';
import type { detailKinds } from './details';
import type { elsewhereKinds } from './elsewhere';
import type { EntryOf } from './featureKind';
import type { stepShapes } from './shapes';
import type { Way } from '../model/way';
import type { LengthEntry, SizeEntry } from '../model/part/size';
import type { HouseRules } from '../model/shop/houseRules';
import type { BarCondition, BarForm, Machine } from '../model/shop/shop';
import type { GeneralClass } from '../model/part/tolerance';
import type { Overrule } from '../model/overrule';
import type { OperationNote, RunAllowances } from '../model/run';
import type { UnitSystem } from '../model/units/length';

/** One step of the outside, front to back; which of the fields it has follows from its shape. */
export type StepFile = EntryOf<'shape', (typeof stepShapes)[number]> & {
  name?: string;
  roughness?: number | string;
  critical?: boolean;
  /** It stays as it came, and needs no allowance. */
  keep?: boolean;
  /** Why it is critical, in a few words. */
  why?: string;
  /** 45° chamfers on its own corners; the same as `details` at those places, and they move with the step. */
  chamfers?: { front?: LengthEntry; back?: LengthEntry };
};

/** A step of one shape. */
export type StepOf<Shape extends StepFile['shape']> = Extract<StepFile, { shape: Shape }>;

/** A detail of the outside; which of the fields it has follows from its kind. */
export type DetailFile = EntryOf<'kind', (typeof detailKinds)[number]>;

/** A hole on the axis; which of the fields it has follows from its shape. */
export type HoleFile = EntryOf<'shape', (typeof boreKinds)[number]> & { critical?: boolean };

/** Work on other machines or by other firms; which of the fields it has follows from its kind. */
export type ElsewhereFile = EntryOf<'kind', (typeof elsewhereKinds)[number]>;

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
  /** Of several any does: of those that the shop has, that in which the batch costs least is taken. */
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

/** A piece as it arrives: described like a part, its z counted from the same finished front face (`docs/run-file.md`). */
export interface PieceFile {
  form: 'piece';
  outside: StepFile[];
  bores?: HoleFile[];
  /** What is cut into it already: threads, knurls, grooves. */
  details?: DetailFile[];
  /** What stands before the finished front face; else the facing allowance. */
  ahead?: LengthEntry;
  /** As it was rolled, cast or forged. */
  skin?: boolean;
  grade?: string;
}

export interface StockFile {
  form?: BarForm;
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
  /** For whom it is made, by which order of theirs, and what else is to be known of it. */
  customer?: string;
  order?: string;
  note?: string;
  /** What is to be known of an operation, by its key. */
  notes?: OperationNote[];
  /** A name that several runs of like parts share. */
  family?: string;
  /** Promised for this day, as 2026-12-04. */
  due?: string;
  /** Pieces to make beyond the quantity. */
  spares?: number | string;
  stock?: 'choose' | StockFile | PieceFile;
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
  /** What it is offered for to somebody; its revisions are those of the run. */
  quote?: Quote;
}

/** How a run is offered to a customer: what comes on its cost, and what is said beside its prices. */
export interface Quote {
  /** Percent of the cost that is earned. */
  margin?: number;
  /** Percent of the cost for what may go wrong in a run that was never made. */
  firstRisk?: number;
  /** The last day on which it holds. */
  until?: string;
  delivery?: string;
  terms?: string;
  /** How it was accepted: so many at so much each, on a day. */
  accepted?: { quantity: number; each: number; on: string };
}

/** Nothing is said yet: at cost. */
export const NO_QUOTE: Quote = {};

/** A step that waits to be filled in. */
export const emptyStep = (): StepOf<'cylinder'> => ({ shape: 'cylinder', diameter: '', length: '' });

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
