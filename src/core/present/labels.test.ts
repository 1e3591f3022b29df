import { planned, runOf, step } from '../testing';
import { barLabels, boxLabels } from './labels';

const file = {
  ...runOf({ number: 'L-1', name: 'Pin', revision: 'B', outside: [step(10, 20)] }, { quantity: 250, way: 'from-bar' }),
  customer: 'hill station',
  order: 'E-7',
};
const plan = planned(file);

// 250 in boxes of 100: 100, 100 and 50.
test('a label for each box, the last with what is left', () => {
  const labels = boxLabels(plan, file, 100);
  expect(labels.map(({ lines }) => lines[1])).toEqual([
    '100 of 250 · box 1 of 3',
    '100 of 250 · box 2 of 3',
    '50 of 250 · box 3 of 3',
  ]);
  expect(labels[0]?.large).toBe('L-1');
  expect(labels[0]?.lines[0]).toBe('Pin, revision B');
  expect(labels[0]?.lines[3]).toBe('hill station · E-7');
});

test('what stands nowhere takes no line', () => {
  const { customer, order, ...bare } = file;
  void [customer, order];
  expect(boxLabels(plan, bare, 1000)[0]?.lines).toHaveLength(3);
});

test('a label for each bar that is taken, with what it is for', () => {
  const labels = barLabels(plan);
  expect(labels).toHaveLength(plan.stock.bars.value);
  expect(labels.every(({ lines }) => lines.some((line) => line.includes('L-1, revision B')))).toBe(true);
});
