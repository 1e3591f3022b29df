/** How far a run has come, as whoever leads the shop says it; `open` is neither: a draft, or planned where it has a plan. */
export const RUN_STATES = ['open', 'released', 'running', 'done', 'away', 'deleted'] as const;
export type RunState = (typeof RUN_STATES)[number];

/** In words, and as what is done to a run. */
export const STATE_WORDS: Record<RunState, { is: string; make: string }> = {
  open: { is: 'not released', make: 'Open again' },
  released: { is: 'released', make: 'Release' },
  running: { is: 'running', make: 'Start' },
  done: { is: 'done', make: 'Done' },
  away: { is: 'put away', make: 'Put away' },
  deleted: { is: 'deleted', make: 'Delete' },
};

/** States of runs that are still to be made, or are being made: they want bars and tools. */
export const AT_WORK: readonly RunState[] = ['open', 'released', 'running'];
