import { sizeKey } from './progress';
import type { LatheEvent } from './events';

/** A piece of which two devices say that they did the same: each without a net, or each at a lathe of its own. */
export interface Doubled {
  piece: number;
  /** Which devices, in the order in which they count, and what each wrote of it: the ids of its events. */
  by: readonly { device: string; events: readonly string[] }[];
}

/** What is done at a piece, by its name: a step, or a size of it. */
const doneOf = (event: LatheEvent): string | undefined =>
  event.kind === 'done'
    ? `done ${event.operation}`
    : event.kind === 'measured'
      ? sizeKey(event.operation ?? '', event.what)
      : undefined;

/**
 * Pieces that more than one device did the same step of, or measured the same size of. Both are kept; which of them happened, people say.
 * @param events in order, without what was struck out (`inOrder`)
 */
export function doubledIn(events: readonly LatheEvent[]): Doubled[] {
  const who = new Map<string, Set<string>>();
  const wrote = new Map<number, Map<string, string[]>>();
  for (const event of events) {
    const what = doneOf(event);
    const { piece, device, id } = event;
    if (what === undefined || piece === undefined) continue;
    const key = `${piece} ${what}`;
    who.set(key, (who.get(key) ?? new Set()).add(device));
    const byDevice = wrote.get(piece) ?? new Map<string, string[]>();
    wrote.set(piece, byDevice.set(device, [...(byDevice.get(device) ?? []), id]));
  }
  const doubled = new Map<number, Set<string>>();
  for (const [key, devices] of who)
    if (devices.size > 1) {
      const piece = Number.parseInt(key, 10);
      doubled.set(piece, new Set([...(doubled.get(piece) ?? []), ...devices]));
    }
  return [...doubled].map(([piece, devices]) => ({
    piece,
    by: [...devices].map((device) => ({ device, events: wrote.get(piece)?.get(device) ?? [] })),
  }));
}
