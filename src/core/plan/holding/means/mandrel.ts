import { listed, type HoldingKind } from './holding';

/** An expanding mandrel in a finished bore: what is turned on it runs true to the bore, and all of the outside is free. */
export const mandrel: HoldingKind = {
  kind: 'mandrel',
  words: 'on an expanding mandrel',
  marks: false,
  against: ({ inside, thread }) => {
    if (!inside) return 'it holds in a bore';
    return thread ? 'never in a thread' : undefined;
  },
  figures: listed('mandrel'),
  mind: () => 'Light cuts: only friction in the bore drives the piece. Bore and mandrel wiped clean.',
};
