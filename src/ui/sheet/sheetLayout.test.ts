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

test('diameters that have no room side by side get rows of their own over the work, and the work makes room for them', () => {
  const { setup, ...rest } = setupOf('vane-spindle');
  const many = {
    ...rest,
    setup: { ...setup, part: { ...setup.part, steps: Array.from({ length: 18 }, () => setup.part.steps[0]!) } },
  };
  const [few, crowded] = [layoutSheet({ setup, ...rest }, 904, 270, 20), layoutSheet(many, 904, 270, 20)];
  // From 330 to 878 px there are 8 places of 76 px; 18 labels take three rows.
  expect(few.labels.rows).toBe(1);
  expect(crowded.labels).toEqual({ from: 330, upTo: 878, rows: 3, step: 20 });
  expect(crowded.y(setup.outerRadius)).toBeGreaterThanOrEqual(few.y(setup.outerRadius) + 20);
});
