import { finishedPart } from '../workpiece/finishedPart';
import { measure } from '../workpiece/measure';
import { clip, lower, radiusAt, widen } from '../workpiece/profile';
import { cylinder, radiusOn, type Segment, type Profile } from '../workpiece/segment';
import type { Feature, Flats } from './feature';
import type { Part } from './part';
import { pitchDiameter } from './thread';

/** What a part weighs and how it balances. */
export interface Mass {
  /** mm³ */
  volume: number;
  /** mm² of all surfaces, with faces and shoulders, threads and knurls as smooth. */
  surface: number;
  /** z of the centre of gravity, mm. */
  centre: number;
  grams: number;
}

/** Area of a round of this radius with flats on it, mm²: the circle less its segments, or the polygon. */
export function areaWith({ count, fromAxis: h }: Flats, radius: number): number {
  if (count >= 3 && radius >= h / Math.cos(Math.PI / count)) return count * h * h * Math.tan(Math.PI / count);
  if (radius <= h) return Math.PI * radius * radius;
  const segment = radius * radius * Math.acos(h / radius) - h * Math.sqrt(radius * radius - h * h);
  return Math.PI * radius * radius - count * segment;
}

/** Skin of a round with flats on it per mm of length: what is left of the round, and the flats. */
function skinWith({ count, fromAxis: h }: Flats, radius: number, slope: number): number {
  if (count >= 3 && radius >= h / Math.cos(Math.PI / count)) return 2 * count * h * Math.tan(Math.PI / count);
  const lean = Math.hypot(1, slope);
  if (radius <= h) return 2 * Math.PI * radius * lean;
  const round = radius * (2 * Math.PI - 2 * count * Math.acos(h / radius)) * lean;
  return round + count * 2 * Math.sqrt(radius * radius - h * h);
}

/** Simpson's rule; a cylinder's integrands are constant or linear, for which it is exact. */
function integrate(f: (z: number) => number, from: number, to: number): number {
  const steps = 256;
  const h = (to - from) / steps;
  let total = f(from) + f(to);
  for (let i = 1; i < steps; i++) total += (i % 2 === 1 ? 4 : 2) * f(from + i * h);
  return (total * h) / 3;
}

/** Something taken off a body of revolution: mm³, mm² of skin, mm⁴ about z = 0. */
interface Take {
  volume: number;
  skin: number;
  moment: number;
}

/** What flats take off a body of revolution: volume, skin and moment. */
function flatsTake(flats: Flats, pieces: Segment[]) {
  const take = { volume: 0, skin: 0, moment: 0 };
  for (const piece of pieces) {
    const radius = (z: number) => radiusOn(piece, z);
    const slope = (z: number) => (radiusOn(piece, z + 1e-6) - radiusOn(piece, z - 1e-6)) / 2e-6;
    const gone = (z: number) => Math.PI * radius(z) ** 2 - areaWith(flats, radius(z));
    take.volume += integrate(gone, piece.z0, piece.z1);
    take.moment += integrate((z) => z * gone(z), piece.z0, piece.z1);
    take.skin += integrate(
      (z) => 2 * Math.PI * radius(z) * Math.hypot(1, slope(z)) - skinWith(flats, radius(z), slope(z)),
      piece.z0,
      piece.z1,
    );
  }
  return take;
}

/** A thread as the cylinder of its pitch diameter, which holds as much metal. */
function withThreads(part: Part): { outside: Profile; bore: Profile } {
  return part.features.reduce<{ outside: Profile; bore: Profile }>(
    ({ outside, bore }, { thread, bore: inner, z0, z1 }) => {
      if (!thread) return { outside, bore };
      const cut = [cylinder(z0, z1, pitchDiameter(thread) / 2)];
      return inner ? { outside, bore: widen(bore, cut) } : { outside: lower(outside, cut), bore };
    },
    finishedPart(part),
  );
}

const flatsOf = (features: Feature[]) => features.flatMap(({ flats, z0, z1 }) => (flats ? [{ ...flats, z0, z1 }] : []));

/**
 * What a hole across the axis takes: its section times the metal that it goes through on its middle line. Good to the
 * square of its diameter to that of the part; its skin comes on, the two mouths go.
 */
