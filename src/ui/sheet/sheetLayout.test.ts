import { example, planned } from '@/core/testing';
import { layoutSheet } from './sheetLayout';

const setupOf = (name: string, number = 1) => {
  const setup = planned(example(name)).setups[number - 1];
  if (!setup) throw new Error('no set-up');
  return setup;
};

test.each(['sensor-spacer', 'vane-spindle', 'cup-arm-hub'])(
  '%s: both directions at one scale, free end at the right, everything within',
  (name) => {
    for (const number of [1, 2]) {
      const setup = setupOf(name, number);
      const { x, y, pixelsPerMm, names, right, work } = layoutSheet(setup, 904, 270, 20);
      expect(x(0) - x(10)).toBeCloseTo(10 * pixelsPerMm, 6);
      expect(y(0) - y(5)).toBeCloseTo(5 * pixelsPerMm, 6);
      expect(x(-setup.setup.facing)).toBeLessThanOrEqual(right);
      expect(x(setup.setup.holding.from)).toBeGreaterThan(names);
      expect(y(setup.setup.outerRadius)).toBeGreaterThanOrEqual(0);
      expect(work.axis).toBeLessThanOrEqual(work.height);
    }
  },
);

test('a stout part shows its upper half, a slender one the whole', () => {
  expect(layoutSheet(setupOf('vane-spindle'), 904, 270, 20).work.whole).toBe(true);
  expect(layoutSheet(setupOf('sensor-spacer'), 904, 200, 20).work.whole).toBe(false);
});
