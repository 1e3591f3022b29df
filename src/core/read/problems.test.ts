import Joi from 'joi';
import { checkShape } from './problems';
import { pathOf } from './placePath';
import { runFileSchema } from './schemas';

test('paths are written one way', () => {
  expect(pathOf(['part', 'outside', 1, 'diameter'])).toBe('part.outside[1].diameter');
  expect(pathOf([])).toBe('');
  expect(pathOf([0, 'a'])).toBe('[0].a');
});

test('every problem in words, with the place and what would do', () => {
  const schema = Joi.object({
    way: Joi.string().valid('a', 'b'),
    list: Joi.array().items(Joi.number().strict()).max(2),
    must: Joi.string().required(),
  });
  const shape = checkShape(schema, { way: 'c', list: [1, 'x', 3], more: 1 });
  expect(shape.ok ? [] : shape.problems).toEqual([
    { path: 'way', message: '“c” is not known here; it can be a, b' },
    { path: 'list[1]', message: 'must be a number' },
    { path: 'list', message: 'has more than 2 entries' },
    { path: 'must', message: 'is missing', missing: true },
    { path: 'more', message: 'is not known here; remove it or check its name' },
  ]);
});

test('what fits comes back with what the schema fills in', () => {
  const schema = Joi.object({ units: Joi.string().valid('mm', 'in').default('mm') });
  expect(checkShape(schema, {})).toEqual({ ok: true, value: { units: 'mm' } });
});

test.each([
  ['a place of its own toString', '{"format":{"toString":"x","valueOf":1}}', 'format.toString'],
  ['a list of such', '{"part":{"outside":[{"shape":{"toString":0}}]}}', 'part.outside[0].shape.toString'],
  ['a prototype', '{"__proto__":{"polluted":1}}', '__proto__'],
])('%s is refused, and thrown by nobody', (_, text, path) => {
  expect(checkShape(runFileSchema, JSON.parse(text))).toEqual({
    ok: false,
    problems: [{ path, message: 'is not known here; remove it or check its name' }],
  });
});

test('entries within entries without end are refused', () => {
  const deep = JSON.parse(`${'['.repeat(5000)}${']'.repeat(5000)}`) as unknown;
  expect(checkShape(runFileSchema, deep)).toMatchObject({ ok: false });
  expect(checkShape(runFileSchema, { part: deep })).toMatchObject({
    problems: [{ message: 'has more than 40 entries within each other' }],
  });
});
