import type { Elsewhere } from './elsewhere';
import { mirror } from '../workpiece/profile';
import type { Dimension, Feature } from './feature';
import type { Link } from './chain';
import type { Size } from './size';
import type { GeneralClass } from './tolerance';

/**
 * One step of the outside as turning leaves it: a cylinder. A cone, a ball, a hexagon or a recess lies within the
 * cylinder of its step, and is a feature with the same path. z from the finished front face, mm.
 */
export interface Step {
  /** Where it stands in the run file; also its name for selection. */
  path: string;
  name?: string;
  /** The diameter that turning leaves: of a cone its larger, of a recess that of its lower neighbour. */
  diameter: Size;
  length: Size;
  zFrom: number;
  zTo: number;
  /** How far its ends lie behind that when every length is at the middle of its limits, from the z = 0 of the view. */
  middle: { from: number; to: number };
  /** Ra, µm, where the drawing asks for one. */
  roughness?: number;
  critical: boolean;
  /** Why it is critical, where somebody said so. */
  why?: string;
  /** It stays as it came: its skin is let be. */
  keep?: true;
  /** What turning leaves on its diameter for work elsewhere, mm; less than nothing where it is turned smaller. */
  leaves?: number;
}

/** Whether only what lies within the cylinder of a step is drawn of it: a recess, cut away to its own diameter. */
export const isRecess = ({ features }: Pick<Part, 'features'>, path: string): boolean =>
  features.some((feature) => feature.kind === 'recess' && feature.path === path);

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

/** A drilled hole on the axis. */
export interface Hole {
  path: string;
  name?: string;
  from: 'front' | 'back';
  diameter: Size;
  /** Depth of the full diameter, mm; of a through hole the whole length. */
  depth: number;
  through: boolean;
  /** How deep, where the drawing gives that limits of its own. */
  deep?: Size;
  /** Marked on the drawing, and why where it says so. */
  critical?: true;
  why?: string;
}

/** Two surfaces that must run true to each other: their paths and the run-out allowed, mm. */
export interface Tie {
  path: string;
  of: string;
  to: string;
  limit: number;
}

/** The steps as the drawing has them, of a part some of whose steps are divided to be made: each where it begins. */
export const drawnSteps = ({ steps }: Pick<Part, 'steps'>): Step[] =>
  steps.filter(
    ({ path }, index) => path.startsWith('part.outside') && steps.findIndex((step) => step.path === path) === index,
  );

/** Whether the drawing asks a surface to run true to another. */
export const isTied = ({ ties }: Pick<Part, 'ties'>, path: string): boolean =>
  ties.some(({ of, to }) => of === path || to === path);

/** A part that this one must fit, by the surface that it fits: it is the gauge of that. */
export interface Mate {
  of: string;
  name: string;
}

/** The part as the core knows it: mm, z = 0 at the finished front face, z grows towards the back. */
export interface Part {
  number: string;
  name: string;
  revision: string;
  length: number;
  /** The class of its general tolerances. */
  general: GeneralClass;
  steps: Step[];
  chamfers: Chamfer[];
  holes: Hole[];
  /** Everything that is more than a cylinder, a 45° chamfer or a drilled hole. */
  features: Feature[];
  ties: Tie[];
  mates?: Mate[];
  /** What the drawing wants done on other machines or by other firms, in the order that it is done. */
  elsewhere: Elsewhere[];
  /** The lengths of the drawing between its faces, counted from its front, whatever the view. */
  links: Link[];
}

const flip = (end: 'front' | 'back') => (end === 'front' ? 'back' : 'front');

const turnDimension = (dimension: Dimension, length: number): Dimension =>
  dimension.kind === 'length'
    ? { ...dimension, z0: length - dimension.z1, z1: length - dimension.z0 }
    : { ...dimension, z: length - dimension.z };

function turnFeature(feature: Feature, length: number, behind: number): Feature {
  const { outside, bore, leaves } = feature;
  return {
    ...feature,
    z0: length - feature.z1,
    z1: length - feature.z0,
    ...(outside ? { outside: mirror(outside, length) } : {}),
    ...(bore ? { bore: mirror(bore, length) } : {}),
    ...(leaves ? { leaves: mirror(leaves, length) } : {}),
    ...(feature.from ? { from: flip(feature.from) } : {}),
    ...(feature.middle === undefined ? {} : { middle: behind - feature.middle }),
    dimensions: feature.dimensions.map((dimension) => turnDimension(dimension, length)),
  };
}

/**
 * The same part seen from the other end: what was the back face is z = 0. A set-up always looks at its own end, so
 * that nothing after it has to ask which way round the work is.
 */
export function turnRound(part: Part): Part {
  const { length } = part;
  const behind = part.steps.at(-1)?.middle.to ?? 0;
  return {
    ...part,
    steps: part.steps
      .map((step) => ({
        ...step,
        zFrom: length - step.zTo,
        zTo: length - step.zFrom,
        middle: { from: behind - step.middle.to, to: behind - step.middle.from },
      }))
      .reverse(),
    chamfers: part.chamfers.map((chamfer) => ({ ...chamfer, end: flip(chamfer.end), z: length - chamfer.z })),
    holes: part.holes.map((hole) => ({ ...hole, from: flip(hole.from) })),
    features: part.features.map((feature) => turnFeature(feature, length, behind)),
  };
}

/** Largest nominal diameter, mm. */
export const largestDiameter = (part: Part): number => Math.max(...part.steps.map(({ diameter }) => diameter.nominal));
