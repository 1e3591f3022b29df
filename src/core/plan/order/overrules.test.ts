import type { DetailFile, RunFile } from '../../read/runFile';
import { planFileOf } from '../../formats/planFile';
import { readRun } from '../../read/readRun';
import { exportedRun } from '../../formats/writeRun';
import type { Overrule } from '../../model/overrule';
import { startValues } from '../../model/shop/startValues';
import { planned, problemsOf, runOf, step } from '../../testing';
import { moveOperation } from './moveOperation';
import type { Operation } from '../../model/plan/operation';
import { precedenceOf } from './precedence';
import { rules } from './rules';

const details: DetailFile[] = [
  { kind: 'groove', at: 6, width: 2, bottom: 11 },
  { kind: 'knurl', at: 15, length: 8, pattern: 'diamond', pitch: 0.8 },
];
const file = (overrules: Overrule[] = []): RunFile =>
  runOf({ outside: [step(14, 14), step(21, 12)], details }, { way: 'from-bar', overrules });
const keysOf = (run: RunFile) => planned(run).setups[0]?.operations.map(({ key }) => key) ?? [];

const FINISH = 'turn-finish:part.outside[0]';
const ROUGH = 'turn-rough:part.outside[0]';
const KNURL = 'knurl:part.details[1]';
const FACE = 'face:front';

describe('an order that was decided', () => {
  test('a soft rule gives way, and is told with what it costs', () => {
    const free = keysOf(file());
    expect(free.indexOf(KNURL)).toBeLessThan(free.indexOf(FINISH));
    const plan = planned(file([{ first: FINISH, then: KNURL }]));
    const keys = plan.setups[0]?.operations.map(({ key }) => key) ?? [];
    expect(keys.indexOf(FINISH)).toBeLessThan(keys.indexOf(KNURL));
    const [overrule] = plan.overrules;
    expect(overrule).toMatchObject({ state: 'kept', breaks: [{ rule: 'KNURL-EARLY', strength: 'S' }] });
    expect(overrule?.minutes).toBeCloseTo(plan.times.piece.value - planned(file()).times.piece.value, 9);
    const knurl = plan.setups[0]?.operations.find(({ key }) => key === KNURL);
    expect(knurl?.reasons).toContainEqual({ rule: 'OVERRULE', because: 'Finish ⌀14 first: so decided.' });
  });

  test('a relief at a shoulder may be plunged before its diameter is finished: a school, not a fault', () => {
    const relief = 'groove:part.details[0]';
    const at = (place: number) =>
      runOf(
        { outside: [step(14, 14), step(21, 12)], details: [{ kind: 'groove', at: place, width: 2, bottom: 11 }] },
        { way: 'from-bar', overrules: [{ first: relief, then: FINISH }] },
      );
    const first = planned(at(12));
    expect(first.overrules[0]).toMatchObject({
      state: 'kept',
      breaks: [{ rule: 'RELIEF-AFTER-OD', strength: 'C' }],
    });
    const keys = first.setups.flatMap(({ operations }) => operations.map(({ key }) => key));
    expect(keys.indexOf(relief)).toBeLessThan(keys.indexOf(FINISH));
    expect(planned(at(6)).overrules[0]).toMatchObject({ breaks: [{ rule: 'GROOVE-AFTER-OD', strength: 'S' }] });
  });

  test.each([
    ['two wheels, 75 out of ⌀8', 2, 75, { rule: 'PINCHED-EARLY', strength: 'C' }],
    ['one wheel, 75 out of ⌀8', 1, 75, { rule: 'KNURL-EARLY', strength: 'S' }],
    ['two wheels, 15 out of ⌀8', 2, 15, { rule: 'KNURL-EARLY', strength: 'S' }],
  ])('a knurl late: %s', (_, wheels, length, breaks) => {
    const shop = {
      ...startValues,
      tools: startValues.tools.map((tool) => (tool.does.includes('knurl') ? { ...tool, wheels } : tool)),
    };
    const run = runOf(
      {
        outside: [step(6, 5), step(8, length), step(10, 3)],
        details: [{ kind: 'knurl', at: 8, length: 6, pattern: 'straight', pitch: 0.5 }],
      },
      { way: 'from-bar', overrules: [{ first: FINISH, then: 'knurl:part.details[0]' }] },
    );
    expect(planned(run, shop).overrules[0]).toMatchObject({
      state: 'kept',
      breaks: [breaks],
    });
  });

  test('a hard rule does not, until somebody signs for it; then it is told on the plan', () => {
    const decided: Overrule = { first: FINISH, then: ROUGH };
    const waits = planned(file([decided]));
    expect(waits.overrules).toMatchObject([{ state: 'waits', breaks: [{ rule: 'ROUGH-THEN-FINISH', strength: 'H' }] }]);
    expect(keysOf(file([decided]))).toEqual(keysOf(file()));
    expect(waits.warnings).toContainEqual(
      expect.stringContaining('overrules[0]: not followed, it is against ROUGH-THEN-FINISH'),
    );
    // A reason alone is not enough, nor a name.
    for (const half of [{ because: 'tried before' }, { signed: 'the shop' }])
      expect(planned(file([{ ...decided, ...half }])).overrules[0]?.state).toBe('waits');
    const signed = {
      first: KNURL,
      then: 'turn-finish:part.outside[1]',
      because: 'the blank is drawn to size',
      signed: 'the shop',
    };
    const plan = planned(file([signed]));
    expect(plan.overrules[0]).toMatchObject({ state: 'kept', breaks: [{ rule: 'SHAPE-AFTER-CYLINDER' }] });
    expect(plan.warnings).toContainEqual(
      expect.stringMatching(
        /^overrules\[0\]: breaks SHAPE-AFTER-CYLINDER .*signed the shop: the blank is drawn to size\.$/,
      ),
    );
  });

  test('what a moved operation costs is told once, for both of its neighbours', () => {
    const moved = [
      { first: FINISH, then: KNURL, moved: KNURL },
      { first: KNURL, then: 'part-off', moved: KNURL },
    ];
    const plan = planned(file(moved));
    expect(plan.overrules.map(({ minutes }) => minutes === undefined)).toEqual([false, true]);
    expect(plan.overrules[0]?.minutes).toBeCloseTo(plan.times.piece.value - planned(file()).times.piece.value, 9);
  });

  test('two that contradict one another: the first stands, the other waits', () => {
    const plan = planned(
      file([
        { first: FINISH, then: KNURL },
        { first: KNURL, then: FINISH },
      ]),
    );
    expect(plan.overrules.map(({ state }) => state)).toEqual(['kept', 'waits']);
  });

  test('one whose operations are not in the plan is idle, and says so', () => {
    const plan = planned(file([{ first: 'groove:part.details[7]', then: FACE }]));
    expect(plan.overrules).toMatchObject([{ state: 'idle', breaks: [] }]);
    expect(plan.warnings).toContainEqual(expect.stringContaining('overrules[0]: the plan has not both'));
  });

  test('it lives in the file: exported, read again and planned, the order is the same', () => {
    const run = file([{ first: FINISH, then: KNURL, because: 'the wheels mark the groove', signed: '' }]);
    const again = JSON.parse(JSON.stringify(exportedRun(run))) as RunFile;
    expect(again.overrules).toEqual(run.overrules);
    expect(keysOf(again)).toEqual(keysOf(run));
    expect(planFileOf(planned(again)).overrules).toMatchObject([{ first: FINISH, then: KNURL, state: 'kept' }]);
    const read = readRun({ ...run, overrules: [{ first: FINISH }] }, startValues);
    expect(!read.ok && read.problems[0]?.path).toBe('overrules[0].then');
    expect(problemsOf({ ...run, overrules: 'no' })[0]?.path).toBe('overrules');
  });
});

