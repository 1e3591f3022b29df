import { figure, term, type Figure } from '../../model/figure';
import { radiusOn } from '../../model/workpiece/profile';
import type { Workpiece } from '../../model/workpiece/workpiece';
import type { Operation } from '../../model/plan/operation';
import { isBetweenCentres, type Setup } from '../../model/plan/setup';
import { betweenBends, centredBends, freeEndBends } from './deflection';

/**
 * As stiff as a straight bar of this diameter: of the work between a place and its holding, what bends under a force at
 * that place is the sum of (s₁³ − s₀³) / (3 E I) over its pieces, s from the force.
 */
export function stiffAs({ outside, bore }: Pick<Workpiece, 'outside' | 'bore'>, from: number, to: number): number {
  const length = to - from;
  const bends = outside.reduce((total, piece) => {
    const [z0, z1] = [Math.max(piece.z0, from), Math.min(piece.z1, to)];
    if (z1 - z0 < 1e-9) return total;
    const middle = (z0 + z1) / 2;
    const hole = bore.find((segment) => segment.z0 <= middle && middle <= segment.z1);
    const moment = radiusOn(piece, middle) ** 4 - (hole ? radiusOn(hole, middle) ** 4 : 0);
    return total + ((z1 - from) ** 3 - (z0 - from) ** 3) / moment;
  }, 0);
  return 2 * (length ** 3 / bends) ** 0.25;
}

/** A length that bends under a cut: how it is held, in words from where to where, and as stiff as which straight bar. */
interface Beam {
  bends: typeof freeEndBends;
  formula: string;
  length: number;
  between: string;
  diameter: number;
  elasticity: number;
}

const FREE = { bends: freeEndBends, formula: 'q · F · L^3 / (3 · E · π · d^4 / 64)' };
const CENTRED = { bends: centredBends, formula: '7 · q · F · L^3 / (768 · E · π · d^4 / 64)' };
const BETWEEN = { bends: betweenBends, formula: 'q · F · L^3 / (48 · E · π · d^4 / 64)' };

/** Every pass of an operation bends the same: what was worked out of it on some work. */
const known = new WeakMap<Operation, { work: Workpiece; setup: Setup; beam: Beam | undefined }>();

function beamOf(operation: Operation, work: Workpiece, setup: Setup): Beam | undefined {
  const before = known.get(operation);
  if (before && before.work === work && before.setup === setup) return before.beam;
  const beam = beamUnder(operation, work, setup);
  known.set(operation, { work, setup, beam });
  return beam;
}

/** The work under a cut; what sits on a mandrel is as stiff as that, which is not known. */
function beamUnder({ from, to }: Operation, work: Workpiece, setup: Setup): Beam | undefined {
  const { holding, supported, rest, run, facing } = setup;
  const { elasticity } = run.shop.material;
  if (elasticity === undefined || holding.inside !== undefined) return undefined;
  const cut = Math.max(Math.min(from, to), 0);
  // Held at one end it gives way most where the cut begins, under a centre half-way.
  const begins = supported ? -facing : cut;
  const length = holding.from - begins;
  if (length <= 0) return undefined;
  const diameter = stiffAs(work, begins, holding.from);
  const shared = { elasticity, diameter };
  if (rest?.kind === 'follow')
    return {
      ...FREE,
      elasticity,
      length: rest.width,
      diameter: stiffAs(work, cut, Math.min(cut + rest.width, holding.from)),
      between: 'from the follow rest to the tool',
    };
  if (rest) return { ...CENTRED, ...shared, length: length / 2, between: 'half of its length, to the fixed rest' };
  if (isBetweenCentres(setup)) return { ...BETWEEN, ...shared, length, between: 'between its centres' };
  if (supported) return { ...CENTRED, ...shared, length, between: 'between its holding and the centre' };
  return { ...FREE, ...shared, length, between: 'stands out to where the cut begins' };
}

/** What the work gives way by for each newton of main force, mm; undefined where it does not or is not known. */
export function bendsPerNewton(operation: Operation, work: Workpiece, setup: Setup): number | undefined {
  const beam = beamOf(operation, work, setup);
  return beam && beam.bends(setup.run.shop.cutting.radialForce, beam.length, beam.diameter, beam.elasticity);
}

/** What a cut bends the work by. */
export function bendsOf(force: number, operation: Operation, work: Workpiece, setup: Setup): Figure | undefined {
  const beam = beamOf(operation, work, setup);
  if (!beam) return undefined;
  const { bends, formula, length, between, diameter, elasticity } = beam;
  const { material, cutting } = setup.run.shop;
  return figure({
    name: 'deflection of the work',
    unit: 'mm',
    value: bends(cutting.radialForce * force, length, diameter, elasticity),
    formula,
    terms: [
      term('q', 'share of the main force that pushes off', cutting.radialForce, '', 'start value'),
      term('F', 'main force', force, 'N', 'computed'),
      term('L', between, length, 'mm', 'computed'),
      term('E', `elasticity of ${material.name}`, elasticity, 'N/mm²', 'material'),
      term('d', 'as stiff as a straight bar of', diameter, 'mm', 'computed'),
    ],
    note: 'The diameter comes out too large by twice as much.',
  });
}
