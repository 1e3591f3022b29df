import { sizeKey } from './progress';
import type { LatheEvent } from './events';

/** A piece of which two devices say that they did the same: each without a net, or each at a lathe of its own. */
export interface Doubled {
  piece: number;
  /** Which devices, in the order in which they count, and what each wrote from the first such step on: the ids of its events. */
  by: readonly { device: string; events: readonly string[] }[];
}

/** What is done at a piece, by its name: a step, or a size of it. */
const doneOf = (event: LatheEvent): string | undefined =>
  event.kind === 'done'
    ? `done ${event.operation}`
    : event.kind === 'measured'
      ? sizeKey(event.operation ?? '', event.what)
      : undefined;

/** What a device wrote of a piece, in order. */
interface Wrote {
  id: string;
  what: string;
}

/**
 * Pieces that more than one device did the same step of, or measured the same size of. Both are kept; which of them happened, people say.
 * What a device wrote before that was done once and stands: only from there on is it one or the other.
 * @param events in order, without what was struck out (`inOrder`)
 */
export function doubledIn(events: readonly LatheEvent[]): Doubled[] {
  const pieces = new Map<number, Map<string, Wrote[]>>();
  for (const event of events) {
    const what = doneOf(event);
    const { piece, device, id } = event;
    if (what === undefined || piece === undefined) continue;
    const byDevice = pieces.get(piece) ?? new Map<string, Wrote[]>();
    pieces.set(piece, byDevice.set(device, [...(byDevice.get(device) ?? []), { id, what }]));
  }
  return [...pieces].flatMap(([piece, byDevice]) => {
    const by = [...byDevice].flatMap(([device, wrote]) => {
      const others = [...byDevice].flatMap(([other, its]) => (other === device ? [] : its));
      const elsewhere = new Set(others.map(({ what }) => what));
      const first = wrote.findIndex(({ what }) => elsewhere.has(what));
      return first < 0 ? [] : [{ device, events: wrote.slice(first).map(({ id }) => id) }];
    });
    return by.length > 0 ? [{ piece, by }] : [];
  });
}
