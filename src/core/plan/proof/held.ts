import type { Run } from '../../model/run';
import { CLOSE } from '../../model/tolerances';
import type { Fault, FaultCode } from './faults';
import { highAt, lowAt, type Section } from './section/section';
import { toolNamed, viewOf } from './standing';
import type { WrittenOperation, WrittenSetup } from './written';

/** What is gripped is there when it stands where the plan says within this, mm: more is another surface. */
const GRIPPED_WITHIN = 0.05;
/** A centre bears in a hole of its own: wider than this at the face, mm. */
const CENTRE_HOLE = 0.2;

/** A broken edge lies between a grip and the face behind it, so wide at most, mm. */
const EDGE_WITHIN = 3;

/** Means whose jaws are hard and bare. */
const HARD = ['3-jaw', '4-jaw'];

/** Between which places it is gripped: in a bore from its far face. z of the set-up. */
function gripOf({ holding, end }: WrittenSetup, length: number): [number, number] {
  if (holding.inside !== undefined) return [length - holding.inside, length];
  const places = [holding.from, holding.to].map(viewOf({ end }, length));
  return [Math.min(...places), Math.max(...places)];
}

/** Stretches of the work in its holding that are as wide as the plan says. */
function gripped({ holding }: WrittenSetup, [from, to]: [number, number], metal: Section, form: string) {
  const radius = holding.diameter / 2;
  const isFlat = form !== 'round' && form !== 'tube';
  return metal
    .map((slab) => ({ slab, z0: Math.max(slab.z0, from), z1: Math.min(slab.z1, to) }))
    .filter(({ slab, z0, z1 }) => {
      if (z1 <= z0) return false;
      const z = (z0 + z1) / 2;
      const is = holding.inside === undefined ? highAt(slab, z) : lowAt(slab, z);
      // On flats the section knows the corners only.
      return Math.abs(is - radius) <= GRIPPED_WITHIN || (isFlat && highAt(slab, z) >= radius);
    });
}

/**
 * How far from its holding the cuts of an operation act: only what pushes across can tip or bend, and nothing pushes where an edge
 * comes in over work that is smaller already.
 */
function actsAt(
  { passes }: WrittenOperation,
  metal: Section,
  jaws: number,
  setup: WrittenSetup,
  length: number,
): number {
  const view = viewOf(setup, length);
  const begins = passes.flatMap(({ path = [] }) => {
    const cutting = path.filter(({ by }) => by === undefined);
    const nearest = Math.max(-setup.facing, Math.min(...cutting.map(({ z }) => view(z))));
    const deepest = Math.min(...cutting.map(({ r }) => r));
    const met = metal.find((slab) => {
      const high = Math.max(highAt(slab, Math.max(nearest, slab.z0)), highAt(slab, slab.z1));
      return slab.z1 > nearest + CLOSE && high > deepest + CLOSE;
    });
    return met ? [Math.max(nearest, met.z0)] : [];
  });
  return jaws - Math.min(jaws, ...begins);
}

/**
 * The diameter of a plain bar that gives way as much at its end as the work does from there to its holding (textbook,
 * ∫ s²/I ds of a beam).
 */
function evenDiameter(metal: Section, end: number, jaws: number): number {
  let gives = 0;
  for (const slab of metal) {
    const [z0, z1] = [Math.max(slab.z0, end), Math.min(slab.z1, jaws)];
    if (z1 <= z0) continue;
    const z = (z0 + z1) / 2;
    const stiff = highAt(slab, z) ** 4 - lowAt(slab, z) ** 4;
    gives += ((z1 - end) ** 3 - (z0 - end) ** 3) / 3 / Math.max(stiff, 1e-9);
  }
  return gives > 0 ? 2 * ((jaws - end) ** 3 / 3 / gives) ** 0.25 : Infinity;
}

/** Whether the work ends where its grip does, or steps down there: on that a step of the jaws bears. */
function isSeated(metal: Section, end: number, least: number): boolean {
  const isNear = (z: number) => z > end - GRIPPED_WITHIN && z < end + EDGE_WITHIN;
  return metal.some((slab, index) => {
    const next = metal[index + 1];
    const stands = next ? highAt(slab, slab.z1) - highAt(next, next.z0) : highAt(slab, slab.z1);
    return isNear(slab.z1) && stands >= least - GRIPPED_WITHIN;
  });
}