describe('moving an operation', () => {
  const keys = ['a', 'b', 'c', 'd'];

  test('between the two that are then beside it; what was decided of it before goes', () => {
    const before = [
      { first: 'd', then: 'a' },
      { first: 'b', then: 'c' },
    ];
    expect(moveOperation(before, keys, 'd', 1)).toEqual([
      { first: 'b', then: 'c' },
      { first: 'a', then: 'd', moved: 'd' },
      { first: 'd', then: 'b', moved: 'd' },
    ]);
    expect(moveOperation([], keys, 'a', 3)).toEqual([{ first: 'd', then: 'a', moved: 'a' }]);
    expect(moveOperation([], keys, 'd', 0)).toEqual([{ first: 'd', then: 'a', moved: 'd' }]);
  });
});

test('hard rules that go round in a circle are told with the operations in it, not settled at random', () => {
  const plan = planned(file());
  const setup = plan.setups[0]?.setup;
  const operations = plan.setups[0]?.operations as Operation[] | undefined;
  if (!setup || !operations) throw new Error('must be planned');
  const turnedAround = {
    id: 'PART-FIRST',
    strength: 'H' as const,
    before: (before: Operation, after: Operation) =>
      before.kind === 'part-off' && after.kind === 'face' ? 'A house that parts first.' : undefined,
  };
  const result = precedenceOf(operations, setup, [...rules, turnedAround]);
  expect(!result.ok && result.problems[0]?.message).toContain(
    'hard rules go round in a circle here: PART-FIRST wants Part off before Face the front',
  );
});
