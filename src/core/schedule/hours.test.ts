import fc from 'fast-check';
import { workedBetween, workedBy, workedFrom, workTime } from './hours';

/** Two days of 7 to 12 and 12.30 to 15.30: 8 h each. */
const day = (index: number) => [
  { from: index * 1440 + 420, to: index * 1440 + 720 },
  { from: index * 1440 + 750, to: index * 1440 + 930 },
];
const two = workTime([...day(0), ...day(1)]);

test('work goes on over the break and the night', () => {
  // 60 minutes from 11.30: half an hour until 12, the rest from 12.30 to 13.
  expect(workedFrom(two, 690, 60)).toBe(780);
  // 8 hours from 7 end with the day; a minute more is the next morning.
  expect(workedFrom(two, 420, 480)).toBe(930);
  expect(workedFrom(two, 420, 481)).toBe(1440 + 421);
});

test('nothing to do is done at the first moment at which anybody works', () => {
  expect(workedFrom(two, 0, 0)).toBe(420);
  expect(workedFrom(two, 725, 0)).toBe(750);
  expect(workedFrom(two, 930, 0)).toBe(1440 + 420);
});

test('more work than there are hours never ends', () => {
  expect(workedFrom(two, 420, 961)).toBe(Infinity);
  expect(workedFrom(two, 5000, 0)).toBe(Infinity);
});

test('stretches that touch are one, and those between two moments are cut to them', () => {
  expect(
    workTime([
      { from: 0, to: 10 },
      { from: 10, to: 20 },
    ]).stretches,
  ).toEqual([{ from: 0, to: 20 }]);
  expect(workedBetween(two, 700, 760)).toEqual([
    { from: 700, to: 720 },
    { from: 750, to: 760 },
  ]);
});

test('however work is cut in two, it ends at the same time', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 0, max: 2000 }),
      fc.integer({ min: 1, max: 400 }),
      fc.integer({ min: 1, max: 400 }),
      (at, a, b) => {
        const whole = workedFrom(two, at, a + b);
        const cut = workedFrom(two, workedFrom(two, at, a), b);
        expect(cut).toBe(whole);
        if (whole < Infinity) expect(workedBy(two, whole) - workedBy(two, at)).toBeCloseTo(a + b, 6);
      },
    ),
  );
});
