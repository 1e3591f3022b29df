import type { Size } from './size';

/** One cylinder of the outside. z from the finished front face, mm. */
export interface Step {
  /** Where it stands in the run file; also its name for selection. */
  path: string;
  name?: string;
  diameter: Size;
  length: Size;
  zFrom: number;
  zTo: number;
  /** Ra, µm, where the drawing asks for one. */
  roughness?: number;
  critical: boolean;
}

/** A 45° chamfer on the corner of a step, at its front or its back end. */
export interface Chamfer {
  path: string;
  /** The step it sits on. */
  step: string;
  end: 'front' | 'back';
  z: number;
  /** Leg, mm. */
  size: number;
}

/** A hole on the axis. */
export interface Hole {
  path: string;
  from: 'front' | 'back';
  diameter: Size;
  /** Depth of the full diameter, mm; of a through hole the whole length. */
  depth: number;
  through: boolean;
}

/** The part as the core knows it: mm, z = 0 at the finished front face, z grows towards the back. */
export interface Part {
  number: string;
  name: string;
  revision: string;
  length: number;
  steps: Step[];
  chamfers: Chamfer[];
  holes: Hole[];
}

const flip = (end: 'front' | 'back') => (end === 'front' ? 'back' : 'front');

/**
 * The same part seen from the other end: what was the back face is z = 0. A set-up always looks at its own end, so
 * that nothing after it has to ask which way round the work is.
 */
export function turnRound(part: Part): Part {
  return {
    ...part,
    steps: part.steps
      .map((step) => ({ ...step, zFrom: part.length - step.zTo, zTo: part.length - step.zFrom }))
      .reverse(),
    chamfers: part.chamfers.map((chamfer) => ({ ...chamfer, end: flip(chamfer.end), z: part.length - chamfer.z })),
    holes: part.holes.map((hole) => ({ ...hole, from: flip(hole.from) })),
  };
}

/** Largest nominal diameter, mm. */
export const largestDiameter = (part: Part): number => Math.max(...part.steps.map(({ diameter }) => diameter.nominal));
