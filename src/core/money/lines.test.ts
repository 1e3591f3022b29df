import fc from 'fast-check';
import { at, breakEven, crossOvers } from './lines';

test('30 once and 6 each against 90 once and 4 each: equal at 30 pieces, 210 either way', () => {
  expect(breakEven({ once: 30, each: 6 }, { once: 90, each: 4 })).toBe(30);
  expect(
    crossOvers([
      { id: 'plain', once: 30, each: 6 },
      { id: 'prepared', once: 90, each: 4 },
    ]),
  ).toEqual([{ from: 'plain', to: 'prepared', quantity: 30, value: 210 }]);
});

test('lines that run beside each other never cross, and one that is always dearer is in no cross-over', () => {
  expect(breakEven({ once: 1, each: 2 }, { once: 5, each: 2 })).toBeUndefined();
  expect(
    crossOvers([
      { id: 'a', once: 10, each: 2 },
      { id: 'b', once: 20, each: 3 },
    ]),
  ).toEqual([]);
});

test('at every cross-over both ways take the same, and between two the named one takes least', () => {
  const lines = fc
    .array(
      fc.record({
        once: fc.double({ min: 0, max: 500, noNaN: true }),
        each: fc.double({ min: 0.01, max: 50, noNaN: true }),
      }),
      { minLength: 1, maxLength: 6 },
    )
    .map((all) => all.map((candidate, index) => ({ ...candidate, id: String(index) })));
  fc.assert(
    fc.property(lines, fc.double({ min: 1, max: 5000, noNaN: true }), (all, quantity) => {
      const crosses = crossOvers(all);
      const lineOf = (id: string) => all.find((candidate) => candidate.id === id) as (typeof all)[number];
      for (const { from, to, quantity: where, value } of crosses) {
        expect(at(lineOf(from), where)).toBeCloseTo(value, 6);
        expect(at(lineOf(to), where)).toBeCloseTo(value, 6);
      }
      expect(crosses.map((cross) => cross.quantity)).toEqual(
        [...crosses].map((crossOver) => crossOver.quantity).sort((a, b) => a - b),
      );
      const last = crosses.findLast((cross) => cross.quantity <= quantity);
      const best = Math.min(...all.map((candidate) => at(candidate, quantity)));
      const named = last
        ? lineOf(last.to)
        : crosses[0]
          ? lineOf(crosses[0].from)
          : all.reduce((a, b) => (at(b, 1) < at(a, 1) || (at(b, 1) === at(a, 1) && b.each < a.each) ? b : a));
      expect(at(named, quantity)).toBeLessThanOrEqual(best + 1e-6 * Math.max(1, best));
    }),
  );
});
