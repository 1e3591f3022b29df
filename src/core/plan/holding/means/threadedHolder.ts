import { listed, type HoldingKind } from './holding';

/** A holder with the mating thread, for what is held by its thread and nothing else. */
export const threadedHolder: HoldingKind = {
  kind: 'threaded-holder',
  words: 'in a threaded holder',
  madeFor: 'threaded holder for',
  marks: false,
  against: ({ inside, thread }) => (inside || !thread ? 'it holds by an outside thread' : undefined),
  figures: listed('threaded-holder'),
  mind: () => 'Screwed against its face, and so that the cut tightens it.',
};