function crossTakes({ cross, z0, z1 }: Feature, outside: Profile, bore: Profile): Take {
  if (!cross) return { volume: 0, skin: 0, moment: 0 };
  const middle = (z0 + z1) / 2;
  const [outer, inner] = [radiusAt(outside, middle), radiusAt(bore, middle)];
  const walls = cross.depth === undefined ? 2 * (outer - inner) : Math.min(cross.depth, outer - inner);
  const section = (Math.PI / 4) * cross.diameter ** 2;
  const mouths = cross.depth === undefined ? 2 : 1;
  return {
    volume: section * walls,
    skin: mouths * section - Math.PI * cross.diameter * walls,
    moment: section * walls * middle,
  };
}

/** A groove in a face: a ring, whose two walls are skin that was not there. */
function inFaceTakes({ inFace, z0, z1 }: Feature): Take {
  if (!inFace) return { volume: 0, skin: 0, moment: 0 };
  const [inner, outer] = [inFace.inner.nominal / 2, inFace.outer.nominal / 2];
  const volume = Math.PI * (outer ** 2 - inner ** 2) * (z1 - z0);
  return { volume, skin: -2 * Math.PI * (inner + outer) * (z1 - z0), moment: (volume * (z0 + z1)) / 2 };
}

/** Radius just before or just behind a place; 0 beyond the ends. */
function radiusBeside(profile: Profile, z: number, side: 'before' | 'behind'): number {
  const near = 1e-7;
  const segment = profile.find(({ z0, z1 }) =>
    side === 'before' ? z0 < z - near && z <= z1 + near : z0 <= z + near && z < z1 - near,
  );
  return segment ? radiusOn(segment, Math.min(segment.z1, Math.max(segment.z0, z))) : 0;
}

/** Area of all faces that stand across the axis: the ends, and every jump of radius or of section. */
function faces(outside: Profile, bore: Profile, flats: ReturnType<typeof flatsOf>, length: number): number {
  const places = [...outside, ...bore, ...flats].flatMap(({ z0, z1 }) => [z0, z1]).sort((a, b) => a - b);
  const near = 1e-7;
  const section = (z: number, side: 'before' | 'behind') => {
    const radius = radiusBeside(outside, z, side);
    const across = flats.find(({ z0, z1 }) =>
      side === 'before' ? z0 < z - near && z <= z1 + near : z0 <= z + near && z < z1 - near,
    );
    return across ? areaWith(across, radius) : Math.PI * radius * radius;
  };
  const hole = (z: number, side: 'before' | 'behind') => Math.PI * radiusBeside(bore, z, side) ** 2;
  return places
    .filter((z, index) => z - (places[index - 1] ?? -1) > near)
    .reduce((total, z) => {
      const [outer, inner] = [section, hole].map((area) => Math.abs(area(z, 'before') - area(z, 'behind')));
      const end = z < near || z > length - near;
      return total + (outer ?? 0) + (end ? -1 : 1) * (inner ?? 0);
    }, 0);
}

/**
 * Volume, surface, centre of gravity and mass of the finished part at nominal sizes (trade: Stock: mass = ∫ volume ×
 * density). Closed formulas for cylinders, cones and arcs; flats on anything but a cylinder by Simpson's rule.
 * @param density g/cm³
 */
export function massOf(part: Part, density: number): Mass {
  const { outside, bore } = withThreads(part);
  const flats = flatsOf(part.features);
  const [outer, inner] = [measure(outside), measure(bore)];
  const taken = flats.map(({ z0, z1, ...sides }) => flatsTake(sides, clip(outside, z0, z1)));
  const across = part.features.map((feature) => crossTakes(feature, outside, bore));
  const inFaces = part.features.map(inFaceTakes);
  const sum = (key: 'volume' | 'skin' | 'moment') =>
    [...taken, ...across, ...inFaces].reduce((total, take) => total + take[key], 0);
  const volume = outer.volume - inner.volume - sum('volume');
  return {
    volume,
    surface: outer.skin + inner.skin - sum('skin') + faces(outside, bore, flats, part.length),
    centre: (outer.moment - inner.moment - sum('moment')) / volume,
    grams: (volume / 1000) * density,
  };
}
