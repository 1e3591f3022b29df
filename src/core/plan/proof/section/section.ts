import {
  crossings,
  highestOf,
  isSame,
  level,
  lowestOf,
  mirroredCurve,
  onGrid,
  radiusAt,
  SAME,
  squared,
  type Curve,
} from './curve';

/** Metal between two curves, the lower nearer to the axis. */
export interface Band {
  low: Curve;
  high: Curve;
}

/** A slice of z in which no curve begins, ends or crosses another: bands from the axis outwards, none touching. */
export interface Slab {
  z0: number;
  z1: number;
  bands: readonly Band[];
}

/**
 * Metal on one side of the axis, r ≥ 0, in slabs of rising z. A groove in a flat face or a recess behind a shoulder is
 * one more band, and no special case.
 */
export type Section = readonly Slab[];

/** Thinner slabs are dropped, mm. */
const THIN = 2e-6;

export const AXIS: Curve = level(0);

/** Whether a band is worth keeping: thick somewhere. */
const isThick = ({ low, high }: Band, z0: number, z1: number): boolean =>
  radiusAt(high, z0) - radiusAt(low, z0) > SAME ||
  radiusAt(high, z1) - radiusAt(low, z1) > SAME ||
  radiusAt(high, (z0 + z1) / 2) - radiusAt(low, (z0 + z1) / 2) > SAME;

const isSameBands = (a: Slab, b: Slab): boolean =>
  a.bands.length === b.bands.length &&
  a.bands.every(({ low, high }, index) => low === b.bands[index]?.low && high === b.bands[index]?.high);

/** Puts a slab behind others; with the same bands as its neighbour it becomes one with it. */
function putBehind(slabs: Slab[], slab: Slab): void {
  if (slab.bands.length === 0) return;
  const last = slabs.at(-1);
  if (last && slab.z0 - last.z1 < THIN && isSameBands(last, slab)) slabs[slabs.length - 1] = { ...last, z1: slab.z1 };
  else slabs.push(slab);
}

/** Neighbours with the same bands become one slab. */
function joined(slabs: readonly Slab[]): Section {
  const result: Slab[] = [];
  for (const slab of slabs) putBehind(result, slab);
  return result;
}

/** A piece of a section between what was before and behind it: only where they meet slabs may become one. */
function between(before: Slab[], piece: Section, after: readonly Slab[]): Section {
  for (const slab of piece) putBehind(before, slab);
  const [first, ...rest] = after;
  if (first) putBehind(before, first);
  for (const slab of rest) before.push(slab);
  return before;
}

/** Places rising, those nearer than a thin slab left out. */
const rising = (places: number[]): number[] =>
  places.sort((a, b) => a - b).filter((z, index, all) => index === 0 || z - (all[index - 1] as number) > THIN);

/** The curve of a stack that comes next outwards: its bands' lows and highs, one after the other. */
const curveAt = (bands: readonly Band[], index: number): Curve | undefined => {
  const band = bands[index >> 1];
  return band && (index % 2 === 0 ? band.low : band.high);
};

/** The bands that both stacks give together, at curves that do not cross between two places. */
function stacked(
  a: readonly Band[],
  b: readonly Band[],
  [z0, z1]: [number, number],
  keeps: (inA: boolean, inB: boolean) => boolean,
): Band[] {
  const middle = (z0 + z1) / 2;
  const bands: Band[] = [];
  let low: Curve | undefined;
  // Outwards along both at once: the nearer curve is the next.
  let [atA, atB] = [0, 0];
  let [nextA, nextB] = [curveAt(a, 0), curveAt(b, 0)];
  let rA = nextA ? radiusAt(nextA, middle) : Infinity;
  let rB = nextB ? radiusAt(nextB, middle) : Infinity;
  while (nextA ?? nextB) {
    let curve: Curve | undefined;
    if (rA <= rB) {
      curve = nextA;
      nextA = curveAt(a, (atA += 1));
      rA = nextA ? radiusAt(nextA, middle) : Infinity;
    } else {
      curve = nextB;
      nextB = curveAt(b, (atB += 1));
      rB = nextB ? radiusAt(nextB, middle) : Infinity;
    }
    const kept = keeps(atA % 2 === 1, atB % 2 === 1);
    if (kept && low === undefined) low = curve;
    if (kept || low === undefined || curve === undefined) continue;
    const band = { low, high: curve };
    low = undefined;
    if (!isThick(band, z0, z1)) continue;
    const before = bands.at(-1);
    // Two that touch all along are one.
    if (before && isSame(before.high, band.low, z0, z1)) before.high = band.high;
    else bands.push(band);
  }
  return bands;
}

/** Slabs of one section under a place, asked for in rising order. */
function reader(section: Section): (z: number) => readonly Band[] {
  let at = 0;
  return (z) => {
    while (at < section.length && (section[at] as Slab).z1 <= z) at += 1;
    const slab = section[at];
    return slab && slab.z0 <= z ? slab.bands : [];
  };
}

/** Where curves of two stacks cross between two places. */
function crossed(a: readonly Band[], b: readonly Band[], from: number, to: number): number[] {
  const places: number[] = [];
  for (let one = 0; one < 2 * a.length; one += 1)
    for (let other = 0; other < 2 * b.length; other += 1)
      for (const z of crossings(curveAt(a, one) as Curve, curveAt(b, other) as Curve, from, to)) places.push(onGrid(z));
  return places;
}

