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
  ] as const)('%s at %d mm', (fit, nominal, expected) => {
    expect(limits(fit, nominal)).toEqual(expected);
  });

  test('a letter or grade that is not in the tables is refused with what would do', () => {
    expect(limits('z9', 10)).toEqual({ path: 'here', message: expect.stringContaining('not a fit in the tables') });
    expect(limits('h14', 10)).toEqual([-360, 0]);
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
