import type { LengthEntry } from '../model/part/size';
import { good, refuse, type Result } from '../model/result';
import type { UnitSystem } from '../model/units/length';
import { clip } from '../model/workpiece/profile';
import type { Profile, Segment } from '../model/workpiece/segment';
import { turnedRound, type Workpiece } from '../model/workpiece/workpiece';
import type { Plan } from '../plan/plan';
import type { PlannedSetup, TimedOperation } from '../plan/times/planTimes';
import type { DetailFile, HoleFile, PieceFile, RunFile, StepFile } from '../read/runFile';

/** How far the work has come: an operation of a set-up that is done; none when the work is only put in. */
export interface CameTo {
  planned: PlannedSetup;
  operation?: TimedOperation;
}

/** A length as it stands in a file, of one in mm. */
type Entered = (mm: number) => LengthEntry;

const enteredIn =
  (units: UnitSystem): Entered =>
  (length) =>
    units === 'mm' ? Number(length.toFixed(4)) : `${Number(length.toFixed(4))} mm`;

/** A rounding that bulges is taken as the metal that was there before it: what is there less would be missing for good. */
const outer = ({ r0, r1, arc }: Segment): [number, number] =>
  arc && !arc.hollow ? [Math.max(r0, r1), Math.max(r0, r1)] : [r0, r1];

const stepOf = (segment: Segment, mm: Entered): StepFile => {
  const [from, to] = outer(segment);
  const length = mm(segment.z1 - segment.z0);
  return Math.abs(from - to) < 1e-6
    ? { shape: 'cylinder', diameter: mm(2 * from), length }
    : { shape: 'cone', from: mm(2 * from), to: mm(2 * to), length };
};

/** A hole as wide as a straight tool from one end has it for sure: nothing wider than what lies before it. */
interface Reach {
  radius: number;
  depth: number;
  /** Its end is a drill's. */
  pointed: boolean;
}

/** Stretches of a hole from its mouth inwards, each narrower than the one before; until nothing is open, or `narrowest` is reached. */
function reachesOf(bore: Profile, narrowest: number): Reach[] {
  const reaches: Reach[] = [];
  const mouth = bore[0]?.z0 ?? 0;
  let least = Infinity;
  for (const { z0, z1, r0, r1 } of bore) {
    const radius = Math.min(r0, r1, least);
    const last = reaches.at(-1);
    if (radius < 1e-6 || radius < narrowest + 1e-6) {
      if (last && Math.abs(last.depth - (z0 - mouth)) < 1e-6) last.pointed = r0 > 1e-6 && r1 < 1e-6;
      break;
    }
    if (last && Math.abs(last.radius - radius) < 1e-6) last.depth = z1 - mouth;
    else reaches.push({ radius, depth: z1 - mouth, pointed: false });
    least = radius;
  }
  return reaches;
}

const backwards = (bore: Profile): Segment[] =>
  bore.toReversed().map(({ z0, z1, r0, r1, ...rest }) => ({ ...rest, z0: -z1, z1: -z0, r0: r1, r1: r0 }));

/** The holes of the work; a recess inside counts as the metal before it. */
function holesOf(bore: Profile, mm: Entered): HoleFile[] {
  const narrowest = Math.min(...bore.flatMap(({ r0, r1 }) => [r0, r1]));
  const through: HoleFile[] =
    narrowest > 1e-6 ? [{ from: 'front', shape: 'drill', diameter: mm(2 * narrowest), depth: 'through' }] : [];
  const from = (end: 'front' | 'back', profile: Profile) =>
    reachesOf(profile, narrowest).map(({ radius, depth, pointed }): HoleFile => {
      const hole = { from: end, diameter: mm(2 * radius), depth: mm(depth) };
      return pointed ? { ...hole, shape: 'drill' } : { ...hole, shape: 'bore', bottom: 'flat' };
    });
  return [...through, ...from('front', bore), ...from('back', backwards(bore))];
}

/** Threads and knurls that are cut already, and where they begin: they leave the metal as wide as it was. */
function marksOn(
  { run, setups }: Plan,
  { details = [] }: RunFile['part'],
  to: CameTo,
): { detail: DetailFile; z: number }[] {
  const before = setups.slice(0, setups.indexOf(to.planned)).flatMap(({ operations }) => operations);
  const here = to.planned.operations;
  const upTo = to.operation ? here.indexOf(to.operation) + 1 : 0;
  const made = new Set([...before, ...here.slice(0, upTo)].map(({ feature }) => feature));
  return details.flatMap((detail, index) => {
    const path = `part.details[${index}]`;
    const feature = run.part.features.find((one) => one.path === path);
    const isMark = detail.kind === 'thread' || detail.kind === 'knurl';
    return feature && isMark && made.has(path) ? [{ detail, z: feature.z0 }] : [];
  });
}

/** The work seen from the front of the part. */
const fromFront = ({ setup }: PlannedSetup, work: Workpiece, length: number): Workpiece =>
  setup.end === 'front' ? work : turnedRound(work, length);

/**
 * A run of pieces as they are now: after a mishap, or when the drawing changed under them. The part is the same, its stock is the
 * piece as the plan has it after an operation, to be put right where it is otherwise; nothing that was decided of the old route holds.
 * @returns the run, or why its work cannot be told as a piece
 */
export function runAsItIs(file: RunFile, plan: Plan, to: CameTo, quantity: number): Result<RunFile> {
  const { part } = plan.run;
  const { form, backFacing } = plan.stock;
  if (form === 'hex' || form === 'square')
    return refuse('stock', `is ${form}: a piece that is begun is told in rounds, cylinders and cones`);
  const work = fromFront(to.planned, to.operation?.after ?? to.planned.start, part.length);
  const end = part.length + backFacing;
  const outside = clip(work.outside, -Infinity, end);
  const ahead = Math.max(0, -(outside[0]?.z0 ?? 0));
  const mm = enteredIn(file.units);
  const bores = holesOf(clip(work.bore, -Infinity, end), mm);
  const details = marksOn(plan, file.part, to).map(({ detail, z }) => ({ ...detail, at: mm(z + ahead) }) as DetailFile);
  const stock: PieceFile = {
    form: 'piece',
    outside: outside.map((segment) => stepOf(segment, mm)),
    ahead: mm(ahead),
    ...(bores.length > 0 ? { bores } : {}),
    ...(details.length > 0 ? { details } : {}),
  };
  const { format, units, part: drawn, customer, order, note, due, machine, rules } = file;
  // What was decided of the old route is no decision about what is left of it.
  const kept = Object.fromEntries(
    Object.entries({ customer, order, note, due, machine, rules }).filter(([, value]) => value !== undefined),
  );
  return good({ format, units, part: drawn, quantity, spares: 0, stock, ...kept });
}
