import fc from 'fast-check';
import { dialMove, dialReadings, sayReading } from './dial';

test('1.75 in on a dial of 2.5 a turn and 125 divisions: 87.5 of 0.02, so 88 and 0.01 too far', () => {
  const { turns, divisions, rest } = dialMove(1.75, { travel: 2.5, divisions: 125 });
  expect([turns, divisions]).toEqual([0, 88]);
  expect(rest).toBeCloseTo(-0.01, 9);
});

test('6.3 on a dial of 4 a turn and 80 divisions of 0.05: one turn and 46, exactly', () => {
  const { turns, divisions, rest } = dialMove(6.3, { travel: 4, divisions: 80 });
  expect([turns, divisions]).toEqual([1, 46]);
  expect(rest).toBeCloseTo(0, 9);
});

test('turns, divisions and the rest are the way again, and the rest is never more than half a division', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0, max: 200, noNaN: true }),
      fc.double({ min: 0.5, max: 10, noNaN: true }),
      fc.integer({ min: 10, max: 500 }),
      (distance, travel, divisions) => {
        const move = dialMove(distance, { travel, divisions });
        const one = travel / divisions;
        expect(move.turns * travel + move.divisions * one + move.rest).toBeCloseTo(distance, 6);
        expect(Math.abs(move.rest)).toBeLessThanOrEqual(one / 2 + 1e-9);
        expect(move.divisions).toBeLessThan(divisions);
      },
    ),
  );
});

// 2.5 a turn in 125: a division is 0.02. 1.0 is 50 divisions; the third ends at 150, which is 25 past nought.
test('cuts in a row, from which reading to which, past nought told', () => {
  const readings = dialReadings([1, 1, 1, 0.25], { travel: 2.5, divisions: 125 });
  expect(readings.map(sayReading)).toEqual(['0 → 50', '50 → 100', '100 → 25 past 0', '25 → 38']);
});

// 0.127 a cut on divisions of 0.0254 is 5 each; 0.13 is 5.12: after eight the hundredths are a division more.
test('what is under half a division does not add up', () => {
  const inch = { travel: 2.54, divisions: 100 };
  expect(dialReadings(Array(8).fill(0.127), inch).at(-1)).toEqual({ from: 35, to: 40, pastNought: 0 });
  expect(dialReadings(Array(8).fill(0.13), inch).at(-1)?.to).toBe(41);
});

test('two whole turns in one cut are told', () => {
  expect(sayReading(dialReadings([5.5], { travel: 2.5, divisions: 125 })[0]!)).toBe('0 → 25 past 0 ×2');
});
