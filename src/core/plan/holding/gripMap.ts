import type { Part } from '../../model/part/part';
import { clip, largestRadius, type Segment } from '../../model/workpiece/profile';
import type { Workpiece } from '../../model/workpiece/workpiece';
import { say } from '../../model/words';
import { shortestGrip } from '../cutting/grip';
import type { Setup } from '../../model/plan/setup';
import { CLOSE } from '../../model/tolerances';

/** A stretch of the outside as it is at one moment: how thick it is, and whether it may be held. z of the set-up, mm. */
export interface GripZone {
  z0: number;
  z1: number;
  diameter: number;
  /** Metal under it where it is thinnest. */
  wall: number;
  /** Held bare; held only by what marks nothing and grips all round; or not held. */
  hold: 'bare' | 'unmarked' | 'never';
  because: string;
}

const isStraight = ({ arc, r0, r1 }: Segment): boolean => !arc && Math.abs(r0 - r1) < CLOSE;

/** The outside cut where steps, threads and knurls begin and end. */
function piecesOf({ outside }: Workpiece, { steps, features }: Part): Segment[] {
  const rolled = features.filter(({ thread, knurl, bore }) => (thread || knurl) && !bore);
  const places = [...steps.flatMap(({ zFrom, zTo }) => [zFrom, zTo]), ...rolled.flatMap(({ z0, z1 }) => [z0, z1])];
  return outside.flatMap((segment) => {
    const cuts = [segment.z0, ...places.filter((z) => z > segment.z0 + CLOSE && z < segment.z1 - CLOSE), segment.z1];
    const sorted = [...new Set(cuts)].sort((a, b) => a - b);
    return sorted.slice(1).flatMap((to, index) => clip([segment], sorted[index] ?? to, to));
  });
}

function zoneOf(piece: Segment, work: Workpiece, setup: Setup, made: readonly string[]): GripZone {
  const { part, run, stock } = setup;
  const { units, shop } = run;
  const { z0, z1 } = piece;
  const radius = Math.min(piece.r0, piece.r1);
  const wall = radius - largestRadius(work.bore, z0, z1);
  const zone = (hold: GripZone['hold'], because: string): GripZone => ({
    z0,
    z1,
    diameter: 2 * radius,
    wall,
    hold,
    because,
  });
  const on = part.features.filter(
    (feature) =>
      made.includes(feature.path) &&
      !feature.bore &&
      !feature.inFace &&
      feature.z0 < z1 - CLOSE &&
      feature.z1 > z0 + CLOSE,
  );
  const step = part.steps.find(({ zFrom, zTo }) => zFrom < z1 - CLOSE && zTo > z0 + CLOSE);
  const finished =
    step !== undefined && (stock.asDrawn.includes(step.path) || Math.abs(2 * radius - step.diameter.aim) < CLOSE);
  if (!isStraight(piece)) return zone('never', 'not straight');
  const short = say(Number((z1 - z0).toFixed(2)), units);
  if (z1 - z0 < Math.min(...Object.values(shop.cutting.gripLeast)) - CLOSE) return zone('never', `too short: ${short}`);
  if (on.some(({ thread }) => thread)) return zone('unmarked', 'a thread');
  if (on.some(({ knurl }) => knurl)) return zone('unmarked', 'a knurl');
  if (wall / (2 * radius) < shop.cutting.thinWall) return zone('unmarked', 'a thin wall');
  if (z1 - z0 < shortestGrip('3-jaw', 2 * radius, shop.cutting) - CLOSE)
    return zone('unmarked', `too short for hard jaws: ${short}`);
  if (finished && (step.critical || step.diameter.from !== 'general')) return zone('unmarked', 'a finished fit');
  return zone('bare', finished ? 'finished' : z0 > part.length - CLOSE ? 'stock' : 'not finished yet');
}

/**
 * What of the work may be held, and how thick it is, at one moment of a set-up (trade: Holding).
 * @param made paths of the features that are there by then
 */
export function gripMap(work: Workpiece, setup: Setup, made: readonly string[]): GripZone[] {
  const zones: GripZone[] = [];
  for (const piece of piecesOf(work, setup.part)) {
    const zone = zoneOf(piece, work, setup, [...setup.earlier, ...made, ...setup.stock.asDrawn]);
    const last = zones.at(-1);
    const goesOn =
      last &&
      last.hold === zone.hold &&
      last.because === zone.because &&
      Math.abs(last.diameter - zone.diameter) < CLOSE;
    if (goesOn) zones[zones.length - 1] = { ...last, z1: zone.z1, wall: Math.min(last.wall, zone.wall) };
    else zones.push(zone);
  }
  return zones;
}
