import type { DrawnLimits } from './drawn';
import { radiusAt } from './section/curve';
import { difference, type Section } from './section/section';

/** Where the work is not what the drawing asks: too much metal or too little, between which places, and by how much. */
export interface Disagreement {
  kind: 'too much' | 'too little';
  /** z of the part, and the radii between which it lies, mm. */
  z0: number;
  z1: number;
  r0: number;
  r1: number;
  /** The lesser of how long and how thick it is, mm. */
  by: number;
}

/** Less than this is not told, mm. */
const TOLD = 0.001;

function piecesOf(section: Section, kind: Disagreement['kind']): Disagreement[] {
  const told: Disagreement[] = [];
  for (const { z0, z1, bands } of section)
    for (const { low, high } of bands) {
      const places = [z0, (z0 + z1) / 2, z1];
      const thick = Math.max(...places.map((z) => radiusAt(high, z) - radiusAt(low, z)));
      const r0 = Math.min(...places.map((z) => radiusAt(low, z)));
      const r1 = Math.max(...places.map((z) => radiusAt(high, z)));
      if (thick <= TOLD) continue;
      const before = told.find(
        (place) => Math.abs(place.z1 - z0) < TOLD && place.r0 < r1 + TOLD && place.r1 > r0 - TOLD,
      );
      const piece = { kind, z0, z1, r0, r1, by: thick };
      if (before)
        Object.assign(before, {
          z1,
          r0: Math.min(before.r0, r0),
          r1: Math.max(before.r1, r1),
          by: Math.max(before.by, thick),
        });
      else told.push(piece);
    }
  return told.map((place) => ({ ...place, by: Math.min(place.by, place.z1 - place.z0) })).filter(({ by }) => by > TOLD);
}

/** Everywhere that the work lies outside of what the drawing allows. */
export const disagreements = (work: Section, { most, least }: DrawnLimits): Disagreement[] => [
  ...piecesOf(difference(work, most), 'too much'),
  ...piecesOf(difference(least, work), 'too little'),
];
