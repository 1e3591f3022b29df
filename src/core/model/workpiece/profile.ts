import { continues, crossings, cutOut, mirrored, peak, radiusOn, type Segment, type Profile } from './segment';

export { cylinder, radiusOn, type Segment } from './segment';
export { volume } from './measure';
import { TINY } from '../tolerances';

/** The part of a profile between two places. */
export const clip = (profile: Profile, from: number, to: number): Segment[] =>
  profile.flatMap((segment) => {
    const z0 = Math.max(segment.z0, from);
    const z1 = Math.min(segment.z1, to);
    return z1 - z0 > TINY ? [cutOut(segment, z0, z1)] : [];
  });

/** Joins neighbours that continue one straight line or arc, so that profiles stay short. */
function joined(profile: Segment[]): Segment[] {
  const result: Segment[] = [];
  for (const segment of profile) {
    const last = result.at(-1);
    if (last && continues(last, segment)) result[result.length - 1] = { ...last, z1: segment.z1, r1: segment.r1 };
    else result.push(segment);
  }
  return result;
}

/** One piece of a profile and whatever of another lies over it, by whichever radius `pick` takes. */
function combineOne(piece: Segment, over: Profile, pick: (a: number, b: number) => number): Segment[] {
  const within = over.flatMap(({ z0, z1 }) => [z0, z1]).filter((z) => z > piece.z0 && z < piece.z1);
  const places = [piece.z0, ...within.sort((a, b) => a - b), piece.z1];
  return places.slice(1).flatMap((z1, index) => {
    const z0 = places[index] ?? z1;
    if (z1 - z0 < TINY) return [];
    const middle = (z0 + z1) / 2;
    const other = over.find((segment) => segment.z0 < middle && middle < segment.z1);
    if (!other) return [cutOut(piece, z0, z1)];
    const cuts = [z0, ...crossings(piece, other, z0, z1), z1];
    return cuts.slice(1).map((to, at) => {
      const from = cuts[at] ?? to;
      const z = (from + to) / 2;
      const taken = pick(radiusOn(piece, z), radiusOn(other, z)) === radiusOn(piece, z) ? piece : other;
      return cutOut(taken, from, to);
    });
  });
}

/** Two profiles made one, piece by piece, by whichever radius `pick` takes; where only `base` is, `base` stays. */
function combine(base: Profile, other: Profile, pick: (a: number, b: number) => number): Segment[] {
  return joined(
    base.flatMap((piece) => {
      // Most cuts are short: what they do not reach stays as it is.
      const over = other.filter(({ z0, z1 }) => z0 < piece.z1 && z1 > piece.z0);
      return over.length === 0 ? [piece] : combineOne(piece, over, pick);
    }),
  );
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
  clip(profile, from, to).reduce((most, segment) => Math.max(most, peak(segment)), 0);

/** How far a profile stands over a piece of another, at most, mm. */
export const standsOver = (profile: Profile, piece: Segment): number =>
  clip(profile, piece.z0, piece.z1).reduce(
    (most, segment) =>
      Math.max(most, ...[segment.z0, segment.z1].map((z) => radiusOn(segment, z) - radiusOn(piece, z))),
    0,
  );

/** The profile seen from the other end of a length. */
export const mirror = (profile: Profile, length: number): Segment[] =>
  profile.map((segment) => mirrored(segment, length)).reverse();
