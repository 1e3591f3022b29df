import { sayFigure, sayFixed } from '../../model/units/mark';
import { LIMITS, type Limit, type PassLoad } from '../../model/plan/passLoad';
import type { Figure } from '../../model/figure';
import type { Workpiece } from '../../model/workpiece/workpiece';
import type { Operation, Pass } from '../../model/plan/operation';
import type { Setup } from '../../model/plan/setup';
import { say } from '../../model/words';
import { bendsOf } from './beam';
import { cuttingForce, cuttingPower } from './force';
import { drivenBy, gripAt, slipsBy } from './grip';
import { motorOf } from './limitsOn';
import { forceAndPower } from './load';
import { cuttingSpeed, notAbove } from './speed';

/** Its chip is as thick as the feed: the edge lies square to it, degrees. */
const SQUARE = 90;

/**
 * Force, power and bending of an edge that goes straight in with so much of its width (trade: Cutting). Inside it is the tool
 * that gives way, and how far is not known.
 */
export function plungeLoad(
  operation: Operation,
  { wide = 0 }: Pick<Pass, 'wide'>,
  work: Workpiece,
  setup: Setup,
  feed: Figure,
  achieved: Figure,
): PassLoad | undefined {
  const engaged = { depth: wide, as: 'width of the edge that cuts', approachAngle: SQUARE };
  const asked = forceAndPower(engaged, setup, feed, achieved);
  if (!asked.force) return undefined;
  const bends = operation.removal.bore ? undefined : bendsOf(asked.force.value, operation, work, setup);
  return { ...asked, ...(bends ? { bends } : {}) };
}

/** Said to this much, mm/rev; there is no less. */
const FINEST = 0.001;

/** Where a wide edge goes straight in: how it may be fed and turned there, and what holds that below the usual. */
export interface Plunge {
  feed: number;
  speed: number;
  limitedBy: Limit;
  warnings: string[];
}

/**
 * What holds an edge that goes straight in, so wide, on a diameter and at a place (trade: Cutting): it is fed more lightly until the work is
 * not turned in its holding, and turned more slowly until the motor gives it.
 * @returns undefined where nothing holds it below the usual feed and speed
 */
export function plungeWithin(
  wide: number,
  diameter: number,
  z: number,
  usual: { feed: number; speed: number },
  setup: Setup,
): Plunge | undefined {
  const { material, machine } = setup.run.shop;
  const { kc, m } = material.force;
  const cut = { kc, m, depth: wide, approachAngle: SQUARE };
  const grip = gripAt(diameter, z, setup);
  // F = k · w · f^(1 − m): the feed at which it is what the holding takes.
  const most = (grip / (kc * wide)) ** (1 / (1 - m));
  const feed = usual.feed > most ? Math.max(FINEST, Math.floor(most / FINEST + 1e-9) * FINEST) : usual.feed;
  const power = cuttingPower({ ...cut, feed }, cuttingSpeed(usual.speed, diameter));
  const motor = motorOf(setup);
  const speed = power > motor ? notAbove(machine.speeds, (usual.speed * motor) / power) : usual.speed;
  if (feed === usual.feed && speed === usual.speed) return undefined;
  const limitedBy = feed < usual.feed ? 'holding' : 'power';
  const force = cuttingForce({ ...cut, feed: usual.feed });
  return {
    feed,
    speed,
    limitedBy,
    warnings: [
      `Held back: ${LIMITS[limitedBy]} (${Math.round(force)} N over ${say(Number(wide.toFixed(2)), setup.run.units)} of edge): ${sayFigure(speed)} rev/min and ${sayFigure(feed, 3)} mm/rev. A narrower edge helps most.`,
    ],
  };
}

/**
 * A drill that holding or motor does not bear is fed less (trade: Safe holds), down to a share of the usual, and then turned
 * slower for the motor; a hole before it helps most.
 */
export function drillWithin(
  load: Pick<PassLoad, 'torque' | 'thrust' | 'power'>,
  usual: { feed: number; speed: number },
  setup: Setup,
): Plunge | undefined {
  if (!load.torque || !load.thrust) return undefined;
  const { material, cutting, machine } = setup.run.shop;
  const shares = { holding: slipsBy(drivenBy(load, setup), setup), power: load.power.value / motorOf(setup) };
  const limitedBy = shares.holding >= shares.power ? 'holding' : 'power';
  const share = shares[limitedBy];
  if (share <= 1) return undefined;
  // Torque, thrust and power go with f^(1 − m).
  const grows = 1 - material.force.m;
  const most = usual.feed * share ** (-1 / grows);
  const feed = Math.max(Math.floor(most / FINEST) * FINEST, cutting.leastDrillFeed * usual.feed);
  const power = shares.power * (feed / usual.feed) ** grows;
  const speed = power > 1 + 1e-9 ? notAbove(machine.speeds, usual.speed / power) : usual.speed;
  const asks = limitedBy === 'holding' ? 'what holds it bears' : 'what the motor gives';
  return {
    feed,
    speed,
    limitedBy,
    warnings: [
      `Held back: ${LIMITS[limitedBy]} (${sayFixed(share, 1)} times ${asks} at the usual feed): ${sayFigure(speed)} rev/min and ${sayFigure(feed, 3)} mm/rev. A hole drilled before it helps most.`,
    ],
  };
}
