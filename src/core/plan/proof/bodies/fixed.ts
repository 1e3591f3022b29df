import type { Bodies, Machine } from '../../../model/shop/shop';
import type { FaultCode } from '../faults';
import type { WrittenHolding } from '../written';
import { hullOf, rectangle, type Polygon } from './convex';

/** Something that stands still, and that no tool may meet. z of the set-up, mm. */
export interface FixedBody {
  name: string;
  code: FaultCode;
  polygon: Polygon;
}

/** Farther than any lathe reaches, mm. */
const FAR = 1e4;

/** What holds the work on its outside: jaws, a collet, a dog, and the chuck behind. */
export function holdingBodies(
  { kind, diameter, from, over, inside }: WrittenHolding,
  machine: Machine,
  { chuck }: Bodies,
): FixedBody[] {
  if (inside !== undefined) return [];
  const name = kind === 'between-centres' ? 'dog' : kind === 'collet' ? 'collet' : 'jaws';
  const own = kind === 'collet' ? machine.collets : machine.jaws;
  const outer = (over ?? own.over ?? chuck) / 2;
  const behind =
    kind === 'collet' || kind === 'between-centres'
      ? []
      : [rectangle(from + own.length, FAR, machine.spindleBore / 2, chuck / 2)];
  return [
    {
      name,
      code: 'meets-holding' as const,
      polygon: rectangle(from, from + own.length, diameter / 2, Math.max(outer, diameter / 2)),
    },
    ...behind.map((polygon) => ({ name: 'chuck', code: 'meets-holding' as const, polygon })),
  ];
}

/** A centre in a hole of the free end: a cone of 60° and its body. */
export function centreBody(z: number, hole: number, { centre }: Bodies): FixedBody {
  const radius = Math.max(centre / 2, hole);
  const cone = (radius - hole) / Math.tan(Math.PI / 6);
  return {
    name: 'centre',
    code: 'meets-centre',
    polygon: hullOf([
      { z, r: hole },
      { z, r: 0 },
      { z: z - cone, r: radius },
      { z: -FAR, r: radius },
      { z: -FAR, r: 0 },
    ]),
  };
}

/** A spindle stop behind the work: a ring, through which small drills pass. */
export const stopBody = (z: number, { stopBore, stop }: Bodies): FixedBody => ({
  name: 'spindle stop',
  code: 'meets-stop',
  polygon: rectangle(z, FAR, stopBore / 2, Math.max(stop, stopBore) / 2),
});
