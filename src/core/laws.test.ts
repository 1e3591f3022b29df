import { LIMITS } from './model/plan/passLoad';
import fc from 'fast-check';
import { drivenBy, gripAt, slipsBy } from './plan/cutting/grip';
import { motorOf } from './plan/cutting/limitsOn';
import type { RunFile, StepFile } from './read/runFile';
import { planFile, type Plan } from './plan/plan';
import { startValues } from './model/shop/startValues';
import type { Shop } from './model/shop/shop';
import { freeLevers } from './testing';
import { elementsOf } from './ask/elements';

/** What must hold of every plan, whatever the part: tried on drawn ones. A part that is refused has no plan to be wrong. */
const MATERIALS = ['brass-cw614n', 'mild-steel', 'aluminium-6082', 'stainless-304', 'alloy-steel-42crmo4'];

const grow = (from: number, sizes: readonly { by: number; length: number }[]): StepFile[] => {
  let diameter = from;
  return sizes.map(({ by, length }) => {
    const step = { shape: 'cylinder' as const, diameter, length };
    diameter = Number((diameter + by).toFixed(1));
    return step;
  });
};

const runs: fc.Arbitrary<RunFile> = fc
  .record({
    material: fc.constantFrom(...MATERIALS),
    from: fc.integer({ min: 6, max: 14 }),
    sizes: fc.array(fc.record({ by: fc.integer({ min: 2, max: 7 }), length: fc.integer({ min: 4, max: 24 }) }), {
      minLength: 1,
      maxLength: 4,
    }),
    drill: fc.option(fc.integer({ min: 2, max: 5 })),
    way: fc.constantFrom('from-bar' as const, 'sawn-blanks' as const),
    quantity: fc.integer({ min: 1, max: 300 }),
  })
  .map(({ material, from, sizes, drill, way, quantity }) => ({
    format: 'shingle-run/1',
    units: 'mm',
    part: {
      number: 'T-LAW',
      material,
      outside: grow(from, sizes),
      ...(drill === null ? {} : { bores: [{ from: 'front', shape: 'drill', diameter: drill, depth: 3 * drill }] }),
    },
    quantity,
    way,
  }));

const machine = (more: Partial<Shop['machines'][number]>): Shop => ({
  ...startValues,
  machines: startValues.machines.map((candidate) => ({ ...candidate, ...more })),
});

/** Of as many drawn runs as have a plan in every one of some shops. */
function forPlans(shops: readonly Shop[], check: (...plans: Plan[]) => void): void {
  let planned = 0;
  fc.assert(
    fc.property(runs, (file) => {
      const plans = shops.map((shop) => planFile(file, shop, 'wanted', { until: 'sound' }));
      const all = plans.flatMap((plan) => (plan.ok ? [plan.value] : []));
      if (all.length < shops.length) return;
      planned += 1;
      check(...all);
    }),
    { numRuns: 60 },
  );
  // A law of nothing would always hold.
  expect(planned).toBeGreaterThan(20);
}

const cutsOf = (plan: Plan) =>
  plan.setups.flatMap(({ setup, operations }) =>
    operations.flatMap((operation) => operation.passes.map((pass) => ({ setup, operation, pass }))),
  );

