import type { CutSetup } from '../cutting/planCuts';
import type { Part } from '../part/part';
import { good, refuse, type Result } from '../result';
import type { Run } from '../run';
import { cylinder, lower, volume, type Segment } from './profile';
import { metal, remove, type Workpiece } from './workpiece';

/** The outside of a part as its tools aim at it: steps at the middle of their limits, chamfers cut. */
export function outsideOf({ steps, chamfers }: Part, sizeOf: 'aim' | 'nominal' = 'aim'): Segment[] {
  const cylinders = steps.map(({ zFrom, zTo, diameter }) => cylinder(zFrom, zTo, diameter[sizeOf] / 2));
  const corners = chamfers.flatMap(({ step, end, z, size }): Segment[] => {
    const radius = (steps.find(({ path }) => path === step)?.diameter[sizeOf] ?? 0) / 2;
    return end === 'front'
      ? [{ z0: z, z1: z + size, r0: radius - size, r1: radius }]
      : [{ z0: z - size, z1: z, r0: radius, r1: radius - size }];
  });
  return lower(cylinders, corners);
}

/** The part as metal: its outside less its holes with their points. */
export function finishedPart(
  part: Part,
  pointOf: (diameter: number) => number,
  sizeOf: 'aim' | 'nominal' = 'aim',
): Workpiece {
  const blank: Workpiece = { outside: outsideOf(part, sizeOf), bore: [cylinder(0, part.length, 0)] };
  return part.holes.reduce<Workpiece>((work, { diameter, depth, through }) => {
    const radius = diameter.nominal / 2;
    const tip: Segment[] = through ? [] : [{ z0: depth, z1: depth + pointOf(diameter.nominal), r0: radius, r1: 0 }];
    return remove(work, { bore: [cylinder(0, depth, radius), ...tip] });
  }, blank);
}

/** Share of the part's metal that may be left standing or cut away by bars left as drawn and drills near their size. */
const TOLERATED = 0.02;

/** Checks that running the plan leaves the part of the drawing (design 1, promise 4). */
export function checkFinished(run: Run, setups: CutSetup[]): Result<null> {
  const left = setups.at(-1)?.cuts.at(-1)?.after ?? setups.at(-1)?.start;
  if (!left) return refuse('part.outside', 'there is nothing to do');
  const wanted = volume(outsideOf(run.part));
  const outside = volume(left.outside);
  if (Math.abs(outside - wanted) > TOLERATED * wanted)
    return refuse(
      'part.outside',
      `running the plan leaves ${(outside / 1000).toFixed(2)} cm³ within the outside where the drawing has ${(wanted / 1000).toFixed(2)}: this part is not planned right, and nothing is given out for it`,
    );
  return metal(left) > 0 ? good(null) : refuse('part.bores', 'the holes leave nothing of the part');
}
