import { produce, type Draft } from 'immer';
import { example, planned, runOf, step } from '../../testing';
import { startValues } from '../../model/shop/startValues';
import type { RunFile } from '../../read/runFile';
import type { Plan } from '../plan';
import { usual, type Skeleton } from '../skeleton';
import { writtenPlan } from '../written';
import type { FaultCode } from './faults';
import { prove } from './prove';
import type { WrittenOperation, WrittenPlan } from './written';

const plans = new Map<string, { plan: Plan; written: WrittenPlan }>();

/** Routes that are not what would be taken: a plainer one, and one in which the end for the centre goes while it is long. */
const ROUTES: Record<string, Skeleton> = {
  'thumb-screw': usual('from-bar'),
  'wind-shaft': { ...usual('sawn-blanks'), spigot: true },
};

/** A plan and what its file says of it; made once. */
function known(name: string) {
  const made = plans.get(name);
  if (made) return made;
  const route = ROUTES[name];
  const plan = route ? planned(example(name), startValues, { only: [route] }) : planned(example(name));
  const both = { plan, written: writtenPlan(plan) };
  plans.set(name, both);
  return both;
}

type Written = Draft<WrittenPlan>;
type Operation = Draft<WrittenOperation>;

const codesOf = (name: string, change: (plan: Written) => void): FaultCode[] => {
  const { plan, written } = known(name);
  return prove(produce(written, change), plan.run).faults.map(({ code }) => code);
};

/** The operation of a number. */
const at = (plan: Written, number: number): Operation =>
  plan.setups.flatMap(({ operations }) => operations).find((operation) => operation.number === number) as Operation;

/** Every place of an operation's ways moved. */
function moveBy(operation: Operation, z: number, r = 0): void {
  for (const { path = [] } of operation.passes)
    for (const place of path) Object.assign(place, { z: place.z + z, r: place.r + r });
}

/** Only where its ways end, farthest from where they begin. */
function endBy(operation: Operation, z: number): void {
  for (const { path = [] } of operation.passes) {
    const from = path[0]?.z ?? 0;
    const far = Math.max(...path.map((place) => Math.abs(place.z - from)));
    for (const place of path) if (Math.abs(Math.abs(place.z - from) - far) < 1e-6) place.z += z;
  }
}

const without = (plan: Written, ...numbers: number[]): void => {
  for (const setup of plan.setups)
    setup.operations = setup.operations.filter(({ number }) => !numbers.includes(number));
};

/** Puts an operation before another of its set-up. */
function earlier(plan: Written, number: number, before: number): void {
  for (const setup of plan.setups) {
    const moved = setup.operations.find((operation) => operation.number === number);
    if (!moved) continue;
    setup.operations = setup.operations.flatMap((operation) =>
      operation.number === number ? [] : operation.number === before ? [moved, operation] : [operation],
    );
  }
}

const lastPass = (operation: Operation) => operation.passes.at(-1) as Operation['passes'][number];

