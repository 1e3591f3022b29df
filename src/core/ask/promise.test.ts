import fc from 'fast-check';
import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { startValues } from '../model/shop/startValues';
import { example, planned, runOf, step } from '../testing';
import { elementsOf } from './elements';
import { learnedGroups } from '../lathe/learnFrom';
import { rangeOf, rangeOfLearned, triangular } from './promise';

const examples = readdirSync(join(__dirname, '../../../examples'))
  .filter((file) => file.endsWith('.json'))
  .map((file) => file.replace('.json', ''));

test.each(examples)('%s: its elements add up to the batch, nothing counted twice', (name) => {
  const plan = planned(example(name));
  const sum = elementsOf(plan).reduce((total, { minutes }) => total + minutes, 0);
  expect(sum).toBeCloseTo(plan.times.batch.value, 6);
});

test('also one operation for all pieces', () => {
  const plan = planned(
    runOf({ outside: [step('12 h8', 14), step(20, 14)] }, { way: 'sawn-blanks', rules: { batchOrder: 'op-by-op' } }),
  );
  const sum = elementsOf(plan).reduce((total, { minutes }) => total + minutes, 0);
  expect(sum).toBeCloseTo(plan.times.batch.value, 6);
});

test('a triangle from 0.9 over 1 to 1.2: half of it below 1.0268, four fifths below 1.0905', () => {
  const spread = { down: 0.1, up: 0.2 };
  // Its peak is at a third; above, F = 1 − (1.2 − x)² / (0.3 · 0.2).
  expect(triangular(0.5, spread)).toBeCloseTo(1.2 - Math.sqrt(0.5 * 0.06), 9);
  expect(triangular(0.8, spread)).toBeCloseTo(1.2 - Math.sqrt(0.2 * 0.06), 9);
  expect(triangular(1 / 3, spread)).toBeCloseTo(1, 9);
  expect([triangular(0, spread), triangular(1, spread)]).toEqual([0.9, 1.2]);
});

test('one element played 10 000 times comes out as its triangle says, and the same for the same seed', () => {
  const elements = [{ name: 'cutting', kind: 'cutting' as const, minutes: 100 }];
  const spread = { down: 0.1, up: 0.2 };
  const spreads = { cutting: spread, hand: spread, setup: spread };
  const range = rangeOf(elements, spreads, { runs: 10_000, seed: 7 });
  expect(range.p50 / 100).toBeCloseTo(1.0268, 2);
  expect(range.p80 / 100).toBeCloseTo(1.0905, 2);
  expect(range.classes.reduce((a, b) => a + b, 0)).toBe(10_000);
  expect(rangeOf(elements, spreads, { runs: 10_000, seed: 7 })).toEqual(range);
  expect(rangeOf(elements, spreads, { runs: 10_000, seed: 8 }).p50).not.toBe(range.p50);
});

test('without any spread the promise is the plan, and a wider one never promises less at four of five', () => {
  const elements = elementsOf(planned(example('sensor-spacer')));
  const none = { down: 0, up: 0 };
  const sure = rangeOf(elements, { cutting: none, hand: none, setup: none }, { runs: 50, seed: 1 });
  expect(sure.p50).toBeCloseTo(sure.planned, 6);
  expect(sure.p80).toBeCloseTo(sure.planned, 6);
  fc.assert(
    fc.property(fc.double({ min: 0.05, max: 1, noNaN: true }), (up) => {
      const wide = (factor: number) => ({ ...startValues.spreads, hand: { down: 0.1, up: up * factor } });
      const of = { runs: 400, seed: 3 };
      expect(rangeOf(elements, wide(1.5), of).p80).toBeGreaterThanOrEqual(rangeOf(elements, wide(1), of).p80 - 1e-9);
    }),
    { numRuns: 20 },
  );
});

test('a batch played with what was learned: without any run about the plan, with a slower hand as much longer', () => {
  const plan = planned(runOf({ outside: [step(10, 20), step(16, 10)] }, { quantity: 12 }));
  const none = learnedGroups(plan, []);
  const settings = { runs: 4000, seed: 3 };
  const usual = rangeOfLearned(plan, none, settings);
  // Setting up and cutting lean upwards: half of such batches take a little more than is planned.
  expect(usual.p50 / plan.times.batch.value).toBeGreaterThan(0.98);
  expect(usual.p50 / plan.times.batch.value).toBeLessThan(1.12);
  const slower = none.map((group) => ({
    ...group,
    learned: { ...group.learned, mean: Math.log(1.5), variance: 0, between: 0, within: 0 },
  }));
  const surely = rangeOfLearned(plan, slower, settings);
  const hand = none.reduce((total, { planned: minutes }) => total + minutes, 0);
  const longer = 12 * (1 + plan.run.shop.timeAllowance) * hand * 0.5;
  expect(surely.p50 - usual.p50).toBeGreaterThan(0.85 * longer);
  expect(surely.p50 - usual.p50).toBeLessThan(1.15 * longer);
  // The same number plays the same batches.
  expect(rangeOfLearned(plan, none, settings)).toEqual(usual);
});
