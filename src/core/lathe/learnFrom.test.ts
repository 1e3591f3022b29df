import { planned, runOf, step } from '../testing';
import { learnedGroups, learnedPiece, runsFor, saidBy, type LearnedRun } from './learnFrom';
import type { ObservedStep } from './observed';
import { stepsOf } from './steps';

const plan = planned(runOf({ outside: [step(10, 20), step(16, 10)] }, { quantity: 12 }));

/** Twelve pieces whose hand takes so many times the plan; what power feed takes is as planned. */
const worked = (factor: number): ObservedStep[] =>
  Array.from({ length: 12 }, (_, index) => index + 1).flatMap((piece) =>
    stepsOf(plan)
      .flat()
      .map(({ key, planned: setup, operation }) => ({
        piece,
        operation: key,
        minutes:
          (operation?.cutting.value ?? 0) +
          factor * (operation?.hand.value ?? setup.loading.value) * (1 + 0.03 * ((piece % 5) - 2)),
      })),
  );

test('without any run the plan is given back', () => {
  const groups = learnedGroups(plan, []);
  for (const { planned: before, expected } of groups) expect(expected).toBeCloseTo(before, 9);
  const piece = learnedPiece(plan, groups);
  expect(piece.expected).toBeCloseTo(piece.planned, 6);
});

test('a run whose hand was a quarter slower teaches so of its groups, drawn to the plan as one run can', () => {
  const groups = learnedGroups(plan, [saidBy(plan, worked(1.25))]);
  const hand = groups.find(({ group }) => group === 'hand');
  const factor = (hand?.expected ?? 0) / (hand?.planned ?? 1);
  // One run weighs 1/(τ² + …) against 1/κ², which are alike: a little under half of the way, exp(ln 1.25 / 2) = 1.118.
  expect(factor).toBeGreaterThan(1.08);
  expect(factor).toBeLessThan(1.14);
  const six = learnedGroups(
    plan,
    Array.from({ length: 6 }, () => saidBy(plan, worked(1.25))),
  );
  const surer = six.find(({ group }) => group === 'hand');
  expect((surer?.expected ?? 0) / (surer?.planned ?? 1)).toBeGreaterThan(1.2);
  expect((surer?.p90 ?? 0) / (surer?.p10 ?? 1)).toBeLessThan((hand?.p90 ?? 0) / (hand?.p10 ?? 1));
});

test('a break of half an hour in one step teaches nothing', () => {
  const steps = worked(1);
  const wild = steps.map((taken, index) => (index === 40 ? { ...taken, minutes: 30 } : taken));
  const middle = (observed: ObservedStep[]) =>
    learnedPiece(plan, learnedGroups(plan, [saidBy(plan, observed)])).expected;
  expect(middle(wild)).toBeCloseTo(middle(steps), 2);
});

test('three runs on a machine speak for it; of fewer the shop does', () => {
  const run = (id: number, machine: string): LearnedRun => ({ run: id, number: `T-${id}`, machine, says: {} });
  const three = [run(1, 'a'), run(2, 'a'), run(3, 'a'), run(4, 'b')];
  expect(runsFor('a', three).runs).toHaveLength(3);
  expect(runsFor('b', three)).toEqual({ runs: three, own: false });
});
