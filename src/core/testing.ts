import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { RunFile, StepOf } from './read/runFile';
import type { SizeEntry } from './model/part/size';
import { planFile, type Plan } from './plan/plan';
import type { Searching } from './plan/search';
import { usual } from './plan/skeleton';
import type { Way } from './model/way';
import type { Problem, Result } from './model/result';
import type { Shop } from './model/shop/shop';
import { startValues } from './model/shop/startValues';

/** For tests only: a run file from examples/, by its name. */
export const example = (name: string): RunFile =>
  JSON.parse(readFileSync(join(__dirname, '../../examples', `${name}.json`), 'utf8')) as RunFile;

/** A cylinder. */
export const step = (
  diameter: SizeEntry,
  length: SizeEntry,
  more: Partial<StepOf<'cylinder'>> = {},
): StepOf<'cylinder'> => ({
  shape: 'cylinder',
  diameter,
  length,
  ...more,
});

/** A small run in brass with what a test changes. */
export const runOf = (part: Partial<RunFile['part']>, more: Partial<RunFile> = {}): RunFile => ({
  format: 'shingle-run/1',
  units: 'mm',
  part: { number: 'T-1', material: 'brass-cw614n', outside: [step(10, 20)], ...part },
  quantity: 10,
  ...more,
});

/** The plan of a run that must have one, by the first route that is sound: what it is made of, not which route wins. */
export function planned(file: RunFile, shop: Shop = startValues, searching: Searching = { until: 'sound' }): Plan {
  const plan = planFile(file, shop, 'all', searching);
  if (!plan.ok) throw new Error(JSON.stringify(plan.problems));
  return plan.value;
}

/** A shop in which moving a lever takes no time, so that every cut is run as fast as it can be. */
export const freeLevers: Shop = {
  ...startValues,
  handMinutes: { ...startValues.handMinutes, speedChange: 0, lockCarriage: 0, feedChange: 0 },
};

/** The plan of a run by the usual route of its way alone, whether that is sound or not. */
export const plannedAsUsual = (file: RunFile, way: Way = 'from-bar', shop: Shop = startValues): Plan =>
  planned(file, shop, { only: [usual(way)] });

/** The problems of a run that must be refused. */
export function problemsOf(file: unknown): Problem[] {
  const plan: Result<Plan> = planFile(file, startValues);
  if (plan.ok) throw new Error('was planned, and must not be');
  return plan.problems;
}

/** Every operation of a run's plan, each with the end that its set-up works from. */
export const operationsOf = (file: RunFile) =>
  planned(file).setups.flatMap(({ operations, setup }) =>
    operations.map((operation) => ({ ...operation, end: setup.end })),
  );

/** The first operation of a kind, which must be there. */
export function only(file: RunFile, kind: string) {
  const wanted = operationsOf(file).find((one) => one.kind === kind);
  if (!wanted) throw new Error(`nothing of kind ${kind}`);
  return wanted;
}

/** What a plan cannot promise: rule and path. */
export const doubtsOf = (file: RunFile): string[] => planned(file).doubts.map(({ rule, path }) => `${rule} ${path}`);
