import type { Setting } from '../ask/runsThatShare';

/** A run on one lathe: what is made ready, what its pieces take, and how the lathe is set up for it. Minutes of work. */
export interface OnLathe {
  ready: number;
  /** Of making ready, what a run before may leave standing is taken off by `setting`. */
  setting?: Setting;
  work: number;
  /** Not before on this lathe: something for it is to be got. */
  from?: number;
}

/**
 * A run to be placed, or a part of it: where it can be made, from when, and until when it is wanted. Minutes from the
 * schedule's first midnight.
 */
export interface Job {
  /** By what an order knows it: the run's own id, or that of a further part of it. */
  id: number;
  run: number;
  /** Lathes that can make it. */
  on: Readonly<Record<string, OnLathe>>;
  /** Not before: its bar is not there, a tool is to be got. */
  release: number;
  /** It is pinned to a day: begun by then, or the pin is missed. */
  beginBy?: number;
  /** The end of the day that it is promised for; without one it is never late. */
  due?: number;
  /** How much more a minute too late counts than another customer's. */
  weight: number;
  /** What others do to it afterwards before it is delivered, minutes of the calendar. */
  lead: number;
  /** Runs, or parts of some, that must be made before it. */
  after: readonly number[];
  /**
   * The first part of its run: it is begun no sooner. Where it goes on with the pieces of that part, they are so many in all, and so many of
   * them lie between the two.
   */
  behind?: { job: number; goesOn?: { pieces: number; between: number } };
}

/** Runs and parts of runs by their ids in the order in which each lathe makes them. */
export type Order = Readonly<Record<string, readonly number[]>>;
