import { sayFixed } from '../../model/units/mark';
import type { PassLoad } from '../../model/plan/passLoad';
import { figure, term, type Figure } from '../../model/figure';
import { radiusAt } from '../../model/workpiece/profile';
import type { Workpiece } from '../../model/workpiece/workpiece';
import type { Operation, Pass } from '../../model/plan/operation';
import type { Setup } from '../../model/plan/setup';
import { say } from '../../model/words';
import { specificForce } from './force';
import { slipsBy } from './grip';

/**
 * Torque of a twist drill, k · f · (d² − d₀²) / 8000, N·m, where its lips open a hole that is there already to d₀
 * (a textbook relation: each lip cuts half of the feed at its middle radius).
 */
export const drillTorque = (k: number, feed: number, diameter: number, hole = 0): number =>
  (k * feed * (diameter ** 2 - hole ** 2)) / 8000;

/** Thrust of its lips, 0.5 · k · f · (d − d₀) / 2 · sin κ, N; a chisel edge in full metal pushes harder still. */
export const drillThrust = (k: number, feed: number, diameter: number, half: number, hole = 0): number =>
  (0.5 * k * feed * (diameter - hole) * Math.sin(half)) / 2;

/** A drill in a hole that is there already, mm; its point, degrees. */
interface Drilled {
  diameter: number;
  point: number;
  hole: number;
}

/** Specific force of the material at the chip of a lip, N/mm²: each lip takes half of the feed. */
const atItsLip = (point: number, feed: number, { run }: Pick<Setup, 'run'>): number =>
  specificForce({ ...run.shop.material.force, feed: feed / 2, depth: 1, approachAngle: point / 2 });

/** What a drill is usually fed, mm/rev: by its diameter, and no more than a hand pushes (trade: Cutting). */
export const usualDrillFeed = (diameter: number, { run }: Pick<Setup, 'run'>): number =>
  Math.min(run.shop.material.drillFeed * diameter, run.shop.cutting.mostDrillFeed);

/** How much of what holds the work a drill takes when it is fed as little as it may be; over 1 it slips (trade: Safe holds). */
export function drillSlips({ diameter, point, hole }: Drilled, setup: Setup): number {
  const { leastDrillFeed, chiselTimes } = setup.run.shop.cutting;
  const feed = leastDrillFeed * usualDrillFeed(diameter, setup);
  const k = atItsLip(point, feed, setup);
  const thrust = drillThrust(k, feed, diameter, (point * Math.PI) / 360, hole);
  const push = thrust * (hole === 0 ? chiselTimes : 1);
  return slipsBy({ torque: drillTorque(k, feed, diameter, hole), push }, setup);
}

/** Torque, thrust and power of a drill in the work as it is. */
export function drillLoad(
  { diameter = 0, fullDepth = 0, tool }: Operation,
  _pass: Pass,
  work: Workpiece,
  setup: Setup,
  feed: Figure,
  achieved: Figure,
): PassLoad | undefined {
  const { material } = setup.run.shop;
  const { point } = tool;
  if (point === undefined) return undefined;
  const half = (point * Math.PI) / 360;
  const hole = 2 * radiusAt(work.bore, fullDepth / 2);
  if (hole >= diameter) return undefined;
  const k = atItsLip(point, feed.value, setup);
  const torque = drillTorque(k, feed.value, diameter, hole);
  const speed = diameter > 0 ? (1000 * achieved.value) / (Math.PI * diameter) : 0;
  const cut = [
    term('k', `specific force of ${material.name} at the chip of a lip`, k, 'N/mm²', 'computed'),
    term('f', 'feed', feed.value, 'mm/rev', 'computed'),
    term('d', 'drill', diameter, 'mm', 'tool'),
    term('h', 'hole that is there', hole, 'mm', 'computed'),
  ];
  return {
    torque: figure({
      name: 'torque',
      unit: 'N·m',
      value: torque,
      formula: 'k · f · (d^2 - h^2) / 8000',
      terms: cut,
    }),
    thrust: figure({
      name: 'thrust of the lips',
      unit: 'N',
      value: drillThrust(k, feed.value, diameter, half, hole),
      formula: '0.5 · k · f · (d - h) · sin(σ) / 2',
      terms: [...cut, term('σ', 'half of the point, degrees', point / 2, '', 'tool')],
      note: 'A chisel edge in full metal pushes harder still: a pilot takes that away.',
    }),
    power: figure({
      name: 'power of the cut',
      unit: 'kW',
      value: (torque * speed) / 9550,
      formula: 'M · n / 9550',
      terms: [term('M', 'torque', torque, 'N·m', 'computed'), term('n', 'spindle speed', speed, 'rev/min', 'computed')],
    }),
  };
}

/** Torque of a tap, and of a die, k · P² · d / 8000, N·m (a textbook relation). */
export const tapTorque = (k: number, pitch: number, diameter: number): number => (k * pitch ** 2 * diameter) / 8000;

/** Torque at which a tap breaks, N·m: its core, a share of the diameter, sheared at so much, τ π d³ / 16. */
export const tapBreaksAt = (diameter: number, core: number, shear: number): number =>
  (Math.PI * shear * (core * diameter) ** 3) / 16000;

/** Torque of a tap or a die that cuts a thread at once, N·m: a tooth of its lead takes a share of the pitch each turn. */
export function threadTorque(pitch: number, diameter: number, { run }: Setup): number {
  const { material, cutting } = run.shop;
  const chip = pitch / cutting.tapTeeth;
  return tapTorque(specificForce({ ...material.force, feed: chip, depth: 1, approachAngle: 90 }), pitch, diameter);
}

/** A tap that comes near to breaking, and what helps most. */
export function tapWarning(pitch: number, diameter: number, setup: Setup): string[] {
  const { cutting } = setup.run.shop;
  const torque = threadTorque(pitch, diameter, setup);
  const breaks = tapBreaksAt(diameter, cutting.tapCore, cutting.tapShear);
  if (torque <= cutting.tapNear * breaks) return [];
  const wider = say(Number((diameter - pitch + cutting.tapDrillOver * pitch).toFixed(2)), setup.run.units);
  return [
    `The tap takes about ${sayFixed(torque, 2)} N·m and breaks at ${sayFixed(breaks, 2)}: its hole at ${wider}, oil, back half a turn in each; by hand you feel it.`,
  ];
}
