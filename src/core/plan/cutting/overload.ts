import { sayFigure, sayFixed } from '../../model/units/mark';
import type { PassLoad } from '../../model/plan/passLoad';
import type { Setup } from '../../model/plan/setup';
import { say } from '../../model/words';
import { drivenBy, gripAt, slipsBy } from './grip';
import { motorOf } from './limitsOn';
import { notAbove } from './speed';

/** How an operation stands: its speed, its feed, the diameter that it cuts on and what each pass asks for. */
interface Standing {
  speed: number;
  feed: number;
  on: number;
  /** Its place farthest out, mm. */
  at: number;
  passes: readonly Cut[];
}

/** A pass: its depth, or the width of an edge that goes straight in, mm, and what it asks for. */
interface Cut {
  depth: number;
  wide?: number;
  load?: PassLoad;
}

/** How much less of a cut is within a limit: force and power are in proportion to its depth, or to the width of its edge. */
function lessOf({ depth, wide }: Cut, share: number, { run }: Setup): string {
  const most = say(Math.floor(100 * (wide ?? depth) * share) / 100, run.units);
  return wide === undefined ? `a cut of ${most}` : `an edge of ${most}`;
}

/** How much a pass asks of what its holding bears: over 1 the work turns in it, or tips out of it. */
export function shareOfHold({ torque, thrust, force }: PassLoad, on: number, at: number, setup: Setup): number {
  const driven = drivenBy({ ...(torque ? { torque } : {}), ...(thrust ? { thrust } : {}) }, setup);
  return Math.max(slipsBy(driven, setup), (force?.value ?? 0) / gripAt(on, at, setup));
}

/** What would turn the work in its holding, and what helps most; undefined where nothing does. */
function turnsTheWork(
  cut: Cut,
  { torque, thrust, force }: PassLoad,
  { feed, on, at }: Standing,
  setup: Setup,
): string | undefined {
  const driven = drivenBy({ ...(torque ? { torque } : {}), ...(thrust ? { thrust } : {}) }, setup);
  const share = slipsBy(driven, setup);
  if (torque && share > 1) {
    const less = sayFixed(feed / share, 2);
    return `${sayFixed(torque.value, 1)} N·m and ${Math.round(driven.push)} N along, ${sayFixed(share, 1)} times what holds the work bears: ${widerHole({ torque })} first, or a feed of ${less} instead of ${sayFixed(feed, 2)}.`;
  }
  const most = gripAt(on, at, setup);
  if (!force || force.value <= most * (1 + 1e-9)) return undefined;
  return `${Math.round(force.value)} N on ⌀${sayFigure(on, 1)}, and what holds the work takes ${Math.round(most)}: ${lessOf(cut, most / force.value, setup)} is within it, or hold it on a larger diameter.`;
}

const widerHole = ({ torque }: Pick<PassLoad, 'torque'>): string =>
  torque?.terms.some(({ symbol, value }) => symbol === 'h' && value > 0) ? 'a wider pilot' : 'a pilot';

/** What the motor does not give, and what helps (trade: Cutting: less depth first, then feed, then speed). */
function tooMuch(cut: Cut, load: PassLoad, { speed }: Standing, setup: Setup): string | undefined {
  const motor = motorOf(setup);
  if (load.power.value <= motor * (1 + 1e-9)) return undefined;
  const share = motor / load.power.value;
  const within = notAbove(setup.run.shop.machine.speeds, speed * share);
  const less = load.torque ? `${widerHole(load)} first leaves less to cut` : `so is ${lessOf(cut, share, setup)}`;
  return `${sayFixed(load.power.value, 2)} kW, and the motor gives ${sayFixed(motor, 2)}: ${sayFigure(within)} rev/min is within it; ${less}.`;
}

/** Cuts that turn the work in what holds it, or that the motor does not give, and what helps most. Each is said once. */
export function overloadWarnings(standing: Standing, setup: Setup): string[] {
  const told = standing.passes.flatMap((cut) =>
    cut.load ? [turnsTheWork(cut, cut.load, standing, setup), tooMuch(cut, cut.load, standing, setup)] : [],
  );
  return [...new Set(told.filter((text) => text !== undefined))];
}
