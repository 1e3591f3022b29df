import type { Segment, Profile } from './segment';

/**
 * Volume, area of the skin of revolution, and the first moment ∫ π r² z dz of a body of revolution: closed formulas of
 * textbook calculus for the frustum and the arc, so that a weight is as exact as the drawing.
 */
export interface Measures {
  /** mm³ */
  volume: number;
  /** mm², without the end faces and shoulders */
  skin: number;
  /** mm⁴, about z = 0 */
  moment: number;
}

const frustum = ({ z0, z1, r0, r1 }: Segment): Measures => {
  const h = z1 - z0;
  const volume = (Math.PI / 3) * h * (r0 * r0 + r0 * r1 + r1 * r1);
  return {
    volume,
    skin: Math.PI * (r0 + r1) * Math.hypot(h, r1 - r0),
    moment: volume * z0 + (Math.PI / 12) * h * h * (r0 * r0 + 2 * r0 * r1 + 3 * r1 * r1),
  };
};

/** With u from the centre and s = √(R² − u²), r = rc ± s: every integral below is an elementary one of u and s. */
function arcPiece({ z0, z1 }: Segment, arc: NonNullable<Segment['arc']>): Measures {
  const { r: rc, radius: R } = arc;
  const sign = arc.hollow ? -1 : 1;
  const between = (f: (u: number) => number) => f(z1 - arc.z) - f(z0 - arc.z);
  const s = (u: number) => Math.sqrt(Math.max(0, R * R - u * u));
  const angle = (u: number) => Math.asin(Math.min(1, Math.max(-1, u / R)));
  const area = (u: number) => (u * s(u) + R * R * angle(u)) / 2; // ∫ s du
  const volume = Math.PI * between((u) => (rc * rc + R * R) * u - u ** 3 / 3 + 2 * sign * rc * area(u));
  const about =
    Math.PI * between((u) => ((rc * rc + R * R) * u * u) / 2 - u ** 4 / 4 - (2 / 3) * sign * rc * s(u) ** 3);
  return {
    volume,
    skin: 2 * Math.PI * R * between((u) => rc * angle(u) + sign * u),
    moment: about + volume * arc.z,
  };
}

/** Volume, skin and moment of a whole profile. */
export function measure(profile: Profile): Measures {
  const total: Measures = { volume: 0, skin: 0, moment: 0 };
  for (const segment of profile) {
    const { volume, skin, moment } = segment.arc ? arcPiece(segment, segment.arc) : frustum(segment);
    total.volume += volume;
    total.skin += skin;
    total.moment += moment;
  }
  return total;
}

/** Volume within the profile, mm³. */
export const volume = (profile: Profile): number => measure(profile).volume;
