/** Bars of one length: how many there are (null: as many as needed), and what of each end is no good. */
export interface SawBar {
  label: string;
  /** mm */
  length: number;
  count: number | null;
  endWaste: number;
  /** Opened before: taken first, and not counted as a bar opened. */
  offcut: boolean;
}

/** Pieces of one length to saw. */
export interface SawPiece {
  label: string;
  /** mm */
  length: number;
  count: number;
  /** Turned from the bar: made in the lathe from lengths of it, `length` being the pitch, blade and facings included. */
  turned?: Turned;
}

/** Lengths of bar that go into the lathe. mm */
export interface Turned {
  /** What each of them loses: the clean-up of its end, and what the chuck must hold. */
  lost: number;
  /** The longest that the spindle takes. */
  longest: number;
}

/** Bars of one material and section, and the pieces to saw from them. Lengths mm. */
export interface CutList {
  kerf: number;
  bars: SawBar[];
  pieces: SawPiece[];
}

/** Pieces of one kind on a bar. */
export interface SawnPieces {
  label: string;
  length: number;
  count: number;
  /** Of pieces that are turned from the bar: the lengths to saw for the lathe, and the pieces that each gives. */
  from?: { length: number; pieces: number; times: number }[];
}

/** How some bars are sawn, all alike: the pieces in the order of cutting, and what is left of each. */
export interface Pattern {
  bar: string;
  barLength: number;
  times: number;
  pieces: SawnPieces[];
  remnant: number;
}

/** A cut list, solved. */
export interface Cuts {
  /** Bars opened, offcuts not counted. */
  barsOpened: number;
  /** No way of sawing opens fewer bars than this. */
  lowerBound: number;
  proven: boolean;
  /** Why it is not proven, in words. */
  because?: string;
  patterns: Pattern[];
}

/** Room that a bar has for pieces with a kerf each: the last cut may be the end of the bar (trade: Stock). */
export const roomOf = ({ length, endWaste }: Pick<SawBar, 'length' | 'endWaste'>, kerf: number): number =>
  length - endWaste + kerf;

/** What pieces of one kind take of a bar: each its share, and each length that some of them come from a start. */
export interface Take {
  each: number;
  start: number;
  /** Pieces that one length gives at most. */
  perLength: number;
}

/** What a kind of piece takes, mm: a blank its kerf, a turned one nothing but what its length of bar loses. */
export const takeOf = ({ length, turned }: Pick<SawPiece, 'length' | 'turned'>, kerf: number): Take =>
  turned
    ? {
        each: length,
        start: turned.lost + kerf,
        perLength: Math.max(1, Math.floor(Math.min(1e9, (turned.longest - turned.lost) / length) + 1e-9)),
      }
    : { each: length + kerf, start: 0, perLength: 1 };

/** What so many pieces take of a bar. */
export const taken = ({ each, start, perLength }: Take, many: number): number =>
  many * each + Math.ceil(many / perLength) * start;

/** How many pieces find room. */
export function fitting({ each, start, perLength }: Take, room: number): number {
  const whole = perLength * each + start;
  const lengths = Math.floor(room / whole);
  return lengths * perLength + Math.max(0, Math.floor((room - lengths * whole - start) / each));
}

/** A cut of the saw on a bar: its stop, what it is for, how often on each bar, and the pieces turned from it. */
export interface SawCut {
  label: string;
  length: number;
  times: number;
  /** Of a length that goes into the lathe. */
  pieces?: number;
}

/** The cuts of a pattern: its blanks, and its lengths for the lathe. */
export const cutsOf = ({ pieces }: Pattern): SawCut[] =>
  pieces.flatMap(({ label, length, count, from }) =>
    from ? from.map((source) => ({ ...source, label })) : [{ label, length, times: count }],
  );

/** Whether a bar goes into the lathe as it is: one length is turned from it, and nothing sawn off. */
export const uncut = (pattern: Pattern): boolean => {
  const [only, ...others] = cutsOf(pattern);
  return others.length === 0 && only?.times === 1 && only.pieces !== undefined;
};
