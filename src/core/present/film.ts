import type { EdgePlace } from '../model/plan/edgeWay';
import type { Plan } from '../plan/plan';
import { nearer, move } from '../plan/proof/move';
import { prove } from '../plan/proof/prove';
import type { Moment } from '../plan/proof/running';
import type { Section } from '../plan/proof/section/section';
import type { PlannedSetup } from '../plan/times/planTimes';
import { writtenPlan } from '../plan/written';

/** A move as it is played: when it begins and how long it takes, minutes. */
export interface Shot extends Moment {
  /** Key of its operation. */
  key: string;
  begins: number;
  minutes: number;
}

/** The moves of a set-up one after the other. */
export interface Film {
  shots: readonly Shot[];
  minutes: number;
}

/** A way at rapid is played this quickly, mm a minute: quick enough not to be waited for (ours). */
const RAPID = 3000;

const lengthOf = ({ from, to }: Pick<Moment, 'from' | 'to'>): number => Math.hypot(to.z - from.z, to.r - from.r);

/** Moves at rapid take their length; those that cut share the minutes of their pass. */
function minutesOf(moment: Moment, all: readonly Moment[], { operations }: PlannedSetup): number {
  if (moment.to.by === 'rapid') return lengthOf(moment) / RAPID;
  const same = all.filter(
    ({ operation, pass, to }) => operation === moment.operation && pass === moment.pass && to.by !== 'rapid',
  );
  const whole = same.reduce((sum, shot) => sum + lengthOf(shot), 0);
  const planned = operations.find(({ number }) => number === moment.operation)?.passes[moment.pass]?.minutes.value ?? 0;
  return whole > 0 ? (planned * lengthOf(moment)) / whole : 0;
}

/** The cuts of one set-up to be played: the proof's own run of the plan, move by move. */
export function filmOf(plan: Plan, planned: PlannedSetup): Film {
  const moments: Moment[] = [];
  prove(writtenPlan(plan), plan.run, (moment) => {
    if (moment.setup === planned.setup.number) moments.push(moment);
  });
  let begins = 0;
  const shots = moments.map((moment): Shot => {
    const minutes = minutesOf(moment, moments, planned);
    const shot = {
      ...moment,
      key: planned.operations.find(({ number }) => number === moment.operation)?.key ?? '',
      begins,
      minutes,
    };
    begins += minutes;
    return shot;
  });
  return { shots, minutes: begins };
}

/** What is seen at one moment of a film: the shot, where the tool stands, the work, and what it is nearest to. */
export interface Still {
  index: number;
  shot: Shot;
  at: EdgePlace;
  metal: Section;
  nearest: { what: string; distance: number } | undefined;
}

/** Nearer than this is told, mm. */
const NEAR = 10;

/** The film at a time, minutes. */
export function stillAt({ shots }: Film, minutes: number): Still | undefined {
  const found = shots.findIndex((shot) => minutes < shot.begins + shot.minutes);
  const index = found < 0 ? shots.length - 1 : found;
  const shot = shots[index];
  if (!shot) return undefined;
  const share = shot.minutes > 0 ? Math.min(1, Math.max(0, (minutes - shot.begins) / shot.minutes)) : 1;
  const { from, to, shape, before, after, still } = shot;
  const at = { ...to, z: from.z + share * (to.z - from.z), r: from.r + share * (to.r - from.r) };
  const metal = share >= 1 ? after : to.by === undefined ? move(shape, before, from, at).left : before;
  const near = nearer(shape, still, [at, at], () => NEAR).sort((a, b) => a.distance - b.distance)[0];
  return { index, shot, at, metal, nearest: near && { what: near.body.name, distance: near.distance } };
}
