import { setPath } from './setPath';

const run = { quantity: 10, part: { outside: [{ diameter: 10 }, { diameter: 12 }] } };

test('a value deep in a list, and nothing else', () => {
  expect(setPath(run, 'part.outside[1].diameter', '12 h7')).toEqual({
    ok: true,
    value: { quantity: 10, part: { outside: [{ diameter: 10 }, { diameter: '12 h7' }] } },
  });
  expect(run.part.outside[1]?.diameter).toBe(12);
});

test('what is not there yet is made', () => {
  expect(setPath(run, 'rules.stickOut', '4d')).toMatchObject({ ok: true, value: { rules: { stickOut: '4d' } } });
});

test.each([
  ['part.outside[2].diameter', 'part.outside.2', 'the list has 2 entries'],
  ['quantity.each', 'quantity', 'is 10, and has no “each” in it'],
  ['', '', 'is no path'],
])('%s leads nowhere: %s', (path, where, words) => {
  expect(setPath(run, path, 1)).toMatchObject({
    ok: false,
    problems: [{ path: where, message: expect.stringContaining(words) }],
  });
});