describe('every plan', () => {
  test('cuts within motor and grip, or says what is beyond them', () => {
    for (const motorKilowatts of [0.15, 1.5])
      forPlans([machine({ motorKilowatts })], (plan) => {
        for (const { setup, operation, pass } of cutsOf(plan)) {
          const { force, torque, thrust, power } = pass.load ?? {};
          const beyond =
            (power?.value ?? 0) > motorOf(setup) * (1 + 1e-6) ||
            (force?.value ?? 0) > gripAt(operation.on, Math.min(operation.from, operation.to), setup) * (1 + 1e-6) ||
            (torque !== undefined &&
              slipsBy(drivenBy({ torque, ...(thrust ? { thrust } : {}) }, setup), setup) > 1 + 1e-6);
          if (beyond)
            expect([operation.name, operation.warnings.join()]).toEqual([
              operation.name,
              expect.stringMatching(/is within it|instead of/),
            ]);
          expect(Object.keys(LIMITS)).toContain(pass.limitedBy);
        }
      });
  });

  test('turns at a speed that the machine has, and never faster than the material wants by its working', () => {
    forPlans([startValues], (plan) => {
      for (const { setup, operation } of cutsOf(plan)) {
        const { speed } = operation;
        if (speed.value === 0) continue;
        expect(setup.run.shop.machine.speeds).toContain(speed.value);
        const put = (symbol: string) => speed.terms.find((term) => term.symbol === symbol)?.value ?? 1;
        if (!speed.terms.some(({ symbol }) => symbol === 'v')) continue;
        const wanted = (1000 * put('v') * put('k') * put('o') * put('i')) / (Math.PI * put('d'));
        // Only the slowest that there is may be above it, and that is told.
        if (speed.value > wanted + 1e-6) expect(speed.value).toBe(setup.run.shop.machine.speeds[0]);
        for (const limit of speed.terms.filter(({ symbol }) => symbol === 'm' || symbol === 'h'))
          if (speed.value > limit.value) expect(speed.value).toBe(setup.run.shop.machine.speeds[0]);
      }
    });
  });

  test('takes no pass thinner than its edge cuts, and ends at the size that is aimed at', () => {
    forPlans([startValues], (plan) => {
      for (const { operations } of plan.setups)
        for (const { kind, tool, passes, diameter } of operations) {
          if (!kind.startsWith('turn-')) continue;
          for (const { depth } of passes)
            if (depth > 0) expect(depth).toBeGreaterThanOrEqual((tool.thinnestCut ?? 0) - 1e-9);
          expect(passes.at(-1)?.diameter).toBeCloseTo(diameter ?? NaN, 9);
        }
    });
  });

  test('a stronger motor is never slower at cutting, nor a holding that grips harder', () => {
    const cutting = (factor: number) => ({
      ...startValues.cutting,
      gripForce: Object.fromEntries(
        Object.entries(startValues.cutting.gripForce).map(([kind, force]) => [kind, factor * force]),
      ),
    });
    const roughing = (plan: Plan) =>
      plan.setups
        .flatMap(({ operations }) => operations)
        .filter(({ kind }) => kind === 'turn-rough')
        .reduce(
          (total, operation) =>
            total + operation.cutting.value + operation.passes.length * startValues.handMinutes.approach,
          0,
        );
    // Another route turns other steps in its first set-up.
    const heldSo = ({ setups }: Plan) =>
      setups.map(({ setup: { end, holding, stickOut } }) => [end, holding.kind, holding.grip, stickOut.value]).join();
    const same = (a: Plan, b: Plan) => heldSo(a) === heldSo(b);
    // With levers that cost nothing to move: else a cut may be run slower than it could be.
    const free = (shop: Shop): Shop => ({ ...shop, handMinutes: freeLevers.handMinutes });
    forPlans([free(machine({ motorKilowatts: 0.3 })), free(machine({ motorKilowatts: 0.9 }))], (weak, strong) => {
      if (same(weak, strong)) expect(roughing(strong)).toBeLessThanOrEqual(roughing(weak) + 1e-9);
    });
    forPlans([free({ ...startValues, cutting: cutting(0.3) }), freeLevers], (loose, tight) => {
      if (same(loose, tight)) expect(roughing(tight)).toBeLessThanOrEqual(roughing(loose) + 1e-9);
    });
  });

  test('adds up: the elements of a batch are the batch, and the passes of an operation its cutting', () => {
    forPlans([startValues], (plan) => {
      const elements = elementsOf(plan);
      const total = elements.reduce((sum, element) => sum + element.minutes, 0);
      expect(total).toBeCloseTo(plan.times.batch.value, 6);
      for (const { operations } of plan.setups)
        for (const { passes, cutting, pecks } of operations) {
          const cut = passes.reduce((sum, { minutes }) => sum + minutes.value, 0);
          if (pecks <= 1) expect(cutting.value).toBeCloseTo(cut, 9);
          else expect(cutting.value).toBeGreaterThan(cut);
        }
    });
  });

  test('deeper is never fewer newtons, at the same feed and in the same set-up', () => {
    forPlans([startValues], (plan) => {
      for (const { operations } of plan.setups) {
        const cuts = operations
          .filter(({ kind }) => kind === 'turn-rough')
          .flatMap(({ feed, passes }) =>
            passes.map(({ depth, load }) => ({ feed: feed.value, depth, force: load?.force?.value ?? 0 })),
          )
          .sort((a, b) => a.feed - b.feed || a.depth - b.depth);
        cuts.forEach((cut, index) => {
          const next = cuts[index + 1];
          if (next && next.feed === cut.feed) expect(next.force).toBeGreaterThanOrEqual(cut.force - 1e-9);
        });
      }
    });
  });
});
