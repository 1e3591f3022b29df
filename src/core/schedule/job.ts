import type { Setting } from '../ask/runsThatShare';

/** A run on one lathe: what is made ready, what its pieces take, and how the lathe is set up for it. Minutes of work. */
export interface OnLathe {
  ready: number;
  /** Of making ready, what a run before may leave standing is taken off by `setting`. */
  setting?: Setting;
  work: number;
}

/** A run to be placed: where it can be made, from when, and until when it is wanted. Minutes from the schedule's first midnight. */
export interface Job {
  id: number;
  /** Lathes that can make it. */
  on: Readonly<Record<string, OnLathe>>;
  /** Not before: its bar is not there, a tool is to be got. */
  release: number;
  /** The end of the day that it is promised for; without one it is never late. */
  due?: number;
  /** How much more a minute too late counts than another customer's. */
  weight: number;
  /** What others do to it afterwards before it is delivered, minutes of the calendar. */
  lead: number;
  /** Runs that must be made before it. */
  after: readonly number[];
}

/** Runs by their ids in the order in which each lathe makes them. */
export type Order = Readonly<Record<string, readonly number[]>>;
