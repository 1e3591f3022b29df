import fc from 'fast-check';
import { startValues } from '../../model/shop/startValues';
import type { Shop } from '../../model/shop/shop';
import type { HoleFile } from '../../read/runFile';
import { operationsOf, problemsOf, runOf, step } from '../../testing';
import { drivenBy, slipsBy } from '../cutting/grip';
import { planFile, type Plan } from '../plan';

const hole = (diameter: number, depth: number | string): HoleFile => ({
  from: 'front',
  shape: 'drill',
  diameter,
  depth,
});

const fileOf = (diameter: number, material = 'mild-steel') =>
  runOf({ material, outside: [step(34, 30)], bores: [hole(diameter, 'through')] }, { way: 'from-bar' });

const planOf = (file: ReturnType<typeof runOf>, shop: Shop = startValues): Plan => {
  const plan = planFile(file, shop, 'wanted', { until: 'sound' });
  if (!plan.ok) throw new Error(JSON.stringify(plan.problems));
  return plan.value;
};

const drillsIn = ({ setups }: Plan) =>
  setups.flatMap(({ setup, operations }) =>
    operations.filter(({ kind }) => kind === 'drill').map((operation) => ({ setup, operation })),
  );

/** The demo shop with a motor of so many kW, and jaws that press with so much, N. */
const shopWith = (motorKilowatts: number, jaws = 20_000): Shop => ({
  ...startValues,
  machines: startValues.machines.map((machine) => ({ ...machine, motorKilowatts })),
  cutting: {
    ...startValues.cutting,
    gripForce: { ...startValues.cutting.gripForce, '3-jaw': jaws, collet: jaws },
  },
});

test('within the motor by feed first: ⌀20 in brass asks for 3.03 times what 0.5 kW gives', () => {
  const at = (motor: number) => drillsIn(planOf(fileOf(20, 'brass-cw614n'), shopWith(motor)))[0]?.operation;
  const [strong, weak] = [at(5), at(0.5)];
  // 75 · 0.8 over ⌀20 is 955 rev/min, the machine has 800; of the usual 0.3 a hand winds 200 / 800.
  expect([strong?.speed.value, strong?.feed.value]).toEqual([800, 0.25]);
  // A chip of 0.125 · sin 59° at 600 N/mm², m 0.2: k 937.9, 11.72 N·m; at the usual 0.3 k 904.3 and 13.565.
  expect(strong?.passes[0]?.load?.torque?.value).toBeCloseTo(11.724, 3);
  // 13.565 · 800 / 9550 = 1.136 kW of 0.375: 3.03 times. 0.3 · 3.03^(−1/0.8) = 0.075 is less than 0.4 of 0.3, which is 0.12.
  expect(weak?.feed.value).toBeCloseTo(0.12, 9);
  // Then 1.136 · 0.4^0.8 = 0.546 kW at 800: 549 rev/min are within it, and the machine has 400.
  expect(weak?.speed.value).toBe(400);
  expect(weak?.passes[0]?.limitedBy).toBe('power');
  expect(weak?.warnings.join()).toContain('the motor gives no more');
});

test('what holds the work bears no ⌀20 at once, fed as little as it may be: another opens it, and says why', () => {
  const file = { ...fileOf(20), rules: { pilot: 'never' as const } };
  expect(drillsIn(planOf(file)).map(({ operation }) => operation.diameter)).toEqual([20]);
  const drills = drillsIn(planOf(file, shopWith(1.5, 9000)));
  expect(drills.map(({ operation }) => operation.name)).toEqual([
    expect.stringMatching(/^Drill ⌀[\d.]+ through first$/),
    'Drill ⌀20 through',
  ]);
  expect(drills[0]?.operation.reasons).toContainEqual(
    expect.objectContaining({ rule: 'PILOT', because: expect.stringContaining('would turn the work') }),
  );
});