/** Walls as share of their diameter, the thinnest under what grips. */
const wallUnder = (stretches: ReturnType<typeof gripped>): number =>
  Math.min(
    ...stretches.map(({ slab, z0, z1 }) => {
      const z = (z0 + z1) / 2;
      return lowAt(slab, z) > 0 ? (highAt(slab, z) - lowAt(slab, z)) / (2 * highAt(slab, z)) : Infinity;
    }),
  );

/** Whether a fixed rest carries the work away from its grip: it neither tips nor bends then. One beside the jaws does not. */
function isCarried({ rest, end }: WrittenSetup, [jaws]: [number, number], length: number): boolean {
  const view = viewOf({ end }, length);
  return rest?.kind === 'fixed' && Math.max(view(rest.from), view(rest.to)) < jaws - GRIPPED_WITHIN;
}

/** A feature whose surface hard jaws would mark: made before, and under them. */
function markedBy(setup: WrittenSetup, [from, to]: [number, number], { part }: Run, earlier: ReadonlySet<string>) {
  const view = viewOf(setup, part.length);
  return part.features.find(
    ({ thread, knurl, bore, z0, z1, path }) =>
      (knurl ?? (thread && !bore)) &&
      earlier.has(path) &&
      Math.min(view(z0), view(z1)) < to &&
      Math.max(view(z0), view(z1)) > from,
  );
}

/** What is wrong with how the work is held as it is when an operation begins (trade: Safe holds). */
export function held(
  setup: WrittenSetup,
  operation: WrittenOperation,
  metal: Section,
  { run, form, earlier }: { run: Run; form: string; earlier: ReadonlySet<string> },
): Fault[] {
  const { holding } = setup;
  const { cutting, houseRules } = run.shop;
  const faults: Fault[] = [];
  const tell = (code: FaultCode, what: string, more: Partial<Fault> = {}) =>
    faults.push({ code, setup: setup.number, operation: operation.number, what, ...more });
  const first = metal[0];
  if (operation.centre && (!first || lowAt(first, first.z0) < CENTRE_HOLE))
    tell('no-centre', 'the centre that is to hold its end');
  if (holding.kind === 'between-centres') return faults;
  const grip = gripOf(setup, run.part.length);
  const stretches = gripped(setup, grip, metal, form);
  const length = stretches.reduce((sum, { z0, z1 }) => sum + z1 - z0, 0);
  if (length <= GRIPPED_WITHIN) tell('nothing-gripped', 'the grip', { asked: holding.diameter, z: holding.from });
  if (HARD.includes(holding.kind)) {
    const marked = markedBy(setup, grip, run, earlier);
    if (marked) tell('grip-marks', marked.name, { path: marked.path });
    const wall = wallUnder(stretches);
    if (setup.number > 1 && wall < cutting.thinWall) tell('grips-wall', `${Math.round(100 * wall)} % of its diameter`);
  }
  if (
    isCarried(setup, grip, run.part.length) ||
    operation.centre ||
    toolNamed(operation, run)?.mount !== 'post' ||
    length <= GRIPPED_WITHIN
  )
    return faults;
  const acts = actsAt(operation, metal, grip[0], setup, run.part.length);
  // A seat squares the work like a grip of half its diameter (trade: Safe holds).
  const seated = holding.seated && isSeated(metal, grip[1], cutting.seatLeast);
  const bears = cutting.leanTimes * (seated ? Math.max(length, holding.diameter / 2) : length);
  if (acts > bears + CLOSE) tell('tips', 'the grip', { is: acts, asked: length, amount: acts - bears });
  const even = evenDiameter(metal, grip[0] - acts, grip[0]);
  const times = houseRules.stickOut === '4d' ? 4 : 1.5;
  if (acts > times * even + CLOSE)
    tell('slender', 'the stick-out', { is: acts, asked: even, amount: acts - times * even });
  return faults;
}
