import { knownBy } from '../model/units/mark';
import type { LatheEvent, ScrapReason } from './events';

/** What a run is made of, as far as its progress goes: steps by their keys, set-up by set-up. */
export interface RunShape {
  /** Each piece goes through all steps of a set-up, or one step is done on all pieces before the next. */
  setups: readonly { steps: readonly string[]; stepByStep?: boolean }[];
  /** Pieces to be good in the end. */
  quantity: number;
}

/** Where a piece is: which one, in which set-up, at which of its operations. */
export interface At {
  piece: number;
  setup: number;
  operation: string;
}

/** A size of one piece, and whether something was put right after it. */
export interface MeasuredSize {
  what: string;
  piece: number;
  size: number;
  correctedAfter: boolean;
}

/** By what a size is told from another: two journals may be of one diameter. @param operation key of the one that makes it */
export const sizeKey = (operation: string, what: string): string => `${operation} ${knownBy(what)}`;

/** How far a run has come. */
export interface Progress {
  /** Steps of making ready that are done, by what they are known by (`knownBy`). */
  ready: ReadonlySet<string>;
  /** What is next; undefined when all are made, or none is there to go on with. */
  at: At | undefined;
  /** Pieces are still to come from the set-ups before, which another lathe makes. */
  waits: boolean;
  /** Pieces that have been through every set-up, and those that are scrap. */
  good: number;
  scrapped: readonly { piece: number; reason: ScrapReason; note?: string }[];
  /** Pieces that are begun in all: those to be good and those that take the place of scrap. */
  toMake: number;
  paused: { since: string; note?: string } | undefined;
  /** Sizes by what was measured where (`sizeKey`), in the order of their pieces. */
  sizes: ReadonlyMap<string, readonly MeasuredSize[]>;
  /** By how much stops and presets were moved from what was planned, mm, by their place. */
  moved: ReadonlyMap<string, number>;
  /** The bar that is turned from, by its number on the rack. */
  bar: number | undefined;
  /** The last piece at which an edge, a bar or a break made everything worth measuring anew. */
  freshFrom: number | undefined;
  /** What was changed of an operation, by its key and what. */
  changed: ReadonlyMap<string, string>;
  /** What helped against a sign, by operation and sign. */
  helped: readonly { operation: string; sign: string; cause: string }[];
  notes: readonly { piece?: number; operation?: string; text: string; at: string }[];
}

const place = (piece: number, operation: string) => `${piece} ${operation}`;

/** Every step of every piece of a set-up, in the order in which they are done. */
function* inTurn({ steps, stepByStep }: RunShape['setups'][number], pieces: readonly number[]) {
  if (stepByStep) for (const operation of steps) for (const piece of pieces) yield { piece, operation };
  else for (const piece of pieces) for (const operation of steps) yield { piece, operation };
}

/** The first step that is not done from a set-up on, of the pieces that are through those before it: set-up after set-up. */
function nextAt(
  { setups }: RunShape,
  pieces: readonly number[],
  done: ReadonlySet<string>,
  from: number,
): At | undefined {
  const before = setups.slice(0, from - 1).flatMap(({ steps }) => steps);
  const through = pieces.filter((piece) => before.every((operation) => done.has(place(piece, operation))));
  for (const [index, setup] of setups.entries())
    if (index >= from - 1)
      for (const { piece, operation } of inTurn(setup, through))
        if (!done.has(place(piece, operation))) return { piece, setup: index + 1, operation };
  return undefined;
}

/** What is written down while events are gone through. */
interface Written {
  ready: Set<string>;
  done: Set<string>;
  scrapped: Map<number, Progress['scrapped'][number]>;
  paused: Progress['paused'];
  sizes: Map<string, MeasuredSize[]>;
  moved: Map<string, number>;
  bar: number | undefined;
  freshFrom: number | undefined;
  changed: Map<string, string>;
  helped: Progress['helped'][number][];
  notes: Progress['notes'][number][];
}

/** Takes one event into what is written down. */
function take(written: Written, event: LatheEvent): void {
  const { piece = 0, operation = '' } = event;
  switch (event.kind) {
    case 'ready':
      if (event.done) written.ready.add(knownBy(event.step));
      else written.ready.delete(knownBy(event.step));
      return;
    case 'done':
      written.done.add(place(piece, operation));
      return;
    case 'corrected':
      written.moved.set(event.place, (written.moved.get(event.place) ?? 0) + event.by);
      if (event.what !== undefined) {
        const last = written.sizes.get(sizeKey(operation, event.what))?.at(-1);
        if (last) last.correctedAfter = true;
      }
      return;
    case 'measured': {
      const { what, size } = event;
      const key = sizeKey(operation, what);
      const sizes = written.sizes.get(key) ?? [];
      // Measured again after another cut: the size that the piece has.
      const kept = sizes.filter((other) => other.piece !== piece);
      written.sizes.set(key, [...kept, { what, piece, size, correctedAfter: false }]);
      return;
    }
    case 'paused':
      written.paused = { since: event.at, ...(event.note === undefined ? {} : { note: event.note }) };
      return;
    case 'went-on':
      written.paused = undefined;
      return;
    case 'scrap':
      written.scrapped.set(piece, {
        piece,
        reason: event.reason,
        ...(event.note === undefined ? {} : { note: event.note }),
      });
      return;
    case 'bar':
      written.bar = event.item;
      // Finished without another, nothing new is cut.
      if (event.finished === undefined || event.item !== undefined) written.freshFrom = piece;
      return;
    case 'edge':
      written.freshFrom = piece;
      return;
    case 'changed':
      written.changed.set(`${operation} ${event.what}`, event.to);
      return;
    case 'tried':
      if (event.helped) written.helped.push({ operation, sign: event.sign, cause: event.cause });
      return;
    case 'note':
      written.notes.push({ ...(event.piece ? { piece } : {}), operation, text: event.text, at: event.at });
      return;
    default:
      return;
  }
}

/**
 * What a run has come to by its events, which are in order (`inOrder`). Of the same events the same, wherever it is asked.
 * @param from the set-up from which on it is worked at here, while another lathe makes those before it
 */
export function progressOf(shape: RunShape, events: readonly LatheEvent[], from = 1): Progress {
  const written: Written = {
    ready: new Set(),
    done: new Set(),
    scrapped: new Map(),
    paused: undefined,
    sizes: new Map(),
    moved: new Map(),
    bar: undefined,
    freshFrom: undefined,
    changed: new Map(),
    helped: [],
    notes: [],
  };
  for (const event of events) take(written, event);
  const { done, scrapped, ready, ...rest } = written;
  const toMake = shape.quantity + scrapped.size;
  const pieces = Array.from({ length: toMake }, (_, index) => index + 1).filter((piece) => !scrapped.has(piece));
  const last = shape.setups.at(-1)?.steps.at(-1);
  const good = pieces.filter((piece) => last !== undefined && done.has(place(piece, last))).length;
  const at = nextAt(shape, pieces, done, from);
  const waits = at === undefined && good < pieces.length;
  return { ...rest, ready, at, waits, good, toMake, scrapped: [...scrapped.values()] };
}
