import { chamferCut } from './chamferCut';
import { pointLength } from './drillPoint';
import type { Hole, Part, Step } from '../part/part';
import type { Size } from '../part/size';
import { cylinder, lower, widen, type Segment } from './profile';
import { mirrored } from './segment';
import { remove, type Workpiece } from './workpiece';
import { CLOSE } from '../tolerances';

/** Angle of the point that blind holes are drawn and weighed with where no drill is chosen: the usual twist drill's. */
export const DRAWN_POINT = 118;

/** The outside that turning leaves: the steps by the diameter that `sizeOf` takes of each, 45° chamfers cut. */
export function outsideOf(
  { steps, chamfers }: Part,
  sizeOf: (step: Step) => number = ({ diameter }) => diameter.aim,
): Segment[] {
  const cylinders = steps.map((step) => cylinder(step.zFrom, step.zTo, sizeOf(step) / 2));
  const corners = chamfers.flatMap(({ step: path, end, z, size }): Segment[] => {
    const step = steps.find((candidate) => candidate.path === path);
    return chamferCut(z, step ? sizeOf(step) / 2 : 0, size, size, end);
  });
  return lower(cylinders, corners);
}

/** What a drill leaves of a hole: its full diameter, and the point of a blind one. z of the part. */
export function holeCut({ from, diameter, depth, through }: Hole, length: number): Segment[] {
  const radius = diameter.nominal / 2;
  const point = pointLength(diameter.nominal, DRAWN_POINT);
  const cut: Segment[] = [
    cylinder(0, depth, radius),
    ...(through ? [] : [{ z0: depth, z1: depth + point, r0: radius, r1: 0 }]),
  ];
  return from === 'front' ? cut : cut.map((segment) => mirrored(segment, length)).reverse();
}

/** Whether a step is turned for a thread, which it is smaller for. */
export const isBlank = ({ features }: Pick<Part, 'features'>, { zFrom, zTo }: Pick<Step, 'zFrom' | 'zTo'>): boolean =>
  features.some(({ thread, bore, z0, z1 }) => thread && !bore && z0 < zTo - CLOSE && z1 > zFrom + CLOSE);

/** A part whose threads are as wide as what is turned for them, or as that may be at least. */
export const withBlanks = (part: Part, at: (size: Size) => number = ({ aim }) => aim): Part => ({
  ...part,
  steps: part.steps.map((step) =>
    isBlank(part, step) ? { ...step, diameter: { ...step.diameter, nominal: at(step.diameter) } } : step,
  ),
});

/** The part of the drawing as metal, at nominal sizes: every shape, detail and hole of it. */
export function finishedPart(part: Part): Workpiece {
  const turned = outsideOf(part, ({ diameter }) => diameter.nominal);
  const { features, holes, length } = part;
  const filled = features.reduce<Segment[]>(
    (outside, { leaves }) => (leaves ? widen(outside, leaves) : outside),
    turned,
  );
  const cut = features.reduce<Workpiece>(
    (work, { outside, bore }) =>
      outside || bore ? remove(work, { ...(outside ? { outside } : {}), ...(bore ? { bore } : {}) }) : work,
    { outside: filled, bore: [cylinder(0, length, 0)] },
  );
  return holes.reduce<Workpiece>((work, hole) => remove(work, { bore: holeCut(hole, length) }), cut);
}
