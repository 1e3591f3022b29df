import type { Setting } from '../ask/runsThatShare';
import type { Spread } from '../model/shop/shop';

/** One set-up of a run on a lathe: minutes of making it ready and of a piece, and what it makes. */
export interface SetupOn {
  /** From 1. */
  number: number;
  words: string;
  ready: number;
  piece: number;
  /** Its steps at the lathe by their keys, minutes of one piece each. */
  steps: Readonly<Record<string, number>>;
  /** What of the drawing is made in it, by paths. */
  makes: readonly string[];
  setting?: Setting;
}

/** A run as one lathe of the shop would make it, in minutes. */
export interface MadeOn {
  lathe: string;
  /** Making all of its set-ups ready. */
  ready: number;
  /** Its pieces with their spares, the first-off, outside work of the shop's own. */
  work: number;
  /** Pieces with their spares. */
  pieces: number;
  /** As many as a bar gives. */
  perBar: number;
  /** What it cannot be begun without there and the shop has not: tools, wheels, blanks to order. */
  toGet: readonly string[];
  setting?: Setting;
  off: { setup: Spread; pieces: Spread };
  /** Its minutes come from runs that were made. */
  learned: boolean;
  setups: readonly SetupOn[];
}

/** A run as one lathe of the shop would make it; or why that cannot. */
export type RunOnLathe = MadeOn | { lathe: string; problem: string };

/** A run that is still to be made, as a schedule is made of it. */
export interface RunToMake {
  id: number;
  number: string;
  name: string;
  quantity: number;
  customer: string;
  /** Promised for this day; '' for none. */
  due: string;
  state: string;
  /** On each lathe; undefined as long as that is being planned. */
  lathes: readonly RunOnLathe[] | undefined;
  /** Something that they were planned from has changed since, and they are being planned anew. */
  isOld?: true;
  /** The lathe that its file names. */
  machine: string;
  /** Steps at the lathe that are done: of how many pieces, by their keys. */
  done: Readonly<Record<string, number>>;
  /** Its bars are not there: so many days until they come, by the days of its material. */
  barsIn?: number;
}

/** Whether a lathe can make it. */
export const isPlanned = (one: RunOnLathe): one is MadeOn => 'ready' in one;

/** Whether anything of a run is done at a lathe. */
export const isBegun = ({ done }: Pick<RunToMake, 'done'>): boolean => Object.values(done).some((count) => count > 0);
