import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import Ajv from 'ajv/dist/2019';
import { planFileOf } from '../src/core/formats/planFile';
import { planFile } from '../src/core/plan/plan';
import { startValues } from '../src/core/model/shop/startValues';
import { publishedSchemas } from './publishedSchemas';

const read = (...path: string[]): unknown => JSON.parse(readFileSync(join(__dirname, '..', ...path), 'utf8'));
const examples = readdirSync(join(__dirname, '../examples')).filter((name) => name.endsWith('.json'));

test.each(Object.entries(publishedSchemas()))(
  'docs/%s is as new as the schema it comes from (npm run schemas)',
  (name, schema) => {
    expect(read('docs', name)).toEqual(JSON.parse(JSON.stringify(schema)));
  },
);

test('every example and its plan fit the published schemas; a file that is none does not', () => {
  const ajv = new Ajv({ strict: false });
  const run = ajv.compile(read('docs', 'run-file.schema.json') as object);
  const plan = ajv.compile(read('docs', 'plan-file.schema.json') as object);
  expect(examples.length).toBeGreaterThanOrEqual(6);
  for (const name of examples) {
    const file = read('examples', name);
    expect([name, run(file), run.errors]).toEqual([name, true, null]);
    const planned = planFile(file, startValues);
    if (!planned.ok) throw new Error(name);
    expect([name, plan(JSON.parse(JSON.stringify(planFileOf(planned.value)))), plan.errors]).toEqual([
      name,
      true,
      null,
    ]);
  }
  expect(run({ format: 'shingle-run/2', part: {}, quantity: 1 })).toBe(false);
  const list = ajv.compile(read('docs', 'cut-list.schema.json') as object);
  expect(list(read('examples', 'cut-lists', 'week-48.json'))).toBe(true);
  expect(list({ format: 'shingle-cutlist/1', kerf: 2, bars: [], pieces: [{ length: -1, count: 1 }] })).toBe(false);
});
