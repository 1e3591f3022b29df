import { readEvents } from '../formats/eventsFile';
import { inOrder } from '../lathe/events';
import { learnedGroups, saidBy } from '../lathe/learnFrom';
import { observedSteps } from '../lathe/observed';
import { progressOf } from '../lathe/progress';
import { shapeOf } from '../lathe/steps';
import { planned, runOf, step } from '../testing';
import { simulateRun } from './simulateRun';

const plan = planned(runOf({ outside: [step('10 h9', 20), step(16, 10)] }, { quantity: 30 }));
const made = { seed: 5, from: new Date('2026-11-02T07:00:00Z'), device: 'lathe A', pace: 1.3 };

test('a made-up batch is made to its end, says that it is made up, and reads as what a device sends', () => {
  const events = simulateRun(plan, made);
  expect(events[0]).toMatchObject({ kind: 'note', text: expect.stringContaining('made up') });
  const { good, at } = progressOf(shapeOf(plan), inOrder(events));
  expect([good, at]).toEqual([30, undefined]);
  expect(readEvents({ events: events.slice(0, 500) }).ok).toBe(true);
  // The same seed is the same batch.
  expect(simulateRun(plan, made)).toEqual(events);
});

test('nights are no work, and its pace is what is learned from it', () => {
  const observed = observedSteps(simulateRun(plan, made));
  expect(Math.max(...observed.map(({ minutes }) => minutes))).toBeLessThan(15);
  const groups = learnedGroups(
    plan,
    Array.from({ length: 8 }, (_, run) => saidBy(plan, observedSteps(simulateRun(plan, { ...made, seed: run + 1 })))),
  );
  const [hand, expected] = groups.reduce(
    ([before, after], { planned: minutes, expected: learned }) => [before + minutes, after + learned],
    [0, 0],
  );
  // exp(0.18² / 2) = 1.016 lies between the middle and the mean of its steps.
  expect(expected / hand).toBeGreaterThan(1.3 * 0.94);
  expect(expected / hand).toBeLessThan(1.3 * 1.06);
});

test('one that is left in the middle goes on where it was left', () => {
  const { at, good } = progressOf(shapeOf(plan), simulateRun(plan, { ...made, steps: 20 }));
  expect(good).toBe(0);
  expect(at?.piece).toBeGreaterThan(1);
});
