import { pointLength } from '../cutting/speed';
import type { Part, Step } from '../part/part';
import { cylinder, lower, type Segment } from './profile';
import { remove, type Workpiece } from './workpiece';

/** Angle of the point that blind holes are drawn and weighed with where no drill is chosen: the usual twist drill's. */
const DRAWN_POINT = 118;

/** The outside of a part: its steps by the diameter that `sizeOf` takes of each, chamfers cut. */
export function outsideOf(
  { steps, chamfers }: Part,
  sizeOf: (step: Step) => number = ({ diameter }) => diameter.aim,
): Segment[] {
  const cylinders = steps.map((step) => cylinder(step.zFrom, step.zTo, sizeOf(step) / 2));
  const corners = chamfers.flatMap(({ step: path, end, z, size }): Segment[] => {
    const step = steps.find((own) => own.path === path);
    const radius = step ? sizeOf(step) / 2 : 0;
    return end === 'front'
      ? [{ z0: z, z1: z + size, r0: radius - size, r1: radius }]
      : [{ z0: z - size, z1: z, r0: radius, r1: radius - size }];
  });
  return lower(cylinders, corners);
}

/** The part of the drawing as metal, at nominal sizes: its outside less its holes with their points. */
export function finishedPart(part: Part): Workpiece {
  const blank: Workpiece = {
    outside: outsideOf(part, ({ diameter }) => diameter.nominal),
    bore: [cylinder(0, part.length, 0)],
  };
  return part.holes.reduce<Workpiece>((work, { diameter, depth, through }) => {
    const radius = diameter.nominal / 2;
    const point = pointLength(diameter.nominal, DRAWN_POINT);
    const tip: Segment[] = through ? [] : [{ z0: depth, z1: depth + point, r0: radius, r1: 0 }];
    return remove(work, { bore: [cylinder(0, depth, radius), ...tip] });
  }, blank);
}