function combined(a: Section, b: Section, keeps: (inA: boolean, inB: boolean) => boolean): Section {
  const borders = rising([...a, ...b].flatMap(({ z0, z1 }) => [z0, z1]));
  const [inA, inB] = [reader(a), reader(b)];
  const slabs: Slab[] = [];
  for (const [index, to] of borders.slice(1).entries()) {
    const from = borders[index] as number;
    const middle = (from + to) / 2;
    const [bandsA, bandsB] = [inA(middle), inB(middle)];
    // Where only one of them is, nothing crosses.
    if (bandsA.length === 0 || bandsB.length === 0) {
      const [only, kept] = bandsA.length > 0 ? [bandsA, keeps(true, false)] : [bandsB, keeps(false, true)];
      slabs.push({ z0: from, z1: to, bands: kept ? only : [] });
      continue;
    }
    const within = crossed(bandsA, bandsB, from, to);
    const places = within.length === 0 ? [from, to] : rising([from, to, ...within]);
    for (const [part, z1] of places.slice(1).entries()) {
      const z0 = places[part] as number;
      slabs.push({ z0, z1, bands: stacked(bandsA, bandsB, [z0, z1], keeps) });
    }
  }
  return joined(slabs);
}

/** What is in either. */
export const union = (a: Section, b: Section): Section => combined(a, b, (inA, inB) => inA || inB);

/** What is in the first and not in the second. */
export const difference = (a: Section, b: Section): Section => combined(a, b, (inA, inB) => inA && !inB);

/** What is in both. */
export const intersection = (a: Section, b: Section): Section => combined(a, b, (inA, inB) => inA && inB);

/** The slabs that a stretch of z reaches, cut to it, and those on both sides of it. */
function reachedIn(section: Section, z0: number, z1: number): [Slab[], Slab[], Slab[]] {
  const [before, within, after]: [Slab[], Slab[], Slab[]] = [[], [], []];
  for (const slab of section) {
    if (slab.z1 <= z0 + THIN) before.push(slab);
    else if (slab.z0 >= z1 - THIN) after.push(slab);
    else {
      if (slab.z0 < z0 - THIN) before.push({ ...slab, z1: z0 });
      if (slab.z1 > z1 + THIN) after.push({ ...slab, z0: z1 });
      within.push({ ...slab, z0: Math.max(slab.z0, z0), z1: Math.min(slab.z1, z1) });
    }
  }
  return [before, within, after];
}

const extentOf = (section: Section): [number, number] => [section[0]?.z0 ?? 0, section.at(-1)?.z1 ?? 0];

/** What a piece leaves of a section. Only slabs that it reaches are touched. */
export function cutBy(section: Section, piece: Section): Section {
  const [before, within, after] = reachedIn(section, ...extentOf(piece));
  return within.length === 0 ? section : between(before, difference(within, piece), after);
}

/** A section with a piece on it. Only slabs that it reaches are touched; beyond them it stands alone. */
export function joinedWith(section: Section, piece: Section): Section {
  const [before, within, after] = reachedIn(section, ...extentOf(piece));
  return piece.length === 0 ? section : between(before, union(within, piece), after);
}

/** What a section has in common with a piece. Only slabs that it reaches are looked at. */
export const metBy = (section: Section, piece: Section): Section => {
  const [, within] = reachedIn(section, ...extentOf(piece));
  return within.length === 0 ? [] : intersection(within, piece);
};

/** The section seen from the other end of a length, mm. */
export const mirrored = (section: Section, length: number): Section =>
  section
    .map(({ z0, z1, bands }) => ({
      z0: onGrid(length - z1),
      z1: onGrid(length - z0),
      bands: bands.map(({ low, high }) => ({ low: mirroredCurve(low, length), high: mirroredCurve(high, length) })),
    }))
    .reverse();

/** How near to the axis a slab's metal comes at a place, and how far out, mm. */
export const lowAt = ({ bands }: Slab, z: number): number => (bands[0] ? radiusAt(bands[0].low, z) : 0);
export const highAt = ({ bands }: Slab, z: number): number => {
  const last = bands.at(-1);
  return last ? radiusAt(last.high, z) : 0;
};

/** Whether a section comes near a stretch of z and of r at all. */
export const comesNear = (section: Section, z0: number, z1: number, r0: number, r1: number): boolean =>
  section.some(
    (slab) =>
      slab.z0 < z1 - THIN &&
      slab.z1 > z0 + THIN &&
      slab.bands.some(
        ({ low, high }) => lowestOf(low, slab.z0, slab.z1) < r1 - THIN && highestOf(high, slab.z0, slab.z1) > r0 + THIN,
      ),
  );

/** Volume of the body of revolution, mm³. */
export const volumeOf = (section: Section): number =>
  section.reduce(
    (total, { z0, z1, bands }) =>
      bands.reduce((sum, { low, high }) => sum + Math.PI * (squared(high, z0, z1) - squared(low, z0, z1)), total),
    0,
  );

/** Whether there is metal at a place. */
export const holds = (section: Section, z: number, r: number): boolean =>
  section.some(
    ({ z0, z1, bands }) =>
      z0 <= z && z <= z1 && bands.some(({ low, high }) => radiusAt(low, z) <= r && r <= radiusAt(high, z)),
  );
