import { startValues } from '../../model/shop/startValues';
import { planned, runOf, step } from '../../testing';
import { freeBehind, gyration, whipsAt } from './whip';

const bar = (form: 'round' | 'hex' | 'square' | 'tube', size: number, bore = 0) => ({ form, size, bore });

test('steel ⌀16, a metre free: 695 rev/min; twice as long a quarter of it', () => {
  expect(whipsAt(bar('round', 16), 1000, 210_000, 7.85)).toBeCloseTo(694.6, 0);
  expect(whipsAt(bar('round', 16), 2000, 210_000, 7.85)).toBeCloseTo(694.6 / 4, 0);
});

test('a section is as stiff as far as its metal lies from the axis', () => {
  expect(gyration(bar('round', 16))).toBe(4);
  expect(gyration(bar('tube', 16, 12))).toBe(5);
  expect(gyration(bar('hex', 10))).toBeCloseTo(2.635, 9);
  expect(gyration(bar('square', 10))).toBeCloseTo(2.887, 9);
});

const [machine] = startValues.machines;
const withMachine = (more: object) => {
  const { tubeUpTo, tubeSpeed, ...bare } = machine!;
  void [tubeUpTo, tubeSpeed];
  return { ...startValues, machines: [{ ...bare, ...more }] };
};
const file = (barLength: number) =>
  runOf(
    { material: 'mild-steel', outside: [step(12, 20), step(16, 10)] },
    { way: 'from-bar', stock: { size: 16, barLength } },
  );
const stockOf = (barLength: number, more: object) => planned(file(barLength), withMachine(more)).stock;

test('what would whip at the speed of its cuts is cut into lengths first; in a tube it goes in whole', () => {
  // 140 m/min on ⌀16 wants 2785, the machine has 2000: half of 695 / L² is that at 0.417 m, so 3 m are eight lengths.
  expect(stockOf(3000, {}).lengths).toBe(8);
  expect(stockOf(3000, { tubeUpTo: 20, tubeSpeed: 1600 }).lengths).toBe(1);
  expect(stockOf(400, {}).lengths).toBe(1);
  // A bush 600 behind the jaws guides so much of it: 1017 are quiet.
  expect(stockOf(3000, { bushAt: 600 }).lengths).toBe(3);
});

test('nothing turns faster than the bar behind bears, nor than its tube', () => {
  const plan = planned(file(3000), withMachine({ tubeUpTo: 20, tubeSpeed: 500 }));
  for (const { speed } of plan.setups[0]?.operations ?? []) expect(speed.value).toBeLessThanOrEqual(500);
  const quiet = planned(file(3000), withMachine({}));
  const [first] = quiet.setups;
  if (!first) throw new Error('it has a set-up');
  const most = 0.5 * whipsAt(bar('round', 16), freeBehind(first.setup), 210_000, 7.85);
  for (const { speed } of first.operations) expect(speed.value).toBeLessThanOrEqual(most);
});
