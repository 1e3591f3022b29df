import { listed, type HoldingKind } from './holding';

/** An expanding mandrel in a finished bore: what is turned on it runs true to the bore, and all of the outside is free. */
export const mandrel: HoldingKind = {
  kind: 'mandrel',
  words: 'on an expanding mandrel',
  marks: false,
  against: ({ inside, thread, shaped }) => {
    if (!inside) return 'it holds in a bore';
    if (thread) return 'never in a thread';
    return shaped ? 'the bore is not straight' : undefined;
  },
  figures: listed('mandrel'),
  mind: () => 'Light cuts: only friction in the bore drives the piece. Bore and mandrel wiped clean.',
};
