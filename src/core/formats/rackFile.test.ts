import { readRackAction, readReceipt } from './rackFile';

const MATERIALS = ['brass-cw614n', 'bronze'];
const good = { material: 'brass-cw614n', size: 12, length: 3000 };
const read = (more: object) => readReceipt({ ...good, ...more }, MATERIALS);

test('bars that came in, as they were typed', () => {
  expect(read({ size: '25/64 in', length: '12 ft', price: '26,50', count: 2 })).toMatchObject({
    ok: true,
    value: { size: 9.921875, length: expect.closeTo(3657.6, 6), price: 26.5, count: 2 },
  });
});

test.each([
  ['a length that would be kept as nothing', { length: 0.0001 }, 'length', 'less than 0.001 mm'],
  ['a length that nothing has', { length: '99999 m' }, 'length', 'see whether its unit is meant'],
  ['a length beyond all numbers', { length: '9'.repeat(59) }, 'length', 'more than 100 m'],
  ['a bar wider than a lathe', { size: '3 m' }, 'size', 'more than 2 m'],
  ['a price that would be bent', { price: 12.345 }, 'price', 'more than two decimals'],
  ['a price larger than any', { price: 1e12 }, 'price', 'seven digits'],
  ['a price that is a sum', { price: '1e3' }, 'price', 'is not a price'],
  ['a material that nobody knows', { material: 'unobtainium' }, 'material', 'it has brass-cw614n, bronze'],
  ['an enum place that is an object', { form: { toString: 'x' } }, 'form.toString', 'is not known here'],
] as const)('%s is refused', (_, more, path, words) => {
  expect(read(more)).toMatchObject({ ok: false, problems: [{ path, message: expect.stringContaining(words) }] });
});

test('a rest that would be kept as nothing is refused', () => {
  expect(readRackAction({ do: 'use', run: 1, left: 0.0004 })).toMatchObject({
    problems: [{ path: 'left', message: expect.stringContaining('nothing is left of it') }],
  });
});
