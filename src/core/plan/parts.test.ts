import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Size } from '../model/part/size';
import { startValues } from '../model/shop/startValues';
import { drivenBy, gripAt, slipsBy } from './cutting/grip';
import { PARTS, type PartExpected } from './parts.expected';
import { NOT_YET } from './parts.notYet';
import { planFile, type Plan } from './plan';
import type { TimedOperation } from './times/planTimes';

const FOLDER = join(__dirname, '../../../examples/parts');
const HARD = ['3-jaw', '4-jaw'];

const file = (name: string): unknown => JSON.parse(readFileSync(join(FOLDER, `${name}.json`), 'utf8'));

/** Whether an operation makes what is named: a path of the drawing, or a kind of operation. */
const isOf = (what: string) => (operation: TimedOperation) =>
  operation.kind === what || operation.feature === what || (operation.makes ?? []).includes(what);

/** What of a plan is not as it is expected, in words that name the expectation. */
function otherwise(plan: Plan, expected: PartExpected): string[] {
  const { holdings, together = [], before = [], by, notOn = [], centred, kinds = [], kindsAny, never = [] } = expected;
  const operations = plan.setups.flatMap((setup) => setup.operations);
  const at = (what: string) => operations.flatMap((operation, index) => (isOf(what)(operation) ? [index] : []));
  const setupsOf = (what: string) => plan.setups.filter((setup) => setup.operations.some(isOf(what)));
  const bare = plan.doubts.filter(({ rule }) => rule === 'NO-OPERATION');
  const held = plan.setups.map(({ setup }) => setup.holding);
  const wrong = (is: boolean, words: string): string[] => (is ? [] : [words]);
  return [
    ...bare.map(({ path }) => `open: ${path}`),
    ...wrong(
      !holdings || (plan.setups.length >= holdings[0] && plan.setups.length <= holdings[1]),
      `holdings: ${plan.setups.length}`,
    ),
    ...together.flatMap((paths) =>
      wrong(
        plan.setups.some(({ operations: candidate }) => paths.every((path) => candidate.some(isOf(path)))),
        `together: ${paths.join(', ')}`,
      ),
    ),
    ...before.flatMap(([first, then]) =>
      wrong(Math.max(-1, ...at(first)) < Math.min(Infinity, ...at(then)), `before: ${first}, ${then}`),
    ),
    ...wrong(!by || held.some(({ kind }) => by.includes(kind)), `by: ${held.map(({ kind }) => kind).join(', ')}`),
    ...notOn.flatMap((path) => {
      const feature = plan.run.part.features.find((candidate) => candidate.path === path);
      const step = plan.run.part.steps.find(({ zFrom, zTo }) => feature && zFrom < feature.z1 && zTo > feature.z0);
      const made = plan.setups.findIndex((setup) => setup.operations.some(isOf(path)));
      const later = made < 0 ? [] : plan.setups.slice(made + 1);
      return wrong(
        !later.some(({ setup: { holding } }) => HARD.includes(holding.kind) && holding.grip === step?.path),
        `not on: ${path}`,
      );
    }),
    ...wrong(!centred || plan.setups.some(({ setup }) => setup.supported), 'centred'),
    ...kinds.flatMap((kind) => wrong(setupsOf(kind).length > 0, `kind: ${kind}`)),
    ...wrong(!kindsAny || kindsAny.some((kind) => setupsOf(kind).length > 0), `kinds: ${kindsAny?.join(', ')}`),
    ...never.flatMap((kind) => wrong(setupsOf(kind).length === 0, `never: ${kind}`)),
  ];
}

