import { REFUSED } from './ask/refusal.corpus';
import { nearestTool } from './ask/remedies/nearestTool';
import { nearestValue } from './ask/remedies/nearestValue';
import { startValues } from './model/shop/startValues';
import type { Mark } from './model/units/mark';
import { planFile, type Plan } from './plan/plan';
import { assumed } from './present/assumed';
import { gearsOf } from './present/gears';
import { kitOf } from './present/kit';
import { operationView } from './present/operation';
import { madeReady } from './present/toolMadeReady';
import { readySteps } from './present/readySteps';
import { stockView } from './present/stock';
import { toGetFor } from './present/toGet';
import { walkedTime } from './present/walked';
import { stopsCsv } from './formats/stopsCsv';
import { exportedRun } from './formats/writeRun';
import type { RunFile } from './read/runFile';
import { example } from './testing';

/**
 * Where a device wants its figures with a comma, every figure in words has one, and nothing else is another: what is
 * reckoned, what stands in files, and the names of things are the same.
 */

const saidWith = <Made>(mark: Mark, make: () => Made): Made => {
  globalThis.decimalMark = () => mark;
  try {
    return make();
  } finally {
    globalThis.decimalMark = undefined;
  }
};

/** What sheet, lathe and lists say of a plan. */
const views = (plan: Plan) => ({
  stock: stockView(plan.stock, plan.run.units),
  kit: kitOf(plan),
  toGet: toGetFor(plan),
  assumed: assumed(plan),
  walked: walkedTime(plan),
  setups: plan.setups.map((planned) => ({
    ready: readySteps(planned),
    gears: gearsOf(planned),
    operations: planned.operations.map((operation) => operationView(planned, operation)),
    tools: planned.operations.map(({ tool }) => madeReady(planned, tool.id)),
  })),
});

/** Every text in a value, with its place; formulas, which are worked with, and keys are none. */
function textsIn(value: unknown, at = '', seen = new Set<unknown>()): [string, string][] {
  if (typeof value === 'string') return [[at, value]];
  if (typeof value !== 'object' || value === null || seen.has(value)) return [];
  seen.add(value);
  const entries = value instanceof Map ? [...value.entries()] : Object.entries(value);
  return entries.flatMap(([key, inner]) =>
    ['formula', 'key', 'id', 'path'].includes(String(key)) ? [] : textsIn(inner, `${at}.${String(key)}`, seen),
  );
}

const HAS_POINT = /\d\.\d/;

/** Names of the shop's things and what was typed in a file, which a sentence may quote: they are no figures. The longest is taken out first. */
const namesIn = (...from: unknown[]): string[] =>
  [...new Set(from.flatMap((value) => textsIn(value).map(([, text]) => text)))]
    .filter((text) => HAS_POINT.test(text))
    .toSorted((a, b) => b.length - a.length);

const THREAD = /M\d+(\.\d+)?(x\d+(\.\d+)?)?/g;

function pointsLeft(made: unknown, names: readonly string[]): [string, string][] {
  const bare = (text: string) =>
    names
      .reduce((rest, name) => rest.replaceAll(name, ''), text)
      .replace(THREAD, '')
      .replace(/“[^”]*”/g, '');
  return textsIn(made).filter(([, text]) => HAS_POINT.test(bare(text)));
}

/** The same with every comma between digits as a point again. */
const pointed = (made: unknown): unknown =>
  JSON.parse(
    JSON.stringify(made, (_, value: unknown) =>
      typeof value === 'string' ? value.replaceAll(/(\d),(\d)/g, '$1.$2') : value,
    ),
  );

test.each(['pivot-pin', 'gland-body', 'valve-needle', 'mast-stud', 'setting-wheel', 'vane-spindle', 'pivot-pin.rev-b'])(
  'the plan of %s',
  (name) => {
    const file = example(name);
    const make = () => {
      const plan = planFile(file, startValues, 'wanted', { until: 'sound' });
      if (!plan.ok) throw new Error(plan.problems[0]?.message);
      return { plan: plan.value, views: views(plan.value) };
    };
    const [point, comma] = [saidWith('.', make), saidWith(',', make)];
    const toGet = comma.plan.setups.flatMap(({ operations }) => operations.map(({ tool }) => tool.gotAs ?? ''));
    expect(pointsLeft(comma, namesIn(startValues, file, toGet))).toEqual([]);
    expect(textsIn(comma).filter(([, text]) => /\d,\d/.test(text)).length).toBeGreaterThan(50);
    expect(pointed(comma)).toEqual(pointed(point));
    // What is written into a file is for programs, and so is what a read-out takes.
    expect(saidWith(',', () => stopsCsv(comma.plan.setups))).toBe(saidWith('.', () => stopsCsv(point.plan.setups)));
    expect(saidWith(',', () => exportedRun(file))).toEqual(saidWith('.', () => exportedRun(file)));
  },
);

test('why a run is refused, and what would help', () => {
  const problemsOf = (file: RunFile) => {
    const plan = planFile(file, startValues);
    const problems = plan.ok ? [] : plan.problems;
    return { problems, remedies: [nearestTool, nearestValue].flatMap((kind) => kind(file, startValues, problems)) };
  };
  for (const [slip, file] of REFUSED) {
    const [point, comma] = [saidWith('.', () => problemsOf(file)), saidWith(',', () => problemsOf(file))];
    expect([slip, pointsLeft(comma, namesIn(startValues, file))]).toEqual([slip, []]);
    expect(pointed(comma)).toEqual(pointed(point));
  }
});