test('no pilot where a hole of the drawing is as wide: 0.35 · 16 is 5.6, and ⌀5 goes through before', () => {
  const sizes = (bores: HoleFile[]) =>
    drillsIn(planOf(runOf({ material: 'mild-steel', outside: [step(34, 30)], bores }))).map(
      ({ operation }) => operation.diameter,
    );
  expect(sizes([hole(16, 10)])).toEqual([5.6, 16]);
  expect(sizes([hole(5, 'through'), hole(16, 10)])).toEqual([5, 16]);
  // ⌀3 is more than 2 under it, and what does not go as deep is none.
  expect(sizes([hole(3, 'through'), hole(16, 10)])).toEqual([3, 5.6, 16]);
});

test('no drill is ever planned over the motor or over what holds the work', () => {
  const materials = startValues.materials.map(({ id }) => id);
  fc.assert(
    fc.property(
      fc.constantFrom(...materials),
      fc.integer({ min: 3, max: 25 }),
      fc.double({ min: 0.25, max: 2, noNaN: true }),
      fc.integer({ min: 5000, max: 20_000 }),
      (material, diameter, motor, jaws) => {
        const shop = shopWith(motor, jaws);
        const plan = planFile(fileOf(diameter, material), shop, 'wanted', { until: 'sound' });
        // What nothing holds is refused, and not planned over.
        if (!plan.ok) return;
        for (const { setup, operation } of drillsIn(plan.value)) {
          const load = operation.passes[0]?.load;
          if (!load) continue;
          expect(slipsBy(drivenBy(load, setup), setup)).toBeLessThan(1.001);
          const [slowest = 0] = shop.machines[0]?.speeds ?? [];
          if (operation.speed.value > slowest) expect(load.power.value).toBeLessThan(motor * 0.75 * 1.001);
        }
      },
    ),
    { numRuns: 40 },
  );
});

test('where the hold bears neither the drill nor a chain up to it, a smaller one opens the hole and a bar bores it', () => {
  const weak = shopWith(1.5, 5000);
  const few = (sizes: readonly number[]): Shop => ({
    ...weak,
    tools: weak.tools.filter(({ does, diameter = 0 }) => !does.includes('drill') || sizes.includes(diameter)),
  });
  const file: ReturnType<typeof runOf> = {
    ...runOf({ material: 'mild-steel', outside: [step(34, 20)], bores: [hole(20, 'through')] }, { way: 'from-bar' }),
    rules: { pilot: 'never' },
  };
  const plan = planOf(file, few([6, 11, 20]));
  const made = plan.setups.flatMap(({ operations }) =>
    operations.filter(({ kind }) => ['drill', 'bore'].includes(kind)),
  );
  expect(made.map(({ kind, diameter }) => [kind, diameter])).toEqual([
    ['drill', 6],
    ['drill', 11],
    ['bore', 20],
  ]);
  expect(plan.proof.faults).toEqual([]);
  expect(plan.doubts).toEqual([]);
  expect(made.at(-1)?.checks).toMatchObject([{ what: 'bore ⌀20', measures: 'inside' }]);
  // Nothing that opens it, or no bar: then it is refused with what is in the way.
  const without = { ...few([6, 11, 20]), tools: few([6, 11, 20]).tools.filter(({ does }) => !does.includes('bore')) };
  const refused = planFile(file, without, 'wanted', { until: 'sound' });
  expect(refused.ok ? [] : refused.problems.map(({ message }) => message)).toContainEqual(
    expect.stringContaining('bears no drill of ⌀20, nor a chain of drills up to it'),
  );
});

test('a point may come through where the hole behind it is open as wide as the point is there', () => {
  // ⌀16.5 to 12 + 3 · 1.5 = 16.5, its point 8.25 / tan 59° = 4.957 more: 3.457 beyond a nut of 18, and 16.5 · 3.457 / 4.957 = 11.5 wide there.
  const nut = (hole: number) =>
    runOf({
      outside: [step(24, 18)],
      bores: [
        { from: 'front', shape: 'drill', diameter: hole, depth: 'through' },
        { from: 'front', shape: 'tap', designation: 'M18x1.5', depth: 12 },
      ],
    });
  expect(operationsOf(nut(12)).map(({ name }) => name)).toEqual(
    expect.arrayContaining(['Drill ⌀12 through', 'Drill ⌀16.5 for M18x1.5', 'Tap M18x1.5']),
  );
  expect(problemsOf(nut(11))).toMatchObject([{ path: 'part.bores[1].depth' }]);
});
