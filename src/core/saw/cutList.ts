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
}

/** Bars of one material and section, and the pieces to saw from them. Lengths mm. */
export interface CutList {
  kerf: number;
  bars: SawBar[];
  pieces: SawPiece[];
}

/** How some bars are sawn, all alike: the pieces in the order of cutting, and what is left of each. */
export interface Pattern {
  bar: string;
  barLength: number;
  times: number;
  pieces: { label: string; length: number; count: number }[];
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

/** Room that a bar has for pieces with a kerf each: the last cut may be the end of the bar (handbook 3). */
export const roomOf = ({ length, endWaste }: Pick<SawBar, 'length' | 'endWaste'>, kerf: number): number =>
  length - endWaste + kerf;

/** What is left of a bar behind its last cut, mm. */
export const remnantOf = (bar: Pick<SawBar, 'length' | 'endWaste'>, kerf: number, lengths: readonly number[]): number =>
  Math.max(0, bar.length - bar.endWaste - lengths.reduce((total, length) => total + length + kerf, 0));
