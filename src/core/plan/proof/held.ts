import type { Run } from '../../model/run';
import type { Fault } from './faults';
import { highAt, lowAt, type Section } from './section/section';
import { viewOf } from './standing';
import type { WrittenOperation, WrittenSetup } from './written';

/** What is gripped is there when it stands where the plan says within this, mm: more is another surface. */
const GRIPPED_WITHIN = 0.05;
/** A centre bears in a hole of its own: wider than this at the face, mm. */
const CENTRE_HOLE = 0.2;

/** Means whose jaws are hard and bare. */
const HARD = ['3-jaw', '4-jaw'];

/** Between which places it is gripped: in a bore from its far face. z of the set-up. */
function gripOf({ holding, end }: WrittenSetup, length: number): [number, number] {
  if (holding.inside !== undefined) return [length - holding.inside, length];
  const places = [holding.from, holding.to].map(viewOf({ end }, length));
  return [Math.min(...places), Math.max(...places)];
}

/** Whether the work is where its holding has it: as wide in the middle of what is gripped as the plan says. */
function isGripped(setup: WrittenSetup, metal: Section, length: number, form: string): boolean {
  const { holding } = setup;
  const [from, to] = gripOf(setup, length);
  // A bar goes on into the spindle; a piece may end before its jaws do.
  const reaches = Math.min(to, metal.at(-1)?.z1 ?? to);
  if (reaches - from <= GRIPPED_WITHIN) return false;
  const gripped = metal.filter(({ z0, z1 }) => z1 > from && z0 < reaches);
  const radius = holding.diameter / 2;
  const isFlat = form !== 'round' && form !== 'tube';
  return gripped.some((slab) => {
    const z = (Math.max(slab.z0, from) + Math.min(slab.z1, reaches)) / 2;
    return (
      Math.abs((holding.inside === undefined ? highAt(slab, z) : lowAt(slab, z)) - radius) <= GRIPPED_WITHIN ||
      // On flats the section knows the corners only.
      (isFlat && highAt(slab, z) >= radius)
    );
  });
}

/** What is wrong with how the work is held as it is when an operation begins. */
export function held(
  setup: WrittenSetup,
  operation: WrittenOperation,
  metal: Section,
  { run, form, earlier }: { run: Run; form: string; earlier: ReadonlySet<string> },
): Fault[] {
  const where = { setup: setup.number, operation: operation.number };
  const { length, features } = run.part;
  const { holding, end } = setup;
  const faults: Fault[] = [];
  if (holding.kind !== 'between-centres' && !isGripped(setup, metal, length, form))
    faults.push({ code: 'nothing-gripped', ...where, what: `⌀${holding.diameter}`, z: holding.from });
  const view = viewOf({ end }, length);
  const [from, to] = gripOf(setup, length);
  const marked = features.find(
    ({ thread, knurl, bore, z0, z1, path }) =>
      (knurl ?? (thread && !bore)) &&
      HARD.includes(holding.kind) &&
      earlier.has(path) &&
      Math.min(view(z0), view(z1)) < to &&
      Math.max(view(z0), view(z1)) > from,
  );
  if (marked) faults.push({ code: 'grip-marks', ...where, what: marked.name, path: marked.path });
  const first = metal[0];
  if (operation.centre && (!first || lowAt(first, first.z0) < CENTRE_HOLE))
    faults.push({ code: 'no-centre', ...where, what: 'the centre that is to hold its end' });
  return faults;
}