/** What goes beyond the motor, what holds the work, what a hand winds, or a feed that it drops before a shoulder. */
function beyond({ setups, run }: Plan): string[] {
  const { machine, cutting } = run.shop;
  const motor = machine.motorKilowatts * machine.efficiency;
  return setups.flatMap(({ setup, operations }) =>
    operations.flatMap((operation) => {
      const { number, kind, tool, speed, feed, passes, compound, intoShoulder, on } = operation;
      const along = speed.value * feed.value;
      const wheel = tool.mount === 'tailstock' ? machine.quillDial : compound ? machine.compoundDial : undefined;
      const isWound = wheel !== undefined && !['tap', 'die', 'thread'].includes(kind);
      const grip = gripAt(on, Math.min(operation.from, operation.to), setup);
      const loads = passes.flatMap(({ load }) => (load ? [load] : []));
      const over = (is: number, most: number, what: string) =>
        is > most * 1.001 ? [`${number} ${kind}: ${what}`] : [];
      return [
        ...loads.flatMap(({ power }) => over(power.value, motor, 'motor')),
        ...loads.flatMap(({ force }) => over(force?.value ?? 0, grip, 'hold')),
        ...loads.flatMap((load) => over(slipsBy(drivenBy(load, setup), setup), 1, 'hold')),
        ...(isWound ? over(along, cutting.windings * wheel.travel, 'winding') : []),
        ...(intoShoulder && passes.length > 0 ? over(along, cutting.shoulderFeed, 'shoulder') : []),
      ];
    }),
  );
}

/** Sizes with limits of their own, threads and run-outs that nothing measures; what is finished elsewhere has its allowance on it. */
function unmeasured({ setups, run: { part } }: Plan): string[] {
  const elsewhere = part.elsewhere.flatMap(({ on }) => on);
  const checks = setups.flatMap(({ operations }) =>
    operations.flatMap((operation) => operation.checks.map((check) => ({ ...check, feature: operation.feature }))),
  );
  const isMeasured = ({ nominal, lower, upper }: Size) =>
    checks.some(
      ({ size }) =>
        size && [size.nominal - nominal, size.lower - lower, size.upper - upper].every((off) => Math.abs(off) < 1e-6),
    );
  const sizes: [string, Size | undefined][] = [
    ...part.steps.flatMap(({ path, diameter, length }): [string, Size][] => [
      [path, diameter],
      [path, length],
    ]),
    ...part.links.map(({ path, size }): [string, Size] => [path, size]),
    ...part.holes.map(({ path, diameter }): [string, Size] => [path, diameter]),
    ...part.features.flatMap(({ path, size, place }): [string, Size | undefined][] => [
      [path, size],
      [path, place?.size],
    ]),
  ];
  const closed = sizes.filter(([path, size]) => size && size.from !== 'general' && !elsewhere.includes(path));
  const threads = part.features.filter(({ thread }) => thread).map(({ path }) => path);
  return [
    ...closed.flatMap(([path, size]) => (size && !isMeasured(size) ? [`not measured: ${path}`] : [])),
    ...threads.flatMap((path) =>
      checks.some(({ measures, feature }) => measures === 'thread' && feature === path)
        ? []
        : [`not measured: ${path}`],
    ),
    ...(checks.filter(({ measures }) => measures === 'run-out').length === part.ties.length
      ? []
      : ['run-outs not measured once each']),
  ];
}

/** What of a part is not as it should be: refused, not proved, not as true as drawn, or otherwise than a machinist expects. */
function shortOf(name: string): string[] {
  const plan = planFile(file(name), startValues, 'wanted');
  if (!plan.ok) return ['refused'];
  const { proof, doubts } = plan.value;
  const untrue = doubts.filter(({ rule }) => rule === 'SAME-SETUP').map(({ path }) => `not true enough: ${path}`);
  return [
    ...(proof.passed ? [] : ['not proved']),
    ...untrue,
    ...beyond(plan.value),
    ...unmeasured(plan.value),
    ...otherwise(plan.value, PARTS[name] as PartExpected),
  ];
}

test('there are three of each of 42 kinds', () => {
  expect(Object.keys(PARTS)).toHaveLength(126);
});

test.each(Object.entries(PARTS).map(([name, { expect: words }]) => [name, words]))('%s: %s', (name) => {
  expect(shortOf(name)).toEqual(NOT_YET[name] ?? []);
});
