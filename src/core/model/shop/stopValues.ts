import { lengths, numbers, type FigureGroup } from './figureGroup';

/**
 * What the means of stopping take and how closely they repeat (trade: Stops): minutes once to make ready and at each use, mm either
 * way. What a station and a figure that is read take at each use stands with the other minutes by hand.
 */
export interface StopValues {
  spacerUse: number;
  spacerRepeats: number;
  spacerMake: number;
  feelerUse: number;
  feelerRepeats: number;
  presetReady: number;
  presetUse: number;
  readOutRepeats: number;
  dialReady: number;
  dialUse: number;
  dialTurn: number;
  /** Beyond so many turns one is miscounted. */
  dialTurns: number;
  indicatorReady: number;
  indicatorUse: number;
  indicatorRepeats: number;
  crossUse: number;
  crossRepeats: number;
  quillReady: number;
  quillStopRepeats: number;
  quillScaleRepeats: number;
  markReady: number;
  markRepeats: number;
  eachRepeats: number;
  /** A cut more, where a length is measured and cut to. */
  measuredCut: number;
  /** The stop that the work itself is set against. */
  workRepeats: number;
  /** What tools are touched off over, mm. */
  paper: number;
  /** How far a stack may be off the setting that is wanted, mm. */
  residue: number;
  /** All that stands in a length spreads at most this share of its limits. */
  shareOfLimits: number;
}

export const startStops: StopValues = {
  spacerUse: 0.1,
  spacerRepeats: 0.005,
  spacerMake: 8,
  feelerUse: 0.05,
  feelerRepeats: 0.005,
  presetReady: 0.2,
  presetUse: 0.12,
  readOutRepeats: 0.01,
  dialReady: 0.3,
  dialUse: 0.15,
  dialTurn: 0.02,
  dialTurns: 3,
  indicatorReady: 1.5,
  indicatorUse: 0.1,
  indicatorRepeats: 0.005,
  crossUse: 0.05, // ours
  crossRepeats: 0.01, // ours: a short slide that is brought up by hand
  quillReady: 0.3,
  quillStopRepeats: 0.05,
  quillScaleRepeats: 0.2,
  markReady: 0.2,
  markRepeats: 0.5,
  eachRepeats: 0.05,
  measuredCut: 0.3, // ours
  workRepeats: 0.01, // ours: a finished face pushed home on a hard stop, no slide and no play
  paper: 0.1,
  residue: 0.01,
  shareOfLimits: 1 / 3,
};

/** The same as the shop's page names them. */
export const stopFigures: FigureGroup = {
  of: 'stops',
  title: 'Stops',
  hint: 'minutes to make ready and at each use; how closely they repeat, mm either way',
  figures: [
    ...numbers({
      spacerUse: 'A spacer laid in',
      spacerMake: 'Make a spacer',
      feelerUse: 'A feeler laid in',
      presetReady: 'Store a preset',
      presetUse: 'Go to a preset',
      dialReady: 'Zero a dial',
      dialUse: 'Go by a dial',
      dialTurn: 'Each turn of it',
      dialTurns: 'Turns counted at most',
      indicatorReady: 'Mount an indicator',
      indicatorUse: 'Go to an indicator',
      crossUse: 'Go to a stop of the cross-slide',
      quillReady: 'Set a stop of the quill, or read its start',
      markReady: 'Mark a drill or a bar',
      measuredCut: 'One cut more, after measuring',
      shareOfLimits: 'Stops take of a length’s limits, share',
    }),
    ...lengths({
      spacerRepeats: 'A spacer adds, ±',
      feelerRepeats: 'A feeler adds, ±',
      readOutRepeats: 'The read-out repeats to, ±',
      indicatorRepeats: 'An indicator repeats to, ±',
      crossRepeats: 'A stop of the cross-slide repeats to, ±',
      quillStopRepeats: 'The quill’s stop repeats to, ±',
      quillScaleRepeats: 'The quill’s scale repeats to, ±',
      markRepeats: 'A mark repeats to, ±',
      eachRepeats: 'A stop set anew repeats to, ±',
      workRepeats: 'The stop of the work repeats to, ±',
      paper: 'Paper to touch off over',
      residue: 'A stack may be off by',
    }),
  ],
};
