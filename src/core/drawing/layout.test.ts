import fc from 'fast-check';
import { rowsOf, spread, spreadBy, spreadInRows } from './layout';

test('labels keep their distance and stay where they are when they have it', () => {
  expect(spread([10, 100], 30, 0, 200)).toEqual([10, 100]);
  expect(spread([50, 51], 30, 0, 200)).toEqual([35.5, 65.5]);
  fc.assert(
    fc.property(fc.array(fc.integer({ min: 0, max: 400 }), { minLength: 1, maxLength: 9 }), (places) => {
      const spaced = spread(places, 40, 0, 400);
      const sorted = [...spaced].sort((a, b) => a - b);
      sorted.slice(1).forEach((place, index) => expect(place - (sorted[index] ?? 0)).toBeGreaterThanOrEqual(40 - 1e-6));
      expect(Math.min(...spaced)).toBeGreaterThanOrEqual(-1e-6);
      expect(Math.max(...spaced)).toBeLessThanOrEqual(400 + 1e-6);
    }),
  );
});

test('labels of different widths never overlap and stay on the sheet', () => {
  const label = fc.record({ place: fc.integer({ min: 0, max: 600 }), width: fc.integer({ min: 5, max: 60 }) });
  fc.assert(
    fc.property(fc.array(label, { minLength: 1, maxLength: 9 }), (labels) => {
      const places = spreadBy(labels, 3, 0, 600);
      const boxes = labels
        .map(({ width }, index) => ({ from: (places[index] ?? 0) - width / 2, upTo: (places[index] ?? 0) + width / 2 }))
        .sort((a, b) => a.from - b.from);
      expect(boxes[0]?.from).toBeGreaterThanOrEqual(-1e-6);
      boxes
        .slice(1)
        .forEach(({ from }, index) => expect(from).toBeGreaterThanOrEqual((boxes[index]?.upTo ?? 0) + 3 - 1e-6));
    }),
  );
});

test('lengths take as few rows as keep them apart, the shorter ones nearer the part', () => {
  const rows = rowsOf(
    [
      { from: 0, upTo: 100 },
      { from: 0, upTo: 40 },
      { from: 50, upTo: 100 },
      { from: 30, upTo: 60 },
    ],
    4,
  );
  expect(rows).toEqual([2, 1, 1, 0]);
  expect(
    rowsOf(
      [
        { from: 0, upTo: 40 },
        { from: 44, upTo: 80 },
      ],
      4,
    ),
  ).toEqual([0, 0]);
});

test('in rows neighbours stand in rows of their own, and each row keeps its distance', () => {
  // 0, 10, 20, 30 in two rows, 30 apart: 0 and 20 move to −5 and 25, 10 and 30 to 5 and 35.
  expect(spreadInRows([0, 10, 20, 30], 30, -100, 100, 2)).toEqual([
    { at: -5, row: 0 },
    { at: 5, row: 1 },
    { at: 25, row: 0 },
    { at: 35, row: 1 },
  ]);
  expect(spreadInRows([20, 0], 10, 0, 100, 1).map(({ at }) => at)).toEqual(spread([20, 0], 10, 0, 100));
});
