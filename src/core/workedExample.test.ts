import { pointLength } from './model/workpiece/drillPoint';
import type { PassLoad } from './model/plan/passLoad';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { drillThrust } from './plan/cutting/drillLoad';
import { cuttingForce, specificForce } from './plan/cutting/force';
import { deepestWithin } from './plan/cutting/limits';
import { startValues } from './model/shop/startValues';
import { example, freeLevers, planned, runOf, step } from './testing';

const page = readFileSync(join(__dirname, '../../docs/worked-example.md'), 'utf8');
const cells = page
  .split('\n')
  .filter((line) => line.startsWith('| '))
  .map((line) =>
    line
      .split('|')
      .slice(1, -1)
      .map((cell) => cell.trim()),
  );

const file = runOf(
  {
    material: 'mild-steel',
    outside: [step('14 h8', 30, { roughness: 1.6 }), step(22, 10)],
    bores: [{ from: 'front', shape: 'drill', diameter: 8, depth: 20 }],
  },
  { way: 'from-bar', quantity: 50 },
);
const operation = (kind: string) => {
  const timedOperation = planned(file).setups[0]?.operations.find((one) => one.kind === kind);
  if (!timedOperation) throw new Error(`no ${kind}`);
  return timedOperation;
};
const [rough, finish, drill] = [operation('turn-rough'), operation('turn-finish'), operation('drill')];
const load = (timedOperation: typeof rough): Partial<PassLoad> => timedOperation.passes[0]?.load ?? {};
const mild = { kc: 1500, m: 0.22 };
const millimetre = cuttingForce({ ...mild, feed: 0.15, depth: 1, approachAngle: 90 });
const deepest = (speed: number) =>
  deepestWithin({ material: 9, power: 1.125, holding: Infinity }, millimetre, speed).depth;
const { handMinutes, cutting } = startValues;
const { speeds } = planned(file).run.shop.machine;
const fastest = (feed: number) => speeds.findLast((speed) => speed * feed <= cutting.shoulderFeed);
const minutes = (passes: number, feed: number, speed: number) =>
  passes * (31.9 / (feed * speed) + cutting.shoulderLast / cutting.shoulderByHand + handMinutes.approach);

const planOf: Record<string, number | undefined> = {
  'wanted speed': speeds.findLast((speed) => speed <= (1000 * 140) / (Math.PI * 22)),
  'fastest at 0.2': fastest(0.2),
  'fastest at 0.15': fastest(0.15),
  'force of 1 mm at 0.15': millimetre,
  'deepest at 1600': deepest(110.58),
  'three at 1120': minutes(3, 0.2, 1120),
  'three at 1600': minutes(3, 0.15, 1600),
  'rough passes': rough.passes.length,
  'rough speed': rough.speed.value,
  'rough depth': rough.passes[0]?.depth,
  'rough force': load(rough).force?.value,
  'rough power': load(rough).power?.value,
  'rough pass minutes': rough.passes[0]?.minutes.value,
  'finish feed': finish.feed.value,
  'finish roughness': load(finish).roughness?.value,
  'finish force': load(finish).force?.value,
  'finish speed': finish.speed.value,
  'finish reached': finish.achieved.value,
  'finish power': load(finish).power?.value,
  'finish minutes': finish.cutting.value,
  'drill speed': drill.speed.value,
  'drill feed': drill.feed.value,
  'drill chip force': specificForce({ ...mild, feed: 0.06, depth: 1, approachAngle: 59 }),
  'drill torque': load(drill).torque?.value,
  'drill thrust': load(drill).thrust?.value,
  'drill power': load(drill).power?.value,
  'drill point': drill.to - (drill.fullDepth ?? 0),
};

const worked = cells.filter(([name = '']) => name in planOf);

test('the page works every figure that is compared, and no other', () => {
  expect(worked.map(([name]) => name)).toEqual(Object.keys(planOf));
  // Two of them from the formulas of the core alone.
  expect(planOf['drill point']).toBeCloseTo(pointLength(8, 118), 9);
  expect(planOf['drill thrust']).toBeCloseTo(
    drillThrust(planOf['drill chip force'] ?? 0, 0.12, 8, (59 * Math.PI) / 180),
    6,
  );
});

test.each(worked)('%s: %s is %s', (name, _, result) => {
  const places = (result.split('.')[1] ?? '').length;
  // As the page rounds it, give or take one in its last place.
  expect(Math.abs((planOf[name] ?? NaN) - Number(result))).toBeLessThan(1.01 * 10 ** -places);
});

describe('on a weaker machine', () => {
  const weak = {
    ...freeLevers,
    machines: startValues.machines.map((machine) => ({ ...machine, motorKilowatts: 0.37 })),
  };
  const parts = cells.filter((row) => row.length === 4 && /^[a-z-]+$/.test(row[0] ?? '') && Number(row[1]) > 0);

  test('six parts', () => expect(parts).toHaveLength(6));

  test.each(parts)('%s: %s min a piece, %s on the weaker: %s', (name, strong, weaker, held) => {
    const [a, b] = [planned(example(name), freeLevers), planned(example(name), weak)];
    expect([a, b].map((plan) => plan.times.piece.value.toFixed(2))).toEqual([strong, weaker]);
    const before = new Map(
      a.setups.flatMap(({ operations }) =>
        operations.map((timedOperation) => [timedOperation.key, timedOperation.cutting.value]),
      ),
    );
    const operations = b.setups.flatMap((setup) => setup.operations);
    const told = operations.filter(({ warnings }) =>
      warnings.some((warning) => warning.includes('the motor gives no more')),
    );
    expect(told.map((timedOperation) => timedOperation.name).join(', ')).toBe(held.startsWith('none') ? '' : held);
    // What takes longer says why.
    for (const timedOperation of operations)
      if (timedOperation.cutting.value > (before.get(timedOperation.key) ?? Infinity) + 1e-9)
        expect(told).toContain(timedOperation);
  });
});
