import type { PassLoad } from '../../model/plan/passLoad';
import { figure, term, type Figure } from '../../model/figure';
import type { Workpiece } from '../../model/workpiece/workpiece';
import type { Operation, Pass } from '../../model/plan/operation';
import type { Setup } from '../../model/plan/setup';
import { say } from '../../model/words';
import { bendsOf } from './beam';
import { chipOf } from './chips';
import { cuttingForce } from './force';
import { roughnessOf } from './speed';

/** How much of its edge a cut engages, mm: as deep as it goes along the work, as wide as its edge straight in. */
export interface Engaged {
  depth: number;
  /** In a working; without it `depth of the cut`. */
  as?: string;
  /** Of the edge to the feed, degrees; without it the shop's. */
  approachAngle?: number;
}

/** Power of a main force at the cutting speed that is reached (trade: Cutting). */
export const powerOf = (force: number, achieved: Figure): Figure =>
  figure({
    name: 'power of the cut',
    unit: 'kW',
    value: (force * achieved.value) / 60000,
    formula: 'F · v / 60000',
    terms: [
      term('F', 'main force', force, 'N', 'computed'),
      term('v', 'cutting speed reached', achieved.value, 'm/min', 'computed'),
    ],
  });

/** Main force and power of a pass (trade: Cutting); one without infeed has no force. */
export function forceAndPower(
  { depth, as = 'depth of the cut', approachAngle }: Engaged,
  setup: Setup,
  feed: Figure,
  achieved: Figure,
): { force?: Figure; power: Figure } {
  const { material, cutting } = setup.run.shop;
  const { kc, m } = material.force;
  const angle = approachAngle ?? cutting.approachAngle;
  const cut = { kc, m, feed: feed.value, depth, approachAngle: angle };
  const force = depth > 0 ? cuttingForce(cut) : 0;
  const power = powerOf(force, achieved);
  if (depth <= 0) return { power };
  return {
    power,
    force: figure({
      name: 'main force',
      unit: 'N',
      value: force,
      formula: 'k · (f · sin(κ))^(-m) · a · f',
      terms: [
        term('k', `specific force of ${material.name}`, kc, 'N/mm²', 'material'),
        term('f', 'feed', feed.value, 'mm/rev', 'computed'),
        term('κ', 'approach angle, degrees', angle, '', approachAngle === undefined ? 'start value' : 'computed'),
        term('m', 'its exponent', m, '', 'material'),
        term('a', as, depth, 'mm', 'computed'),
      ],
    }),
  };
}

/** Force, power and bending of a pass along the outside (trade: Cutting); a pass without infeed has none. */
export function loadOf(
  operation: Operation,
  { depth }: Pass,
  work: Workpiece,
  setup: Setup,
  feed: Figure,
  achieved: Figure,
): PassLoad | undefined {
  const asked = forceAndPower({ depth }, setup, feed, achieved);
  if (!asked.force) return undefined;
  const bends = bendsOf(asked.force.value, operation, work, setup);
  return {
    ...asked,
    ...(bends ? { bends } : {}),
    ...ofNose(operation.tool, feed.value, depth, setup),
  };
}

/** What the nose of a tool makes of a cut: the roughness that it leaves and how the chip comes; nothing of one without. */
export function ofNose(
  { nose }: Operation['tool'],
  feed: number,
  depth: number,
  { run }: Setup,
): Pick<PassLoad, 'roughness' | 'chip'> {
  if (nose === undefined) return {};
  return { roughness: roughnessLeft(feed, nose), chip: chipOf({ feed, depth, nose }, run.shop) };
}

/** Force and power of a pass across a face; it pushes along the work, which does not give way. */
export function faceLoad(
  { tool }: Operation,
  { depth }: Pass,
  _work: Workpiece,
  setup: Setup,
  feed: Figure,
  achieved: Figure,
): PassLoad {
  return {
    ...forceAndPower({ depth }, setup, feed, achieved),
    ...ofNose(tool, feed.value, depth, setup),
  };
}

/** What the nose of a tool leaves at a feed (trade: Cutting). */
const roughnessLeft = (feed: number, nose: number): Figure =>
  figure({
    name: 'roughness Ra, µm',
    unit: '',
    value: roughnessOf(feed, nose),
    formula: '1000 · f^2 / (32 · r)',
    terms: [term('f', 'feed', feed, 'mm/rev', 'computed'), term('r', 'nose radius', nose, 'mm', 'tool')],
  });

/**
 * Passes again without infeed until what is left of the bending is within a third of the tolerance, but no more than so
 * many: each leaves of it the share that the work gives way by for a depth (trade: Cutting, Schools).
 * @param bends of the last cut, mm; @param depth of it, mm; @param wide the tolerance, mm
 */
export function springsFor(bends: number, depth: number, wide: number, most: number): number {
  let [error, springs] = [2 * bends, 0];
  while (error > wide / 3 && springs < most) {
    error *= bends / depth;
    springs += 1;
  }
  return springs;
}

/**
 * What bending does to the diameter that an operation finishes, where it is more than a third of what the drawing leaves
 * (trade: Cutting), and what helps most.
 */
export function bendingWarning(
  operation: Operation,
  passes: readonly (Pick<Pass, 'depth'> & { load?: PassLoad })[],
  setup: Setup,
): string[] {
  const size = operation.checks.find(({ measures }) => measures === 'outside')?.size;
  const at = passes.findLastIndex(({ load }) => load !== undefined);
  const { load, depth = 0 } = passes[at] ?? {};
  if (!size || !load?.bends || operation.kind !== 'turn-finish') return [];
  const springs = passes.length - 1 - at;
  const error = 2 * load.bends.value * (load.bends.value / depth) ** springs;
  const wide = size.upper - size.lower;
  if (error <= wide / 3) return [];
  const { units } = setup.run;
  const tell = (value: number) => (value < 0.0005 ? 'hardly anything' : say(Number(value.toFixed(3)), units));
  // A centre leaves 7 · 3 / 768 of what a free end gives way by; what is cut again without infeed leaves hardly anything.
  const help = setup.supported
    ? `a last cut half as deep leaves ${tell(error / 2)}; cut again without infeed, or a rest, leaves less`
    : `a centre at its end would leave ${tell((error * 21) / 768)}, a last cut half as deep ${tell(error / 2)}`;
  return [
    `The work deflects: ${tell(error)} too large on the diameter, and the drawing leaves ${tell(wide)}: ${help}.`,
  ];
}
