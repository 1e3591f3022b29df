import type { Happening, LatheEvent } from '../lathe/events';
import { stepsOf, type LatheStep } from '../lathe/steps';
import { normal, seeded } from '../model/seeded';
import type { Plan } from '../plan/plan';
import type { PlannedSetup } from '../plan/times/planTimes';
import { correctionOf } from '../present/nextCut';
import { readySteps } from '../present/readySteps';

/** How a made-up batch goes. */
export interface Simulated {
  seed: number;
  /** When it begins: a morning. */
  from: Date;
  device: string;
  /** Steps that are done at most: a batch may be left in the middle. */
  steps?: number;
  /** What the hand takes of what is planned, over the whole run. */
  pace: number;
}

/** Spread of a step about the pace of its run; of a size about its aim and its drift a piece, as shares of its limits. */
const STEP_SPREAD = 0.18;
const SIZE_SPREAD = 0.09;
const DRIFT = 0.012;
/** A size that is so far from its aim, as a share of its limits, is put right. */
const CORRECTED_AT = 0.28;
/** Of so many pieces one is dropped. */
const DROPPED = 70;
/** A step of making ready, minutes. */
const READY = 1.5;
/** A day at the lathe, minutes. */
const DAY = 8 * 60;
const DAY_MS = 24 * 3600_000;
const MINUTE_MS = 60_000;

/** A name of the form of a UUID from a number that comes out the same for the same seed. */
function nameFrom(random: () => number): string {
  const hex = Array.from({ length: 32 }, () => Math.floor(random() * 16).toString(16)).join('');
  return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-4${hex.slice(13, 16)}-a${hex.slice(17, 20)}-${hex.slice(20)}`;
}

const nextMorning = (day: number): number => {
  const next = day + DAY_MS;
  // Weekends are free.
  return [0, 6].includes(new Date(next).getUTCDay()) ? nextMorning(next) : next;
};

/** A made-up shop at work: its clock, its log, and how far its sizes have drifted. */
function shopAtWork({ seed, from, device, pace }: Simulated) {
  const random = seeded(seed);
  const events: LatheEvent[] = [];
  const drift = new Map<string, number>();
  let [day, minute] = [from.getTime(), 0];
  const say = (happening: Happening, where: Pick<LatheEvent, 'piece' | 'operation'> = {}) =>
    events.push({
      id: nameFrom(random),
      device,
      seq: events.length + 1,
      at: new Date(day + minute * MINUTE_MS).toISOString(),
      revision: 1,
      ...where,
      ...happening,
    });
  const take = (minutes: number) => {
    if (minute + minutes > DAY) {
      say({ kind: 'paused', note: 'end of the day' });
      [day, minute] = [nextMorning(day), 0];
      say({ kind: 'went-on' });
    }
    minute += minutes;
  };
  const work = ({ planned, operation }: LatheStep, piece: number) => {
    const hand = operation?.hand.value ?? planned.loading.value;
    const minutes = (operation?.cutting.value ?? 0) + hand * pace * Math.exp(STEP_SPREAD * normal(random));
    // The first is looked at.
    take(piece === 1 ? 2 * minutes : minutes);
  };
  const measure = ({ planned, operation, key }: LatheStep, piece: number) => {
    for (const { what, size, gauge, every, measures, again } of operation?.checks ?? []) {
      if (!operation || again || !size || !gauge || (piece - 1) % every !== 0) continue;
      const width = size.upper - size.lower;
      const off = (drift.get(what) ?? 0) + DRIFT * every;
      const reading = Number((size.aim + width * (off + SIZE_SPREAD * normal(random))).toFixed(3));
      const where = { piece, operation: key };
      say({ kind: 'measured', what, readings: [reading], size: reading, gauge: gauge.name }, where);
      const isOff = Math.abs(off) > CORRECTED_AT;
      drift.set(what, isOff ? 0 : off);
      const correction = correctionOf(
        planned,
        operation,
        { grows: false, perSide: measures !== 'length' },
        off * width,
      );
      if (!isOff || !correction) continue;
      say({ kind: 'corrected', place: correction.place, by: Number(correction.by.toFixed(3)), what }, where);
    }
  };
  return { events, say, take, work, measure, isDropped: () => random() * DROPPED < 1 };
}

/** Makes the machine ready for a set-up. */
function makeReady({ take, say }: ReturnType<typeof shopAtWork>, planned: PlannedSetup, first: string): void {
  for (const { name } of readySteps(planned)) {
    take(READY);
    say({ kind: 'ready', step: name, done: true });
  }
  say({ kind: 'begun' }, { piece: 1, operation: first });
}

/**
 * A batch as it might have gone: made up from the plan with a seed, and said to be so. Steps about their planned minutes, sizes about
 * their aim with a drift that is put right, a piece that is dropped now and then, nights between the days.
 */
export function simulateRun(plan: Plan, simulated: Simulated): LatheEvent[] {
  const shop = shopAtWork(simulated);
  shop.say({ kind: 'note', text: 'made up for the demonstration: no such batch was turned' });
  const lost = new Set<number>();
  let left = simulated.steps ?? Infinity;
  for (const [index, steps] of stepsOf(plan).entries()) {
    const [first] = steps;
    if (!first || left <= 0) break;
    makeReady(shop, first.planned, first.key);
    for (let piece = 1; piece <= plan.run.quantity + lost.size && left > 0; piece += 1) {
      if (lost.has(piece)) continue;
      for (const step of steps) {
        if (left <= 0) break;
        shop.work(step, piece);
        shop.measure(step, piece);
        if (index === 0 && step === steps.at(-1) && shop.isDropped()) {
          shop.say({ kind: 'scrap', reason: 'dropped', note: 'fell on its edge' }, { piece, operation: step.key });
          lost.add(piece);
          break;
        }
        shop.say({ kind: 'done' }, { piece, operation: step.key });
        left -= 1;
      }
    }
  }
  return shop.events;
}
