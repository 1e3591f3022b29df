import { term, type Term } from '../../model/figure';
import type { Machine, ShopForRun } from '../../model/shop/shop';
import { spindleSpeed } from './speed';
import type { BarSection } from '../../model/shop/section';
import { isOnBar, type Setup } from '../../model/plan/setup';
import { lengthCut } from '../../model/plan/stock';
import { gripLength } from './grip';

/** How far from its axis the metal of a section lies in the mean, mm: d/4 round, √(D² + d²)/4 of a tube (a textbook relation). */
export function gyration({ form, size, bore }: BarSection): number {
  if (form === 'hex') return 0.2635 * size;
  if (form === 'square') return 0.2887 * size;
  return Math.hypot(size, bore) / 4;
}

/** The first root of a bar that is held at one end and free at the other (textbook). */
const FIRST = 3.516;

/**
 * The speed at which a bar that stands free behind the spindle begins to whip, rev/min: 60 / (2π) · 3.516 · k · √(E / ρ) / L²
 * (trade: Cutting).
 * @param free mm; @param elasticity N/mm²; @param density g/cm³
 */
export function whipsAt(section: BarSection, free: number, elasticity: number, density: number): number {
  const sound = Math.sqrt((elasticity * 1e6) / (density * 1000));
  return ((60 / (2 * Math.PI)) * FIRST * (gyration(section) / 1000) * sound) / (free / 1000) ** 2;
}

/** Whether a tube behind the spindle holds a bar over all its length. */
const inTube = (over: number, { tubeUpTo = 0 }: Machine): boolean => over <= tubeUpTo + 1e-9;

/**
 * The longest bar that does not whip at the speed which its cuts want, mm: one that is longer is cut into lengths first, since
 * that takes less than turning slower (trade: Cutting). Any length goes in a tube.
 */
export function quietLength(section: BarSection, over: number, { machine, material, cutting }: ShopForRun): number {
  if (inTube(over, machine) || material.elasticity === undefined) return Infinity;
  const wanted = Math.min(spindleSpeed(material.speed.carbide, over), machine.speeds.at(-1) ?? Infinity);
  // As the square of the length, from what a metre bears.
  const free =
    1000 * Math.sqrt((cutting.whipShare * whipsAt(section, 1000, material.elasticity, material.density)) / wanted);
  return free + (machine.bushAt ?? 0);
}

/** How much of a fresh bar stands free behind what guides it last: the bush behind the spindle, or the jaws, mm. */
export function freeBehind(setup: Setup): number {
  const guided = Math.max(setup.run.shop.machine.bushAt ?? 0, gripLength(setup));
  return Math.max(0, lengthCut(setup.stock) - setup.stickOut.value - guided);
}

/** What the bar behind the spindle is never run faster than: what its tube takes, else a share of the speed at which it whips. */
export function barSpeed(setup: Setup): Term | undefined {
  if (!isOnBar(setup)) return undefined;
  const { machine, material, cutting } = setup.run.shop;
  const { stock } = setup;
  if (inTube(stock.over, machine))
    return machine.tubeSpeed === undefined
      ? undefined
      : term('w', 'at most in the tube for bars', machine.tubeSpeed, 'rev/min', 'machine');
  const free = freeBehind(setup);
  if (material.elasticity === undefined || free <= 0) return undefined;
  const most = cutting.whipShare * whipsAt(stock, free, material.elasticity, material.density);
  return term(
    'w',
    `at most for the ${Math.round(free)} mm of bar behind, which would whip`,
    most,
    'rev/min',
    'computed',
  );
}
