import { readSize, sizeObject, sizeText, type SizeEntry } from './size';

const read = (entry: SizeEntry, units: 'mm' | 'in' = 'mm') => {
  const result = readSize(entry, { units, general: 'medium', path: 'p' });
  if (!result.ok) return result.problems[0]?.message;
  const { nominal, lower, upper, from } = result.value;
  return [nominal, lower, upper].map((mm) => Number(mm.toFixed(6))).concat([from] as never);
};

test.each([
  ['14 h8', [14, -0.027, 0, 'fit']],
  ['22 -0.1/0', [22, -0.1, 0, 'limits']],
  ['9 +0.05', [9, 0, 0.05, 'limits']],
  ['9 -0.05', [9, -0.05, 0, 'limits']],
  ['9 +0.05/-0.02', [9, -0.02, 0.05, 'limits']],
  ['22 ±0.1', [22, -0.1, 0.1, 'limits']],
  ['9 +0/+0.05', [9, 0, 0.05, 'limits']],
  ['9 -0.02/-0.05', [9, -0.05, -0.02, 'limits']],
  ['9 0/0.05', [9, 0, 0.05, 'limits']],
  ['9 0/-0.05', [9, -0.05, 0, 'limits']],
  ['22 +/- 0.1', [22, -0.1, 0.1, 'limits']],
  ['26', [26, -0.2, 0.2, 'general']],
  // As people write them: the two limits with a space or none between, either first, a nought without a sign.
  ['12 +0.1 -0.05', [12, -0.05, 0.1, 'limits']],
  ['12 -0.05 +0.1', [12, -0.05, 0.1, 'limits']],
  ['12 0 -0.1', [12, -0.1, 0, 'limits']],
  ['12+0.1-0.05', [12, -0.05, 0.1, 'limits']],
  ['12+0,1', [12, 0, 0.1, 'limits']],
  ['12-0.1', [12, -0.1, 0, 'limits']],
  ['12±0.1', [12, -0.1, 0.1, 'limits']],
  ['⌀12', [12, -0.2, 0.2, 'general']],
  ['Ø 12 h7', [12, -0.018, 0, 'fit']],
  ['12h7', [12, -0.018, 0, 'fit']],
  // IT6 at 12 is 11 µm, half each way; IT14 430.
  ['12 js6', [12, -0.0055, 0.0055, 'fit']],
  ['12 JS6', [12, -0.0055, 0.0055, 'fit']],
  ['12 h14', [12, -0.43, 0, 'fit']],
  ['12 h12', [12, -0.18, 0, 'fit']],
  // The two limits themselves: their middle is the size.
  ['11.9/12.1', [12, -0.1, 0.1, 'limits']],
  ['12.1 to 11.9', [12, -0.1, 0.1, 'limits']],
  // One side is said, and as much as in general is left on the other: 0.4 in all.
  ['12 max', [12, -0.4, 0, 'limits']],
  ['12 min', [12, 0, 0.4, 'limits']],
  ['½ in', [12.7, -0.2, 0.2, 'general']],
  ['3/8 in h7', [9.525, -0.015, 0, 'fit']],
  [26, [26, -0.2, 0.2, 'general']],
  [{ size: 6, fit: 'h7' }, [6, -0.012, 0, 'fit']],
  [{ size: 22, limits: [-0.1, 0] }, [22, -0.1, 0, 'limits']],
] as [SizeEntry, unknown][])('%j', (entry, expected) => {
  expect(read(entry)).toEqual(expected);
});

test('what the drawing leaves open is under the general tolerance, and says so; it is typed as it is read', () => {
  const open = (entry: SizeEntry) => {
    const size = readSize(entry, { units: 'mm', general: 'medium', path: 'p' });
    return size.ok ? [size.value.nominal, size.value.from, size.value.open] : size.problems;
  };
  for (const entry of ['40 free', { size: 40, free: true as const }])
    expect(open(entry)).toEqual([40, 'general', 'free']);
  for (const entry of ['about 5', { size: 5, about: true as const }])
    expect(open(entry)).toEqual([5, 'general', 'about']);
  expect(sizeText({ size: 40, free: true })).toBe('40 free');
  expect(sizeObject(sizeText({ size: '3/8 in', about: true }))).toEqual({ size: '3/8 in', about: true });
});

test('limits count in the units of the file', () => {
  expect(read('.5 -.002/0', 'in')).toEqual([12.7, -0.0508, 0, 'limits']);
});

test.each([
  ['', 'is missing'],
  ['0', 'more than nothing'],
  ['-4', 'more than nothing'],
  ['14 z8', 'not a fit'],
  ['12 H7/g6', 'is the hole and the shaft: write 12 H7 or 12 g6'],
  ['twelve', 'not a length'],
  ['500', 'beyond the general tolerances'],
] as const)('“%s” is refused: %s', (entry, message) => {
  expect(read(entry)).toContain(message);
});

test('limits the wrong way round are refused, not turned', () => {
  expect(read({ size: 22, limits: [0.1, -0.1] })).toContain('wrong way round');
});

test('limits that are even on both sides are written as such', () => {
  expect(sizeText({ size: 18, limits: [-0.2, 0.2] })).toBe('18 ±0.2');
  expect(sizeText({ size: 18, limits: [-0.2, 0.1] })).toBe('18 -0.2/+0.1');
});

test('text and object form say the same', () => {
  for (const text of ['14 h8', '22 -0.1/+0.2', '3/8 in h7', '26'])
    expect(read(sizeText(sizeObject(text)))).toEqual(read(text));
});
