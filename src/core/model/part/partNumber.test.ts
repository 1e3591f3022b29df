import { sameNumber } from './partNumber';

test.each([
  ['SP-1', 'SP-1'],
  ['SP-1 ', 'SP-1'],
  ['\tSP-1\u2003', 'SP-1'],
  ['SP\u00a0 1', 'SP 1'],
  ['SP\u200b-1', 'SP-1'],
  ['Mu\u0308he-1', 'M\u00fche-1'],
])('%j is the number %j', (typed, number) => {
  expect(sameNumber(typed)).toBe(number);
});

test('capitals and signs that mean something tell two numbers apart', () => {
  expect(sameNumber('sp-1')).not.toBe(sameNumber('SP-1'));
  expect(sameNumber('A²')).not.toBe(sameNumber('A2'));
});
