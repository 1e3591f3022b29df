import { cylinder } from '../../model/workpiece/profile';
import type { Workpiece } from '../../model/workpiece/workpiece';
import type { Operation } from '../../model/plan/operation';
import type { Setup } from '../../model/plan/setup';
import { planned, runOf, step } from '../../testing';
import { bendsOf, bendsPerNewton } from './beam';

const E = 210_000;
const Q = 0.4;
const inertia = (d: number) => (Math.PI * d ** 4) / 64;

const [first] = planned(
  runOf({ material: 'mild-steel', outside: [step(10, 20), step(16, 30)] }, { way: 'from-bar' }),
).setups;
if (!first) throw new Error('it has a set-up');
const { operations } = first;

/** Held from 50 mm behind the face on, with nothing at its end, unless a test says so. */
const setup = (more: Partial<Setup> = {}): Setup => ({
  ...first.setup,
  facing: 0,
  supported: false,
  holding: { ...first.setup.holding, from: 50 },
  ...more,
});

/** Each test bends an operation of its own. */
const cutting = (from: number, to: number): Operation => {
  const operation = operations.find(({ kind }) => kind === 'turn-finish');
  if (!operation) throw new Error('it is finished');
  return { ...operation, from, to };
};
const work = (outside: Workpiece['outside'], bore: Workpiece['bore'] = []): Workpiece => ({ outside, bore });
const rod = work([cylinder(0, 60, 5)]);

describe('work that gives way', () => {
  test('straight and free at its end: q F L³ / (3 E I)', () => {
    expect(bendsPerNewton(cutting(0, 20), rod, setup())).toBeCloseTo((Q * 50 ** 3) / (3 * E * inertia(10)), 12);
  });

  test('cut nearer to the chuck, only what stands out from there bends', () => {
    expect(bendsPerNewton(cutting(30, 40), rod, setup())).toBeCloseTo((Q * 20 ** 3) / (3 * E * inertia(10)), 12);
    // A blade stands between its two edges: the one nearer to the free end counts.
    expect(bendsPerNewton(cutting(33, 30), rod, setup())).toBeCloseTo((Q * 20 ** 3) / (3 * E * inertia(10)), 12);
  });

  test('stepped, by hand: 20 of ⌀10 on 30 of ⌀16: q F / (3 E) · (20³ / I₁₀ + (50³ − 20³) / I₁₆)', () => {
    const stepped = work([cylinder(0, 20, 5), cylinder(20, 60, 8)]);
    const expected = (Q / (3 * E)) * (20 ** 3 / inertia(10) + (50 ** 3 - 20 ** 3) / inertia(16));
    expect(bendsPerNewton(cutting(0, 20), stepped, setup())).toBeCloseTo(expected, 12);
  });

  test('a hole takes away what its own section would have: I₁₆ − I₁₀', () => {
    const tube = work([cylinder(0, 60, 8)], [cylinder(-1, 61, 5)]);
    const expected = (Q * 50 ** 3) / (3 * E * (inertia(16) - inertia(10)));
    expect(bendsPerNewton(cutting(0, 20), tube, setup())).toBeCloseTo(expected, 12);
  });

  test('with a centre at its end, 7 q F L³ / (768 E I), wherever it is cut', () => {
    const expected = (7 * Q * 50 ** 3) / (768 * E * inertia(10));
    for (const from of [0, 30])
      expect(bendsPerNewton(cutting(from, 40), rod, setup({ supported: true }))).toBeCloseTo(expected, 12);
  });

  test('between centres, q F L³ / (48 E I)', () => {
    const holding = { ...first.setup.holding, kind: 'between-centres', from: 50 };
    const expected = (Q * 50 ** 3) / (48 * E * inertia(10));
    expect(bendsPerNewton(cutting(0, 40), rod, setup({ supported: true, holding }))).toBeCloseTo(expected, 12);
  });

  test('on a mandrel, or in a material of unknown elasticity, nothing is said', () => {
    const holding = { ...first.setup.holding, inside: 30 };
    expect(bendsPerNewton(cutting(0, 20), rod, setup({ holding }))).toBeUndefined();
    const { elasticity, ...material } = first.setup.run.shop.material;
    expect(elasticity).toBe(E);
    const run = { ...first.setup.run, shop: { ...first.setup.run.shop, material } };
    expect(bendsPerNewton(cutting(0, 20), rod, setup({ run }))).toBeUndefined();
  });

  test('its working says from where to where, and the diameter that it is as stiff as', () => {
    const figure = bendsOf(100, cutting(30, 40), rod, setup());
    expect(figure?.terms).toEqual(
      expect.arrayContaining([
        expect.objectContaining({ symbol: 'L', value: 20, name: 'stands out to where the cut begins' }),
        expect.objectContaining({ symbol: 'd', value: expect.closeTo(10, 9) }),
        expect.objectContaining({ symbol: 'F', value: 100 }),
      ]),
    );
    expect(figure?.value).toBeCloseTo(100 * (bendsPerNewton(cutting(30, 40), rod, setup()) ?? 0), 12);
  });
});

test('the same operation on other work is worked out anew', () => {
  const operation = cutting(0, 20);
  const [thin, thick] = [rod, work([cylinder(0, 60, 10)])].map((some) => bendsPerNewton(operation, some, setup()) ?? 0);
  expect((thin ?? 0) / (thick ?? 1)).toBeCloseTo(16, 9);
});
