import { startValues } from '../model/shop/startValues';
import { planned, runOf, step } from '../testing';

const free = (size: string, units: 'mm' | 'in' = 'mm', shop = startValues) =>
  planned(runOf({ outside: [step(size, units === 'mm' ? 20 : 1)] }, { units }), shop).run.part.steps[0]?.diameter;

test('what is left open is aimed at a round figure: 12.37 about at 12.4, 0.503 in about at 0.505 in; what is not, is not', () => {
  expect(free('about 12.37')?.aim).toBeCloseTo(12.4, 9);
  expect(free('12.37 free')?.aim).toBeCloseTo(12.4, 9);
  expect(free('12.37')?.aim).toBeCloseTo(12.37, 9);
  expect(free('about 0.503', 'in')?.aim).toBeCloseTo(0.505 * 25.4, 9);
});

test('a figure beyond what is usual is not taken: in whole millimetres 12.37 would be 12, and ±0.2 is usual', () => {
  const whole = { ...startValues, allowances: { ...startValues.allowances, roundFigure: { mm: 1, in: 1 } } };
  expect(free('about 12.37', 'mm', whole)?.aim).toBeCloseTo(12.37, 9);
});
