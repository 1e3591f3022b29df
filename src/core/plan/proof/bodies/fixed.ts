import type { Bodies, Machine } from '../../../model/shop/shop';
import type { FaultCode } from '../faults';
import type { WrittenHolding, WrittenRest } from '../written';
import { boxOf, hullOf, rectangle, type Box, type Polygon } from './convex';

/** Something that stands still, and that no tool may meet. z of the set-up, mm. */
export interface FixedBody {
  name: string;
  code: FaultCode;
  polygon: Polygon;
  box: Box;
}

const standsAt = (name: string, code: FaultCode, polygon: Polygon): FixedBody => ({
  name,
  code,
  polygon,
  box: boxOf(polygon),
});

/** Farther than any lathe reaches, mm. */
const FAR = 1e4;

/** What holds the work on its outside: jaws, a collet, a dog, and the chuck behind. */
export function holdingBodies(
  { kind, diameter, from, over, inside }: WrittenHolding,
  machine: Machine,
  { chuck, jawStep, jawHeight }: Bodies,
): FixedBody[] {
  if (inside !== undefined) return [];
  const name = kind === 'between-centres' ? 'dog' : kind === 'collet' ? 'collet' : 'jaws';
  const means = kind === 'collet' ? machine.collets : machine.jaws;
  const inner = diameter / 2;
  const outer = Math.max((over ?? means.over ?? chuck) / 2, inner);
  // Jaws rise in steps; what is all round does not.
  const first = name === 'jaws' ? Math.min(outer, inner + jawHeight) : outer;
  const step = name === 'jaws' ? jawStep : 0;
  const behind =
    kind === 'collet' || kind === 'between-centres'
      ? []
      : [rectangle(from + means.length, FAR, machine.spindleBore / 2, chuck / 2)];
  return [
    standsAt(name, 'meets-holding', rectangle(from, from + means.length, inner, first)),
    ...(first < outer
      ? [standsAt(name, 'meets-holding', rectangle(from + step, from + means.length, first, outer))]
      : []),
    ...behind.map((polygon) => standsAt('chuck', 'meets-holding', polygon)),
  ];
}

/** A centre in a hole of the free end: a cone of 60° and its body. */
export function centreBody(z: number, hole: number, { centre }: Bodies): FixedBody {
  const radius = Math.max(centre / 2, hole);
  const cone = (radius - hole) / Math.tan(Math.PI / 6);
  return standsAt(
    'centre',
    'meets-centre',
    hullOf([
      { z, r: hole },
      { z, r: 0 },
      { z: z - cone, r: radius },
      { z: -FAR, r: radius },
      { z: -FAR, r: 0 },
    ]),
  );
}

/** A spindle stop behind the work: a ring, through which small drills pass. */
export const stopBody = (z: number, { stopBore, stop }: Bodies): FixedBody =>
  standsAt('spindle stop', 'meets-stop', rectangle(z, FAR, stopBore / 2, Math.max(stop, stopBore) / 2));

/** A rest about the work: what turns in it is no wider than the work there. */
export const restBody = ({ from, to }: WrittenRest, inner: number, { rest }: Bodies): FixedBody =>
  standsAt('rest', 'meets-rest', rectangle(from, to, inner, Math.max(rest / 2, inner)));

/** A rod from the tailstock through a bore, on which a parted ring is caught. */
export const catcherBody = (z: number, bore: number, { catcherPlay }: Bodies): FixedBody =>
  standsAt('catcher', 'meets-catcher', rectangle(-FAR, z, 0, Math.max(0, bore - catcherPlay / 2)));
