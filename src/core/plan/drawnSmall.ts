import type { Segment } from '../model/workpiece/segment';
import { isOnBar } from '../model/plan/setup';
import type { PlannedSetup } from './times/planTimes';

/** A place on an outline: z of the set-up's view, mm, and the radius there. */
export type OutlinePlace = readonly [z: number, r: number];

/** A set-up drawn small: how the work goes into it and comes out of it, and what holds it. */
export interface SetupDrawn {
  /** In words: which end looks out, and what holds it where. */
  words: string;
  before: OutlinePlace[];
  after: OutlinePlace[];
  /** What grips it, from where to where; on a mandrel it fills the bore. */
  held: { from: number; to: number; radius: number; inside: boolean };
  /** A centre stands at its free end. */
  centre: boolean;
}

/** So much of a bar in the chuck is drawn, mm: it goes on. */
const OF_BAR = 15;

const outlineOf = (profile: readonly Segment[], to: number): OutlinePlace[] =>
  profile
    .filter(({ z0 }) => z0 < to)
    .flatMap(({ z0, z1, r0, r1 }) => {
      const end = Math.min(z1, to);
      return [
        [z0, r0],
        [end, r0 + ((r1 - r0) * (end - z0)) / (z1 - z0)],
      ] as const;
    });

function drawn({ setup, start, operations }: PlannedSetup): SetupDrawn {
  const { holding, supported } = setup;
  const inside = holding.inside !== undefined;
  const from = holding.from - (holding.inside ?? 0);
  const end = isOnBar(setup) ? holding.from + OF_BAR : (start.outside.at(-1)?.z1 ?? holding.to);
  const to = inside ? holding.from : Math.min(holding.to, end);
  return {
    words: `the ${setup.end} out, ${holding.words}, on ${holding.on}`,
    before: outlineOf(start.outside, end),
    after: outlineOf((operations.at(-1)?.after ?? start).outside, end),
    held: { from, to, radius: holding.diameter / 2, inside },
    centre: supported,
  };
}

/** The set-ups of a route, drawn small enough to see beside others how they differ. */
export const drawnSmall = (setups: readonly PlannedSetup[]): SetupDrawn[] => setups.map(drawn);