/** What is planted, in which plan, and what must be found among the faults: written before the proof was run. */
const PLANTED: [string, string, (plan: Written) => void, FaultCode][] = [
  // The drawing's own figures.
  [
    'the spigot turned at the other end',
    'sensor-spacer',
    (plan) => {
      for (const place of at(plan, 70).passes.flatMap(({ path = [] }) => path)) place.z = 22 - place.z;
    },
    'too-much-metal',
  ],
  ['the spigot 0.05 beyond its h8', 'sensor-spacer', (plan) => moveBy(at(plan, 70), 0, -0.02), 'too-little-metal'],
  ['its shoulder 0.05 beyond +0.05', 'sensor-spacer', (plan) => endBy(at(plan, 70), 0.1), 'too-little-metal'],
  ['a shoulder left 0.05 short', 'vane-spindle', (plan) => endBy(at(plan, 50), -0.25), 'too-much-metal'],
  ['a groove moved by 1', 'gauge-spindle', (plan) => moveBy(at(plan, 50), 1), 'too-little-metal'],
  ['a groove moved by 1 the other way', 'gauge-spindle', (plan) => moveBy(at(plan, 50), -1), 'too-much-metal'],
  ['a groove too deep', 'gauge-spindle', (plan) => moveBy(at(plan, 50), 0, -0.3), 'too-little-metal'],
  ['a groove not deep enough', 'gauge-spindle', (plan) => moveBy(at(plan, 50), 0, 0.3), 'too-much-metal'],
  ['an inside groove moved by 0.5', 'bearing-cup', (plan) => moveBy(at(plan, 110), 0.5), 'too-little-metal'],
  ['an inside groove left out', 'bearing-cup', (plan) => without(plan, 110), 'too-much-metal'],
  [
    'a chamfer on the wrong edge',
    'sensor-spacer',
    (plan) => {
      for (const place of at(plan, 80).passes.flatMap(({ path = [] }) => path)) place.z += 9;
    },
    'too-much-metal',
  ],
  ['a chamfer of twice its size', 'sensor-spacer', (plan) => moveBy(at(plan, 80), 0.5), 'too-little-metal'],
  [
    'a cone steeper than drawn',
    'valve-needle',
    (plan) => {
      for (const { path = [] } of at(plan, 60).passes) if (path[1]) path[1].r -= 0.3;
    },
    'too-little-metal',
  ],
  ['a cone moved by 0.5', 'valve-needle', (plan) => moveBy(at(plan, 60), 0.5), 'too-little-metal'],
  ['a vee 0.3 too deep', 'valve-needle', (plan) => moveBy(at(plan, 150), 0, -0.3), 'too-little-metal'],
  ['a vee beside its place', 'valve-needle', (plan) => moveBy(at(plan, 150), 0.5), 'too-much-metal'],
  ['a relief beside its place', 'thumb-screw', (plan) => moveBy(at(plan, 70), 0.4), 'too-little-metal'],
  ['a rounded edge moved by 0.3', 'thumb-screw', (plan) => moveBy(at(plan, 150), -0.3), 'too-little-metal'],
  [
    'a rounded edge on the side of the jaws',
    'thumb-screw',
    (plan) => {
      at(plan, 150).stands = { ...at(plan, 150).stands, towardsChuck: true };
    },
    'too-much-metal',
  ],
  ['a countersink too deep', 'bearing-cup', (plan) => endBy(at(plan, 50), -0.5), 'too-little-metal'],
  ['faced too far', 'sensor-spacer', (plan) => moveBy(at(plan, 120), -0.5), 'too-little-metal'],
  ['faced too little', 'sensor-spacer', (plan) => moveBy(at(plan, 120), 0.25), 'too-much-metal'],
  // Modes, edges, tools.
  [
    'the figure of a radius taken for a diameter',
    'vane-spindle',
    (plan) => {
      for (const place of lastPass(at(plan, 50)).path ?? []) if (place.r < 5) place.r *= 2;
    },
    'too-much-metal',
  ],
  [
    'the figure of a diameter taken for a radius',
    'vane-spindle',
    (plan) => {
      for (const place of lastPass(at(plan, 50)).path ?? []) if (place.r < 5) place.r /= 2;
    },
    'too-little-metal',
  ],
  [
    'the blade on its wrong edge: parted short by its width',
    'sensor-spacer',
    (plan) => moveBy(at(plan, 110), -2.5),
    'too-little-metal',
  ],
  [
    'a blade wider than believed',
    'gauge-spindle',
    (plan) => {
      at(plan, 50).width = 2.3;
    },
    'too-little-metal',
  ],
  [
    'the next drill of the set',
    'cup-arm-hub',
    (plan) => {
      at(plan, 50).tool = 'drill-14';
    },
    'too-little-metal',
  ],
  [
    'the drill before in the set',
    'cup-arm-hub',
    (plan) => {
      at(plan, 50).tool = 'drill-12.5';
    },
    'too-much-metal',
  ],
  [
    'finished with the nose of the roughing tool',
    'vane-spindle',
    (plan) => {
      at(plan, 50).tool = 'rougher';
    },
    'too-much-metal',
  ],
  [
    'a bar too stout for the hole',
    'wind-shaft',
    (plan) => {
      at(plan, 150).tool = 'boring-bar-8';
    },
    'body-meets-work',
  ],
  [
    'a tool that the shop has not',
    'sensor-spacer',
    (plan) => {
      at(plan, 70).tool = 'none-such';
    },
    'no-tool',
  ],
  [
    'a way that is not said',
    'sensor-spacer',
    (plan) => {
      delete lastPass(at(plan, 70)).path;
    },
    'no-way',
  ],
  // Passes and their order.
  ['the last pass missing', 'sensor-spacer', (plan) => void at(plan, 70).passes.pop(), 'too-much-metal'],
  ['a roughing pass missing', 'sensor-spacer', (plan) => void at(plan, 30).passes.shift(), 'depth-differs'],
  ['roughing left out altogether', 'sensor-spacer', (plan) => without(plan, 30), 'depth-differs'],
  [
    'a depth that is not what is there',
    'vane-spindle',
    (plan) => {
      lastPass(at(plan, 50)).depth += 0.05;
    },
    'depth-differs',
  ],
  ['the drill left out', 'cup-arm-hub', (plan) => without(plan, 40, 50), 'too-much-metal'],
  ['the bore left out', 'bearing-cup', (plan) => without(plan, 100), 'too-much-metal'],
  ['never parted off', 'sensor-spacer', (plan) => without(plan, 110), 'too-much-metal'],
  ['parted off before the spigot is finished', 'sensor-spacer', (plan) => earlier(plan, 110, 60), 'nothing-gripped'],
  [
    'the groove cut to the axis',
    'gauge-spindle',
    (plan) => {
      for (const place of at(plan, 50).passes.flatMap(({ path = [] }) => path)) if (place.r < 5) place.r = -0.5;
    },
    'falls-off',
  ],
  ['turned under a centre that nobody drilled', 'wind-shaft', (plan) => without(plan, 20), 'no-centre'],
  ['the set-ups swapped', 'vane-spindle', (plan) => void plan.setups.reverse(), 'nothing-gripped'],
  [
    'the wrong end out',
    'vane-spindle',
    (plan) => {
      Object.assign(plan.setups[1] ?? {}, { end: 'front' });
    },
    'meets-holding',
  ],
  // What stands in the way.
  [
    'less stick-out than the cut is long',
    'vane-spindle',
    (plan) => {
      Object.assign(plan.setups[0]?.holding ?? {}, { from: 30 });
    },
    'meets-holding',
  ],
  [
    'held where it is of another size',
    'vane-spindle',
    (plan) => {
      Object.assign(plan.setups[1]?.holding ?? {}, { diameter: 8 });
    },
    'nothing-gripped',
  ],
  [
    'hard jaws on a thread',
    'mast-stud',
    (plan) => {
      Object.assign(plan.setups[1]?.holding ?? {}, { from: 12, to: 2, diameter: 8 });
    },
    'grip-marks',
  ],
  [
    'at rapid through the work',
    'vane-spindle',
    (plan) => {
      for (const place of lastPass(at(plan, 40)).path ?? []) place.by = 'rapid';
    },
    'rapid-meets-work',
  ],
  [
    'along the work before it is out of the groove',
    'gauge-spindle',
    (plan) => {
      const { path = [] } = lastPass(at(plan, 50));
      path.splice(2, 0, { z: (path[1]?.z ?? 0) - 5, r: path[1]?.r ?? 0, by: 'rapid' });
    },
    'rapid-meets-work',
  ],
  ['the edge faced past a centre', 'wind-shaft', (plan) => earlier(plan, 80, 60), 'meets-centre'],
  [
    'drilled into the spindle stop',
    'cup-arm-hub',
    (plan) => {
      at(plan, 50).passes.forEach(({ path = [] }) => path[1] && (path[1].z = 32));
    },
    'meets-stop',
  ],
  [
    'the blade 1 mm beyond the wall of the ring',
    'sensor-spacer',
    (plan) => moveBy(at(plan, 110), 0, -1),
    'meets-catcher',
  ],
  [
    'a rest that stands where the tool comes along',
    'wind-shaft',
    (plan) => {
      Object.assign(plan.setups[0] ?? {}, { rest: { kind: 'fixed', from: 40, to: 60 } });
    },
    'meets-rest',
  ],
  ['a tap deeper than its hole', 'valve-needle', (plan) => endBy(at(plan, 140), -4), 'body-meets-work'],
  ['a die run into the shoulder', 'mast-stud', (plan) => endBy(at(plan, 50), 3), 'body-meets-work'],
  ['a knurl run into what stands beside it', 'thumb-screw', (plan) => moveBy(at(plan, 40), 0, -0.5), 'body-meets-work'],
  [
    'a tool deeper than its edge is long',
    'cup-arm-hub',
    (plan) => {
      const { passes } = at(plan, 20);
      passes.splice(0, passes.length - 1);
    },
    'body-meets-work',
  ],
  [
    'a bar cut short by nothing: the blank 2 too short',
    'vane-spindle',
    (plan) => {
      plan.stock.blankLength = (plan.stock.blankLength ?? 0) - 2;
    },
    'too-little-metal',
  ],
  [
    'a bar of the size below',
    'vane-spindle',
    (plan) => {
      plan.stock.size = 11;
    },
    'nothing-gripped',
  ],
  [
    'gripped by 2 only',
    'vane-spindle',
    (plan) => {
      Object.assign(plan.setups[0]?.holding ?? {}, { to: 42 });
    },
    'tips',
  ],
  ['turned so slender that it wants a centre', 'vane-spindle', (plan) => moveBy(at(plan, 50), 0, -2.5), 'slender'],
  ['a thread that nothing cuts', 'mast-stud', (plan) => without(plan, 50), 'not-made'],
];

