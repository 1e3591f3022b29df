import fc from 'fast-check';
import { startBehind } from './behind';
import { workedFrom, workTime, type WorkTime } from './hours';

const day = workTime([{ from: 0, to: 480 }]);
/** Ten pieces of half an hour, ready at 40: the last at 340. */
const first = { placed: { begun: 40, made: 340 }, time: day };
const second = { pieces: 10, between: 2, time: day, ready: 20, work: 100 };

describe('worked by hand', () => {
  test('a quicker lathe begins so late that it makes the last pieces as they come', () => {
    // The eighth to tenth are begun when all are made, at 340: seven of ten minutes and 20 of making ready before.
    expect(startBehind(first, second)).toBe(340 - 70 - 20);
  });

  test('a slower lathe begins with the first pieces: three are made at 130, and it is ready by then', () => {
    expect(startBehind(first, { ...second, work: 600 })).toBe(130 - 20);
  });

  test('what nobody works at in the meantime is not counted: open from 240 on it begins where 90 minutes are left until 340', () => {
    const late = workTime([{ from: 240, to: 900 }]);
    expect(startBehind(first, { ...second, time: late })).toBe(250);
    // One that is slow begins when it opens.
    expect(workedFrom(late, startBehind(first, { ...second, time: late, work: 600 }), 0)).toBe(240);
  });

  test('more between than there are pieces is all of them; what is never made is never gone on with', () => {
    // Ready when the last is made.
    expect(startBehind(first, { ...second, between: 50 })).toBe(320);
    expect(startBehind({ ...first, placed: { begun: 40, made: Infinity } }, second)).toBe(Infinity);
  });
});

/** Some days with a stretch or two, each apart. */
const anyTime = fc
  .array(fc.tuple(fc.integer({ min: 0, max: 300 }), fc.integer({ min: 60, max: 400 }), fc.boolean()), {
    minLength: 12,
    maxLength: 12,
  })
  .map((days): WorkTime => {
    const stretches = days.flatMap(([from, long, off], index) =>
      off && index > 0 ? [] : [{ from: index * 1440 + from, to: index * 1440 + from + long }],
    );
    return workTime([...stretches, { from: 13 * 1440, to: 60 * 1440 }]);
  });

test('the second part never waits for a piece, and a piece sooner it would, followed piece by piece', () => {
  fc.assert(
    fc.property(
      anyTime,
      anyTime,
      fc.integer({ min: 1, max: 30 }),
      fc.integer({ min: 0, max: 8 }),
      fc.integer({ min: 1, max: 40 }),
      fc.integer({ min: 1, max: 40 }),
      fc.integer({ min: 0, max: 90 }),
      (one, two, pieces, between, a, b, ready) => {
        const begun = workedFrom(one, 0, 30);
        const madeAt = (count: number) => workedFrom(one, begun, count * a);
        const start = startBehind(
          { placed: { begun, made: madeAt(pieces) }, time: one },
          { pieces, between, time: two, ready, work: pieces * b },
        );
        /** By how much the second waits at worst, begun so many minutes of its own work later. */
        const isWaiting = (later: number) =>
          Array.from({ length: pieces }, (_, index) => {
            const begins = workedFrom(two, start, ready + index * b + later);
            // Work that would begin with a break begins behind it.
            return workedFrom(two, begins, 0) < madeAt(Math.min(pieces, index + 1 + between)) - 1e-6;
          }).some(Boolean);
        expect(isWaiting(1e-7)).toBe(false);
        // It may be too careful by less than a piece of each, where one is begun in a break of the other.
        if (start > 0 && ready >= a + b) expect(isWaiting(-(a + b) - 1)).toBe(true);
      },
    ),
    { numRuns: 300, seed: 5 },
  );
});
