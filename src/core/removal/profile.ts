/** A straight piece of a profile: radius r0 at z0 to r1 at z1, mm, z0 < z1. */
export interface Segment {
  z0: number;
  z1: number;
  r0: number;
  r1: number;
}

/** A profile: segments side by side in rising z. A jump of radius between two of them is a shoulder. */
export type Profile = readonly Segment[];

const TINY = 1e-9;

/** A cylinder as a profile. */
export const cylinder = (z0: number, z1: number, r: number): Segment => ({ z0, z1, r0: r, r1: r });

/** Radius of a straight piece at a place on it, mm. */
export const radiusOn = (segment: Segment, z: number): number =>
  segment.r0 + ((segment.r1 - segment.r0) * (z - segment.z0)) / (segment.z1 - segment.z0);

const cutOut = (segment: Segment, z0: number, z1: number): Segment => ({
  z0,
  z1,
  r0: radiusOn(segment, z0),
  r1: radiusOn(segment, z1),
});

/** The part of a profile between two places. */
export const clip = (profile: Profile, from: number, to: number): Segment[] =>
  profile.flatMap((segment) => {
    const z0 = Math.max(segment.z0, from);
    const z1 = Math.min(segment.z1, to);
    return z1 - z0 > TINY ? [cutOut(segment, z0, z1)] : [];
  });

/** Joins neighbours that continue one straight line, so that profiles stay short. */
function joined(profile: Segment[]): Segment[] {
  const result: Segment[] = [];
  for (const segment of profile) {
    const last = result.at(-1);
    const slope = (s: Segment) => (s.r1 - s.r0) / (s.z1 - s.z0);
    if (
      last &&
      Math.abs(last.z1 - segment.z0) < TINY &&
      Math.abs(last.r1 - segment.r0) < TINY &&
      Math.abs(slope(last) - slope(segment)) < TINY
    )
      result[result.length - 1] = { z0: last.z0, z1: segment.z1, r0: last.r0, r1: segment.r1 };
    else result.push(segment);
  }
  return result;
}

/** Two profiles made one, piece by piece, by whichever radius `pick` takes; where only `base` is, `base` stays. */
function combine(base: Profile, other: Profile, pick: (a: number, b: number) => number): Segment[] {
  const places = [...new Set([...base, ...other].flatMap(({ z0, z1 }) => [z0, z1]))].sort((a, b) => a - b);
  const covering = (profile: Profile, z: number) => profile.find(({ z0, z1 }) => z0 < z && z < z1);
  const pieces = places.slice(1).flatMap((z1, index) => {
    const z0 = places[index] ?? z1;
    if (z1 - z0 < TINY) return [];
    const a = covering(base, (z0 + z1) / 2);
    if (!a) return [];
    const b = covering(other, (z0 + z1) / 2);
    if (!b) return [cutOut(a, z0, z1)];
    const [left, right] = [radiusOn(a, z0) - radiusOn(b, z0), radiusOn(a, z1) - radiusOn(b, z1)];
    const chosen = (from: number, to: number): Segment => {
      const middle = (from + to) / 2;
      const taken = pick(radiusOn(a, middle), radiusOn(b, middle)) === radiusOn(a, middle) ? a : b;
      return cutOut(taken, from, to);
    };
    if (left * right >= 0) return [chosen(z0, z1)];
    const crossing = z0 + ((z1 - z0) * left) / (left - right);
    return [chosen(z0, crossing), chosen(crossing, z1)].filter((piece) => piece.z1 - piece.z0 > TINY);
  });
  return joined(pieces);
}

/** What is left of the outside after a tool has been along `cut`: the smaller radius everywhere. */
export const lower = (outside: Profile, cut: Profile): Segment[] => combine(outside, cut, Math.min);

/** What a bore becomes after a tool has been along `cut`: the larger radius everywhere. */
export const widen = (bore: Profile, cut: Profile): Segment[] => combine(bore, cut, Math.max);

/** Radius at a place, the larger of the two at a shoulder; 0 outside the profile. */
export const radiusAt = (profile: Profile, z: number): number =>
  profile.reduce(
    (most, segment) => (segment.z0 - TINY <= z && z <= segment.z1 + TINY ? Math.max(most, radiusOn(segment, z)) : most),
    0,
  );

/** Largest radius between two places. */
export const largestRadius = (profile: Profile, from: number, to: number): number =>
  clip(profile, from, to).reduce((most, { r0, r1 }) => Math.max(most, r0, r1), 0);

/** Volume within the profile, mm³: the sum of its frustums, π/3 · h · (r₀² + r₀ r₁ + r₁²). */
export const volume = (profile: Profile): number =>
  profile.reduce((total, { z0, z1, r0, r1 }) => total + (Math.PI / 3) * (z1 - z0) * (r0 * r0 + r0 * r1 + r1 * r1), 0);

/** The profile seen from the other end of a length. */
export const mirror = (profile: Profile, length: number): Segment[] =>
  profile.map(({ z0, z1, r0, r1 }) => ({ z0: length - z1, z1: length - z0, r0: r1, r1: r0 })).reverse();
