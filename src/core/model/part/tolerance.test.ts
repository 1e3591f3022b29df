import fc from 'fast-check';
import { fitDeviations, generalTolerance, gradeOf, standardTolerance } from './tolerance';

const limits = (fit: string, nominal: number) => {
  const result = fitDeviations(fit, nominal, 'here');
  return result.ok ? [result.value.lower, result.value.upper].map((mm) => Math.round(mm * 1000)) : result.problems[0];
};

describe('fits, µm (trade: Tables)', () => {
  test.each([
    ['h7', 6, [-12, 0]],
    ['h8', 14, [-27, 0]],
    ['H7', 6, [0, 12]],
    ['g6', 20, [-20, -7]],
    ['k6', 25, [2, 15]],
    ['k9', 25, [0, 52]],
    ['p6', 10, [15, 24]],
    ['d9', 50, [-142, -80]],
    // Press fits, and seats of bearings and bushes, as the tables of ISO 286-2 print them.
    ['r6', 20, [28, 41]],
    ['r6', 60, [41, 60]],
    ['r6', 70, [43, 62]],
    ['s6', 20, [35, 48]],
    ['s6', 90, [71, 93]],
    ['G7', 20, [7, 28]],
    ['F8', 20, [20, 53]],
    ['E9', 20, [40, 92]],
    ['D10', 20, [65, 149]],
    ['K7', 47, [-18, 7]],
    ['K8', 47, [-27, 12]],
    ['M7', 47, [-25, 0]],
    ['N7', 47, [-33, -8]],
    ['N9', 20, [-52, 0]],
    ['P6', 47, [-37, -21]],
    ['P7', 47, [-42, -17]],
    ['R7', 20, [-41, -20]],
    ['S7', 20, [-48, -27]],
    // Up to 3 nothing is moved.
    ['K7', 3, [-10, 0]],
    ['P7', 3, [-16, -6]],
  ] as const)('%s at %d mm', (fit, nominal, expected) => {
    expect(limits(fit, nominal)).toEqual(expected);
  });

  test('a letter or grade that is not in the tables is refused with what would do', () => {
    expect(limits('z9', 10)).toEqual({ path: 'here', message: expect.stringContaining('not a fit in the tables') });
    expect(limits('h14', 10)).toEqual([-360, 0]);
    // A finer grade than 5, by which P5 would be moved, is not in the tables; K9 is in none.
    expect(limits('P5', 20)).toEqual({ path: 'here', message: expect.stringContaining('no table for P5') });
    expect(limits('K9', 20)).toEqual({ path: 'here', message: expect.stringContaining('no table for K9') });
    expect(limits('h15', 10)).toEqual({ path: 'here', message: expect.stringContaining('grades 5 to 14') });
    expect(limits('h7', 150)).toEqual({ path: 'here', message: expect.stringContaining('sizes to 120 mm') });
  });
});

test('general tolerances at the ends of their bands', () => {
  expect([3, 3.01, 6, 6.01, 30, 120, 400, 401].map((size) => generalTolerance('medium', size))).toEqual([
    0.1,
    0.1,
    0.1,
    0.2,
    0.2,
    0.3,
    0.5,
    undefined,
  ]);
  expect(generalTolerance('fine', 26)).toBe(0.1);
});

test('a grade is found again from the width of its own tolerance', () => {
  fc.assert(
    fc.property(fc.integer({ min: 5, max: 11 }), fc.double({ min: 1, max: 120, noNaN: true }), (grade, nominal) => {
      expect(gradeOf(standardTolerance(grade, nominal) ?? 0, nominal)).toBe(grade);
    }),
  );
  expect(gradeOf(0.4, 26)).toBe(12);
});
