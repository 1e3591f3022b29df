import { sayFixed } from '../model/units/mark';
import type { Profile, Segment } from '../model/workpiece/segment';
import type { Workpiece } from '../model/workpiece/workpiece';
import { formatLength, type UnitSystem } from '../model/units/length';
import type { Plan } from '../plan/plan';
import type { PlannedSetup } from '../plan/times/planTimes';

/** A set-up's minutes of one piece, operation by operation, for who walks through them. */
export interface WalkedTime {
  words: string;
  operations: { key: string; words: string }[];
}

/** Closer to each other than this are one place, or one radius, mm. */
const SAME = 1e-6;

const goesOn = (before: Segment, next: Segment): boolean =>
  !before.arc &&
  !next.arc &&
  Math.abs(before.z1 - next.z0) < SAME &&
  [before.r0, before.r1, next.r0, next.r1].every((radius) => Math.abs(radius - before.r0) < SAME);

/** Pieces of one diameter that lie beside one another are one stretch. */
const joined = (profile: Profile): Segment[] =>
  profile.reduce<Segment[]>((stretches, next) => {
    const before = stretches.at(-1);
    if (before && goesOn(before, next)) stretches[stretches.length - 1] = { ...before, z1: next.z1 };
    else stretches.push(next);
    return stretches;
  }, []);

function sayStretch({ z0, z1, r0, r1, arc }: Segment, units: UnitSystem): string {
  const long = (mm: number) => formatLength(mm, units);
  const from = Math.abs(r1 - r0) < SAME ? `⌀${long(2 * r0)}` : `⌀${long(2 * r0)} to ⌀${long(2 * r1)}`;
  return `${from}${arc ? ', round,' : ''} from ${long(z0)} to ${long(z1)}`;
}

/**
 * The work as it is, from its free end towards the chuck, stretch by stretch: what the drawing shows, in words.
 * @param upTo how far it is told, mm from the datum: a bar goes on into the spindle
 */
export function walkedWork({ outside, bore }: Workpiece, upTo: number, units: UnitSystem): string[] {
  const shown = (profile: Profile) =>
    joined(profile.filter(({ z0 }) => z0 < upTo - SAME)).map((stretch) => ({
      ...stretch,
      z1: Math.min(stretch.z1, upTo),
    }));
  return [
    ...shown(outside).map((stretch) => sayStretch(stretch, units)),
    ...shown(bore)
      .filter(({ r0, r1 }) => r0 + r1 > SAME)
      .map((stretch) => `hole ${sayStretch(stretch, units)}`),
  ];
}

const minutes = (value: number): string => `${sayFixed(value, 2)} min`;

const walkedSetup = ({ setup, loading, operations }: PlannedSetup): WalkedTime => ({
  words: `Set-up ${setup.number}: load and unload ${minutes(loading.value)}`,
  operations: operations.map(({ key, number, name, hand, cutting }) => ({
    key,
    words: `${number} ${name}: handling ${minutes(hand.value)}, cutting ${minutes(cutting.value)}`,
  })),
});

/** One piece's minutes, set-up by set-up. */
export const walkedTime = ({ setups }: Plan): WalkedTime[] => setups.map(walkedSetup);
