import type { Way } from '../../model/way';
import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { produce, type Draft } from 'immer';
import { example, planned, plannedAsUsual } from '../../testing';
import type { Run } from '../../model/run';
import { writtenPlan } from '../written';
import { prove } from './prove';
import type { WrittenOperation, WrittenPlan } from './written';

const EXAMPLES = readdirSync(join(__dirname, '../../../../examples'))
  .filter((name) => name.endsWith('.json'))
  .map((name) => name.replace('.json', ''));

type Operation = Draft<WrittenOperation>;

/** What a kind of operation fixes of the piece: where it ends along z, both its places along z, how deep it goes, its diameter. */
const FIXES: Record<string, readonly ('end' | 'z' | 'r' | 'depth')[]> = {
  face: ['z', 'depth'],
  'turn-rough': ['depth'],
  'turn-finish': ['r', 'end', 'depth'],
  taper: ['r', 'z', 'depth'],
  groove: ['r', 'z', 'depth'],
  'inner-groove': ['r', 'z'],
  vee: ['r', 'z'],
  form: ['r', 'z'],
  chamfer: ['r'],
  countersink: ['z'],
  bore: ['r', 'depth'],
  counterbore: ['r', 'z', 'depth'],
  'part-off': ['depth'],
};

/** What stays in its bore from the beginning to the end. */
const KEEPS_INSIDE = ['bore', 'counterbore'];

/** Beyond a limit by so much, mm. */
const BEYOND = 0.05;

/** Half of what the drawing allows on the radius that an operation makes: a step's, a feature's, else the widest of the part. */
function bandOf({ feature }: WrittenOperation, { part }: Run): number {
  const size =
    part.steps.find(({ path }) => path === feature)?.diameter ??
    part.features.find(({ path }) => path === feature)?.size;
  const bands = part.steps.map(({ diameter }) => diameter.upper - diameter.lower);
  return (size ? size.upper - size.lower : Math.max(...bands)) / 2;
}

/** Where an edge stands at its work: of a bar all the way, of what comes from outside nearer the axis, of what cuts a wall farther. */
function cutting({ kind, passes }: Operation) {
  return passes.flatMap(({ path = [] }) => {
    const radii = path.map(({ r }) => r);
    const [least, most] = [Math.min(...radii), Math.max(...radii)];
    if (kind === 'inner-groove') return path.filter(({ r }) => r > least + 1e-9);
    return KEEPS_INSIDE.includes(kind) ? path : path.filter(({ r }) => r < most - 1e-9);
  });
}

/** The changes of an operation that take the piece, or what the plan says of it, beyond a limit. */
function changesOf(operation: WrittenOperation, run: Run): [string, (operation: Operation) => void][] {
  const fixes = FIXES[operation.kind] ?? [];
  const changes: [string, (operation: Operation) => void][] = [];
  for (const way of [-1, 1] as const) {
    const by = way * BEYOND;
    if (fixes.includes('z'))
      changes.push([
        `z ${by}`,
        (changed) =>
          changed.passes.forEach(({ path = [] }) =>
            path.forEach((place) => {
              place.z += by;
              if (place.round) place.round.z += by;
            }),
          ),
      ]);
    // What is turned through ends in the open, or in what is parted off.
    const end = operation.passes[0]?.path?.[2]?.z ?? 0;
    if (fixes.includes('end') && end > 0 && end < run.part.length)
      changes.push([
        `end ${by}`,
        (changed) =>
          changed.passes.forEach(({ path = [] }) => {
            const end = path[2]?.z ?? 0;
            for (const place of path) if (Math.abs(place.z - end) < 1e-9) place.z += by;
          }),
      ]);
    if (fixes.includes('r'))
      changes.push([
        `r ${by}`,
        (changed) =>
          cutting(changed).forEach((place) => {
            place.r += way * (bandOf(operation, run) + BEYOND);
            if (place.round) place.round.r += way * (bandOf(operation, run) + BEYOND);
          }),
      ]);
    if (fixes.includes('depth'))
      changes.push([
        `said ${by} deeper`,
        (changed) => {
          const pass = changed.passes.findLast(({ depth }) => depth > 0);
          if (pass) pass.depth += by;
        },
      ]);
  }
  return changes;
}

/** Operations that leave nothing of their own in the finished piece: a start for a drill. */
const LEAVES_NOTHING = ['centre', 'part-in'];

/** Of these another route is sounder than the usual one, whose plan is changed here. */
const AS_USUAL: Record<string, Way> = { 'thumb-screw': 'from-bar', 'gland-body': 'sawn-blanks' };

/**
 * What is not found, and why: the finished piece is the same.
 */
const EQUIVALENT: Record<string, string> = {
  'gland-body 80 Finish ⌀16, thread end: end -0.05': 'the relief takes that corner',
  'thumb-screw 60 Finish ⌀6, thread end: end -0.05': 'the relief takes that corner',
  'valve-needle 50 Finish ⌀8, needle: end -0.05': 'the tool of the cone comes out along that shoulder',
  'gland-body 220 Finish ⌀20, nose: end 0.05': 'the tool of the cone comes out along that shoulder',
  'cup-arm-hub 110 Finish ⌀44, hub: end -0.05': 'it ends in the open behind the hub',
  'cup-arm-hub 110 Finish ⌀44, hub: end 0.05': 'it ends in the open behind the hub',
  'mast-collar 30 Pilot ⌀5.6 through: left out': 'the next drill takes it all, with more thrust',
};

test('changes of the plan file beyond a limit by 0.05 are found, but for those that change nothing', () => {
  let tried = 0;
  const missed: string[] = [];
  for (const name of EXAMPLES) {
    const way = AS_USUAL[name];
    const plan = way ? plannedAsUsual(example(name), way) : planned(example(name));
    const written = writtenPlan(plan);
    const before = new Set(prove(written, plan.run).faults.map((fault) => JSON.stringify(fault)));
    const look = (what: string, change: (plan: Draft<WrittenPlan>) => void) => {
      tried += 1;
      const { faults } = prove(produce(written, change), plan.run);
      if (faults.every((fault) => before.has(JSON.stringify(fault)))) missed.push(`${name} ${what}`);
    };
    for (const [place, setup] of written.setups.entries())
      for (const [index, operation] of setup.operations.entries()) {
        if (operation.passes.length === 0) continue;
        const label = `${operation.number} ${operation.name}`;
        if (!LEAVES_NOTHING.includes(operation.kind))
          look(`${label}: left out`, ({ setups }) => void setups[place]?.operations.splice(index, 1));
        for (const [what, change] of changesOf(operation, plan.run))
          look(`${label}: ${what}`, ({ setups }) => change(setups[place]?.operations[index] as Operation));
      }
  }
  expect(tried).toBeGreaterThan(800);
  expect(missed.toSorted()).toEqual(Object.keys(EQUIVALENT).toSorted());
});
