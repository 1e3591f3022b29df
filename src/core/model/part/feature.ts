import type { Segment } from '../workpiece/segment';
import type { Size } from './size';

/** Flat sides on a round, parallel to the axis: how many, and how far each lies from the axis, mm. */
export interface Flats {
  count: number;
  fromAxis: number;
}

/** A thread, outside or inside. */
export interface Thread {
  designation: string;
  /** Nominal diameter and pitch, mm. */
  diameter: number;
  pitch: number;
  /** Beyond the full thread, where the drawing allows it, mm. */
  runOut?: number;
  hand?: 'left';
  /** Its class of tolerance, where the drawing names one. */
  of?: string;
}

/** Where something lies: how far from a face, counted from the front, towards the back; from the back face forwards. */
export interface Place {
  face: number;
  size: Size;
}

/** What the drawing writes beside a feature. z of the part, mm. */
export type Dimension =
  | { kind: 'diameter'; z: number; size: Size; text?: string }
  | { kind: 'length'; z0: number; z1: number; size?: Size }
  /** A leader from a place on the surface. */
  | { kind: 'note'; z: number; r: number; text: string };

/**
 * Something of the part that is more than a cylinder or a drilled hole: what it looks like, takes away and is called.
 * Profiles are of the part: z from the finished front face, mm.
 */
export interface Feature {
  path: string;
  kind: string;
  /** In words, for plan and drawing: `groove 2 mm wide to ⌀12.5`. */
  name: string;
  /** As the drawing calls it. */
  called?: string;
  z0: number;
  z1: number;
  /** Of a bore: the end that it goes in at. */
  from?: 'front' | 'back';
  /** Where the drawing says that it lies; what sits on a corner is where its faces are. */
  place?: Place;
  /** How far the middle of its place lies behind the nominal one, mm. */
  middle?: number;
  /** What it takes off the outside, or out of the bore. */
  outside?: Segment[];
  bore?: Segment[];
  /** What it leaves standing that a square corner would not have. */
  leaves?: Segment[];
  /** Between which diameters it is cut into the face that it goes in at. */
  inFace?: { inner: Size; outer: Size };
  flats?: Flats;
  thread?: Thread;
  /** A hole across the axis: its diameter, and how deep from the outside; right through without it; how far out of square, degrees. */
  cross?: { diameter: number; depth?: number; tilt?: number };
  /** Where it stands about the axis, from the first, degrees. */
  turnedTo?: number;
  knurl?: { pattern: string; pitch: number };
  /** How deep, where the drawing gives that limits of its own. */
  deep?: Size;
  /** Marked on the drawing, and why where it says so. */
  critical?: true;
  why?: string;
  /** How finely it is to be made, mm between its limits, and on which diameter; for what cannot be held. */
  size?: Size;
  dimensions: Dimension[];
}
