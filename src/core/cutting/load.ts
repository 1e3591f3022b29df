import { figure, term, type Figure } from '../figure';
import { radiusOn } from '../removal/profile';
import type { Workpiece } from '../removal/workpiece';
import type { Operation, Pass } from '../route/operation';
import { isBetweenCentres, type Setup } from '../route/setup';
import { say } from '../words';
import { betweenBends, centredBends, freeEndBends } from './deflection';
import { cuttingForce, cuttingPower } from './force';
import { roughnessOf } from './speed';

/** What a pass asks of the machine and of the work. */
export interface PassLoad {
  /** Main force, N. */
  force?: Figure;
  /** Of what turns in a hole: torque, N·m, and thrust, N. */
  torque?: Figure;
  thrust?: Figure;
  /** At the spindle, kW. */
  power: Figure;
  /** How far the work gives way where it does most, mm; it comes out so much too large, twice on the diameter. */
  bends?: Figure;
  /** Ra that the nose leaves, µm. */
  roughness?: Figure;
}

/**
 * As stiff as a straight bar of this diameter: of the work between a place and its holding, what bends under a force at
 * that place is the sum of (s₁³ − s₀³) / (3 E I) over its pieces, s from the force.
 */
function stiffAs({ outside, bore }: Workpiece, from: number, to: number): number {
  const length = to - from;
  const bends = outside.reduce((total, piece) => {
    const [z0, z1] = [Math.max(piece.z0, from), Math.min(piece.z1, to)];
    if (z1 - z0 < 1e-9) return total;
    const middle = (z0 + z1) / 2;
    const hole = bore.find((own) => own.z0 <= middle && middle <= own.z1);
    const moment = radiusOn(piece, middle) ** 4 - (hole ? radiusOn(hole, middle) ** 4 : 0);
    return total + ((z1 - from) ** 3 - (z0 - from) ** 3) / moment;
  }, 0);
  return 2 * (length ** 3 / bends) ** 0.25;
}

/** The work as a beam under a cut: how it is held, how far it stands out, and as stiff as which straight bar. */
interface Beam {
  bends: typeof freeEndBends;
  formula: string;
  length: number;
  diameter: number;
  elasticity: number;
}

/** The work under a cut, where nothing bears on it beside the tool. */
function beamOf({ from }: Operation, work: Workpiece, setup: Setup): Beam | undefined {
  const { holding, supported, rest, run, facing } = setup;
  const { elasticity } = run.shop.material;
  if (elasticity === undefined || rest || holding.inside !== undefined) return undefined;
  // Held at one end it gives way most where the cut begins, under a centre half-way.
  const begins = supported ? -facing : Math.max(from, 0);
  const length = holding.from - begins;
  if (length <= 0) return undefined;
  const [bends, formula] = isBetweenCentres(setup)
    ? [betweenBends, 'q · F · L^3 / (48 · E · π · d^4 / 64)']
    : supported
      ? [centredBends, '7 · q · F · L^3 / (768 · E · π · d^4 / 64)']
      : [freeEndBends, 'q · F · L^3 / (3 · E · π · d^4 / 64)'];
  return { bends, formula, length, elasticity, diameter: stiffAs(work, begins, holding.from) };
}

/** What the work gives way by for each newton of main force, mm; undefined where it does not or is not known. */
export function bendsPerNewton(operation: Operation, work: Workpiece, setup: Setup): number | undefined {
  const beam = beamOf(operation, work, setup);
  return beam && beam.bends(setup.run.shop.cutting.radialForce, beam.length, beam.diameter, beam.elasticity);
}

/** What a cut bends the work by, where nothing bears on it beside the tool. */
function bendsOf(force: number, operation: Operation, work: Workpiece, setup: Setup): Figure | undefined {
  const beam = beamOf(operation, work, setup);
  if (!beam) return undefined;
  const { bends, formula, length, diameter, elasticity } = beam;
  const { supported, run } = setup;
  const { material, cutting } = run.shop;
  return figure({
    name: 'the work gives way',
    unit: 'mm',
    value: bends(cutting.radialForce * force, length, diameter, elasticity),
    formula,
    terms: [
      term('q', 'share of the main force that pushes off', cutting.radialForce, '', 'start value'),
      term('F', 'main force', force, 'N', 'computed'),
      term(
        'L',
        supported ? 'between its holding and the centre' : 'stands out to where the cut begins',
        length,
        'mm',
        'computed',
      ),
      term('E', `elasticity of ${material.name}`, elasticity, 'N/mm²', 'material'),
      term('d', 'as stiff as a straight bar of', diameter, 'mm', 'computed'),
    ],
    note: 'The diameter comes out too large by twice as much.',
  });
}

/** Main force and power of a pass along the work (handbook 6); one without infeed has no force. */
export function forceAndPower(
  depth: number,
  setup: Setup,
  feed: Figure,
  achieved: Figure,
): { force?: Figure; power: Figure } {
  const { material, cutting } = setup.run.shop;
  const { kc, m } = material.force;
  const cut = { kc, m, feed: feed.value, depth, approachAngle: cutting.approachAngle };
  const force = depth > 0 ? cuttingForce(cut) : 0;
  const power = figure({
    name: 'power of the cut',
    unit: 'kW',
    value: depth > 0 ? cuttingPower(cut, achieved.value) : 0,
    formula: 'F · v / 60000',
    terms: [
      term('F', 'main force', force, 'N', 'computed'),
      term('v', 'cutting speed reached', achieved.value, 'm/min', 'computed'),
    ],
  });
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
        term('κ', 'approach angle, degrees', cutting.approachAngle, '', 'start value'),
        term('m', 'its exponent', m, '', 'material'),
        term('a', 'depth of the cut', depth, 'mm', 'computed'),
      ],
    }),
  };
}

/** Force, power and bending of a pass along the outside (handbook 6); a pass without infeed has none. */
export function loadOf(
  operation: Operation,
  { depth }: Pass,
  work: Workpiece,
  setup: Setup,
  feed: Figure,
  achieved: Figure,
): PassLoad | undefined {
  const asked = forceAndPower(depth, setup, feed, achieved);
  if (!asked.force) return undefined;
  const bends = bendsOf(asked.force.value, operation, work, setup);
  return {
    ...asked,
    ...(bends ? { bends } : {}),
    ...(operation.tool.nose === undefined ? {} : { roughness: roughnessLeft(feed.value, operation.tool.nose) }),
  };
}

/** What the nose of a tool leaves at a feed (handbook 6). */
export const roughnessLeft = (feed: number, nose: number): Figure =>
  figure({
    name: 'roughness Ra, µm',
    unit: '',
    value: roughnessOf(feed, nose),
    formula: '1000 · f^2 / (32 · r)',
    terms: [term('f', 'feed', feed, 'mm/rev', 'computed'), term('r', 'nose radius', nose, 'mm', 'tool')],
  });

/**
 * Passes again without infeed until what is left of the bending is within a third of the tolerance, but no more than so
 * many: each leaves of it the share that the work gives way by for a depth (handbook 6, 12).
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
 * (handbook 6), and what helps most.
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
    `The work gives way: ${tell(error)} too large on the diameter, and the drawing leaves ${tell(wide)}: ${help}.`,
  ];
}
