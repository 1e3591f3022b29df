import { lengths, numbers, type FigureGroup } from './figureGroup';

/** What is reckoned with at the lathe, between a reading and the next cut, and when minutes are learned (trade: At the lathe). */
export interface LatheValues {
  /** Spread of one cut as it was dialled, on the diameter, mm: deflection, play, the eye. */
  cutSpread: number;
  /** Before anything of a size was measured it may be off from its plan by so much, a spread, mm. */
  unmeasured: number;
  /** Limits closer than this are a fit: its last two cuts are alike, mm. */
  fitWithin: number;
  /** What an abrasive takes of the diameter at most, mm. */
  abrasive: number;
  /** Expansion of gauges, 1/K. */
  gaugeExpansion: number;
  /** Minutes that took more than so many times what was planned were no work: a pause, a call, another piece. */
  pauseOver: number;
}

export const startLathe: LatheValues = {
  cutSpread: 0.005, // ours
  unmeasured: 0.5, // ours
  fitWithin: 0.05, // ours
  abrasive: 0.02, // ours
  gaugeExpansion: 11.5e-6,
  pauseOver: 4, // ours
};

/** The same as the shop's page names them. */
export const latheFigures: FigureGroup = {
  of: 'lathe',
  title: 'At the lathe',
  hint: 'from a reading to the next cut, and what of the minutes is learned from',
  figures: [
    ...lengths({
      cutSpread: 'Spread of one dialled cut, on the ⌀',
      unmeasured: 'Off before it was measured, spread',
      fitWithin: 'A fit: limits within',
      abrasive: 'An abrasive takes of the ⌀ at most',
    }),
    ...numbers({
      gaugeExpansion: 'Gauges grow, a degree',
      pauseOver: 'No work: more than so many times the plan',
    }),
  ],
};
