/** Signs that a cut goes badly, as they are seen and heard (trade: At the lathe). */
export const SIGNS = ['chatter', 'torn', 'strings', 'stall', 'taper', 'wobble', 'hole-wide', 'nib'] as const;
export type Sign = (typeof SIGNS)[number];

/** Why a piece is scrap, from a short list; own words go beside it. */
export const SCRAP_REASONS = ['size', 'surface', 'slipped', 'broken tool', 'material', 'dropped', 'other'] as const;
export type ScrapReason = (typeof SCRAP_REASONS)[number];

/** What of a cut is changed at the machine. */
export const CHANGED = ['speed', 'feed', 'depth', 'tool'] as const;
export type Changed = (typeof CHANGED)[number];

/** What happened at the lathe. A correction is something that happened as well: nothing is ever changed. */
export type Happening =
  /** A step of making ready is done, or is not after all. */
  | { kind: 'ready'; step: string; done: boolean }
  /** An operation of a piece is begun, is done. */
  | { kind: 'begun' }
  | { kind: 'done' }
  /** A size that was measured, mm at 20 °C, from its readings. */
  | { kind: 'measured'; what: string; readings: number[]; size: number; gauge?: string }
  /** A stop or preset was moved, mm. */
  | { kind: 'corrected'; place: string; by: number; what?: string }
  | { kind: 'paused'; note?: string }
  | { kind: 'went-on' }
  | { kind: 'scrap'; reason: ScrapReason; note?: string }
  | { kind: 'edge'; tool: string; what: 'changed' | 'ground' | 'broken' }
  /** A bar comes on, by its number on the rack where it has one; or the one before is finished, with so much of it left, mm. */
  | { kind: 'bar'; item?: number; finished?: number; left?: number }
  | { kind: 'sign'; sign: Sign }
  | { kind: 'tried'; sign: Sign; cause: string; helped: boolean }
  | { kind: 'changed'; what: Changed; to: string }
  | { kind: 'note'; text: string }
  /** Another event is struck out. */
  | { kind: 'struck'; event: string };

/** Something that happened, where and when. Once written it stays. */
export type LatheEvent = {
  /** Its own name, of the device that wrote it. */
  id: string;
  device: string;
  /** Its place in the order of that device, whose clock may be wrong. */
  seq: number;
  /** The device's clock. */
  at: string;
  /** Revision of the run that was worked by. */
  revision: number;
  /** Revision of the shop that it was planned with. */
  shop?: number;
  /** Which piece, from 1, and which operation by its key. */
  piece?: number;
  operation?: string;
} & Happening;

/** What the order of events goes by: as the server got them, then those of this device that it has not got yet. */
export type Ordered = LatheEvent & { order?: number };

/**
 * Events in the order in which they count: those that the server has, as it got them; behind them those that it has not, each
 * device's own sequence kept. Each once, and without those that were struck out.
 */
export function inOrder(events: readonly Ordered[]): Ordered[] {
  const once = [...new Map(events.map((event) => [event.id, event])).values()];
  const struck = new Set(once.flatMap((event) => (event.kind === 'struck' ? [event.event] : [])));
  return once
    .filter(({ id, kind }) => kind !== 'struck' && !struck.has(id))
    .sort((a, b) => (a.order ?? Infinity) - (b.order ?? Infinity) || a.device.localeCompare(b.device) || a.seq - b.seq);
}
