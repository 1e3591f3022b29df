import { planned, runOf, step } from '../testing';
import { walkedTime, walkedWork } from './walked';

test('the work is told from its free end, stretch by stretch; what lies beside another of its diameter is one', () => {
  const cylinder = (z0: number, z1: number, r: number) => ({ z0, z1, r0: r, r1: r });
  const work = {
    outside: [cylinder(0, 4, 5), cylinder(4, 10, 5), { z0: 10, z1: 12, r0: 5, r1: 8 }, cylinder(12, 60, 8)],
    bore: [cylinder(0, 7, 2), cylinder(7, 60, 0)],
  };
  expect(walkedWork(work, 40, 'mm')).toEqual([
    '⌀10.00 from 0.00 to 10.00',
    '⌀10.00 to ⌀16.00 from 10.00 to 12.00',
    '⌀16.00 from 12.00 to 40.00',
    'hole ⌀4.00 from 0.00 to 7.00',
  ]);
});

test('the minutes of a piece are told set-up by set-up, and make up the piece', () => {
  const plan = planned(runOf({ outside: [step(10, 20), step(16, 10)] }));
  const walked = walkedTime(plan);
  expect(walked).toHaveLength(plan.setups.length);
  const figures = walked
    .flatMap(({ words, operations }) => [words, ...operations.map((operation) => operation.words)])
    .flatMap((words) => [...words.matchAll(/([\d.]+) min/g)].map(([, figure]) => Number(figure)));
  const loadedAndWorked = figures.reduce((total, figure) => total + figure, 0);
  const each = plan.setups.flatMap(({ loading, operations }) => [
    loading.value,
    ...operations.flatMap(({ hand, cutting }) => [hand.value, cutting.value]),
  ]);
  expect(loadedAndWorked).toBeCloseTo(
    each.reduce((total, figure) => total + figure, 0),
    1,
  );
});
