import fc from 'fast-check';
import { align } from './align';

const letters = (before: string, after: string) =>
  align([...before], [...after], (a, b) => (a === b ? 0 : 1)).map(({ before: a = '-', after: b = '-' }) => a + b);

test('something put in between does not change what stands behind it', () => {
  expect(letters('abc', 'axbc')).toEqual(['aa', '-x', 'bb', 'cc']);
  expect(letters('abc', 'bc')).toEqual(['a-', 'bb', 'cc']);
  // One change costs 1, one gone and one come 1.2.
  expect(letters('abc', 'axc')).toEqual(['aa', 'bx', 'cc']);
  expect(letters('', 'ab')).toEqual(['-a', '-b']);
});

test('every entry of both lists stands in one row, in its order', () => {
  const list = fc.array(fc.constantFrom('a', 'b', 'c'), { maxLength: 9 });
  fc.assert(
    fc.property(list, list, (before, after) => {
      const rows = align(before, after, (a, b) => (a === b ? 0 : 1.5));
      expect(rows.flatMap(({ before: a }) => (a === undefined ? [] : [a]))).toEqual(before);
      expect(rows.flatMap(({ after: b }) => (b === undefined ? [] : [b]))).toEqual(after);
      // At 1.5 no pair of unlike ones is worth it.
      expect(rows.every(({ before: a, after: b }) => a === undefined || b === undefined || a === b)).toBe(true);
    }),
  );
});
