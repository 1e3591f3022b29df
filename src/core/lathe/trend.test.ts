import { isDue } from './sampling';
import { capabilityOf, trendOf, type Measurement } from './trend';

const limits = { target: 12, lower: 11.97, upper: 12.03 };
const series = (sizes: number[], from = 1): Measurement[] =>
  sizes.map((size, index) => ({ piece: from + index, size, correctedAfter: false }));

test('six of seven steps one way are a trend, though the limit is far: 0.001 a piece', () => {
  const sizes = series([12, 12.001, 12.002, 12.003, 12.002, 12.004, 12.005, 12.006]);
  const trend = trendOf(sizes, limits, 1);
  expect(trend?.towards).toBe('upper');
  // Least squares by hand: mean piece 4.5, mean size 12.002875; Σ(x−x̄)(y−ȳ) = 0.0335, Σ(x−x̄)² = 42.
  expect(trend?.perPiece).toBeCloseTo(0.0335 / 42, 9);
});

test('a line that meets its limit before the next reading is one, with what to move the size by', () => {
  // 0.01 a piece: 12.02 at piece 4, the limit is met at piece 5; measured every fifth.
  const trend = trendOf(series([11.99, 12, 12.01, 12.02]), limits, 5);
  expect(trend?.perPiece).toBeCloseTo(0.01, 9);
  expect(trend?.metAt).toBe(5);
  expect(trend?.correction).toBeCloseTo(-0.02, 9);
  // Measured at each piece it is not yet: the next one still holds.
  expect(trendOf(series([11.99, 11.995, 12, 12.005]), limits, 1)).toBeUndefined();
});

test('readings that go up and down are none, and a correction begins anew', () => {
  expect(trendOf(series([12, 12.004, 11.998, 12.003, 11.997, 12.002, 11.999, 12.001]), limits, 1)).toBeUndefined();
  const corrected = series([11.99, 12, 12.01, 12.02]);
  (corrected[3] as Measurement).correctedAfter = true;
  expect(trendOf([...corrected, ...series([12, 12.001], 5)], limits, 5)).toBeUndefined();
});

test('capability wants 25 readings: 12 ± 0.005 between 11.97 and 12.03', () => {
  const sizes = Array.from({ length: 26 }, (_, index) => 12 + (index % 2 ? 0.005 : -0.005));
  // Spread 0.005 · √(26/25) = 0.005099; 0.03 / (3 · 0.005099) = 1.961.
  expect(capabilityOf(sizes, limits)?.cpk).toBeCloseTo(1.961, 3);
  expect(capabilityOf(sizes.slice(0, 24), limits)).toBeUndefined();
});

test('a size is due on the first piece, at its interval, and after an edge, a bar or a break', () => {
  const due = (piece: number, measured: number[], freshFrom?: number) =>
    isDue(piece, { every: 5 }, { measured, ...(freshFrom === undefined ? {} : { freshFrom }) });
  expect([due(1, []), due(2, [1]), due(6, [1]), due(6, [1, 6])]).toEqual([true, false, true, false]);
  expect([due(3, [1], 3), due(4, [1, 3], 3)]).toEqual([true, false]);
});