test('at least 40 faults are planted', () => expect(PLANTED.length).toBeGreaterThanOrEqual(40));

test.each(PLANTED)('%s (%s)', (_, name, change, code) => {
  expect(codesOf(name, () => undefined)).not.toContain(code);
  expect(codesOf(name, change)).toContain(code);
});

describe('a blind bore with a flat bottom', () => {
  // ⌀20, 15 deep: the cone that the drill leaves is faced out before the wall.
  const file: RunFile = runOf({
    outside: [step(30, 25)],
    bores: [{ from: 'front', shape: 'bore', diameter: 20, depth: 15, bottom: 'flat' }],
  });
  const plan = planned(file);
  const written = writtenPlan(plan);

  test('its floor is faced outwards, then its wall is bored', () => {
    expect(prove(written, plan.run).faults).toEqual([]);
  });

  test('without the floor its first pass is not as deep as the plan says: the cone of the drill is still there', () => {
    const walls = (operation: WrittenOperation) =>
      operation.kind === 'bore' ? { ...operation, passes: operation.passes.slice(-2) } : operation;
    const bare = {
      ...written,
      setups: written.setups.map((setup) => ({ ...setup, operations: setup.operations.map(walls) })),
    };
    const codes = prove(bare, plan.run).faults.map(({ code }) => code);
    expect(codes).toContain('depth-differs');
    expect(codes).toContain('body-meets-work');
  });
});
