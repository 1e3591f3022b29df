import { planFile } from '../plan/plan';
import { startValues } from '../model/shop/startValues';
import { example, planned, runOf, step } from '../testing';
import { comparedSo, type Answer, type Comparing } from './answer';
import { answers } from './planner';
import type { RunFile } from '../read/runFile';

const file = (length: number, more: Partial<RunFile> = {}): RunFile =>
  runOf({ outside: [step(10, length), step(16, 12)] }, { quantity: 40, ...more });

/** The steps of an answer, to the last. */
function stepsOf(runFile: RunFile, before?: Comparing): { steps: Answer[]; last: Answer } {
  const all = answers(runFile, startValues, before);
  const steps: Answer[] = [];
  for (let next = all.next(); ; next = all.next()) {
    if (next.done) return { steps, last: next.value };
    steps.push(next.value);
  }
}
const comparing = (runFile: RunFile): Comparing => {
  const { way, ways, chosenBecause, route } = planned(runFile);
  return { way, ways, chosenBecause, route };
};

describe('an edit is answered', () => {
  test('at once with all of it, where nothing was planned before', () => {
    const { steps, last } = stepsOf(file(20));
    expect(steps).toEqual([]);
    expect(last.plan).toEqual(planned(file(20)));
  });

  test('first with the way that was planned, its new figures beside how the other was', () => {
    const before = comparing(file(20));
    const { steps, last } = stepsOf(file(24), before);
    expect(steps).toHaveLength(1);
    const [{ plan } = { plan: undefined }] = steps;
    const whole = planned(file(24));
    expect(plan?.way).toBe(before.way);
    expect(plan?.times).toEqual(planned({ ...file(24), way: before.way }).times);
    const other = (ways: typeof before.ways | undefined) =>
      ways?.find(({ way }) => way !== before.way)?.times?.batch.value;
    expect(other(plan?.ways)).toBe(other(before.ways));
    expect(other(plan?.ways)).not.toBe(other(whole.ways));
    expect(last.plan).toEqual(whole);
  });

  test('and how it compares is all that the end adds, as long as the way stays', () => {
    const { steps, last } = stepsOf(file(24), comparing(file(20)));
    const [first] = steps;
    if (!first || !last.plan) throw new Error('it is planned');
    const { way, ways, chosenBecause, route } = last.plan;
    expect(comparedSo(first, { way, ways, chosenBecause, route })).toEqual(last);
  });

  test('in the end as if it had never been planned before, whichever way was', () => {
    for (const name of ['sensor-spacer', 'pivot-pin', 'gland-body', 'vane-spindle']) {
      const runFile = example(name);
      const whole = planFile(runFile, startValues);
      if (!whole.ok) throw new Error(name);
      for (const way of ['from-bar', 'sawn-blanks'] as const)
        expect(stepsOf(runFile, { ...comparing(file(20)), way }).last.plan).toEqual(whole.value);
    }
  });

  test('at once, where the run names another way than before, or the one before cannot be', () => {
    const { way } = planned(file(20));
    const other = way === 'from-bar' ? 'sawn-blanks' : 'from-bar';
    expect(stepsOf(file(24, { way: other }), comparing(file(20))).steps).toEqual([]);
    // 40 does not pass the spindle bore.
    const thick = runOf({ outside: [step(30, 20), step(40, 20)] });
    const { steps, last } = stepsOf(thick, { ...comparing(file(20)), way: 'from-bar' });
    expect(steps).toEqual([]);
    expect(last.plan?.way).toBe('sawn-blanks');
  });

  test('with what is wrong, and as much of the part as there is', () => {
    const { steps, last } = stepsOf(file(20, { quantity: 0 }), comparing(file(20)));
    expect(steps).toEqual([]);
    expect(last).toMatchObject({ plan: undefined, problems: [{ path: 'quantity' }] });
    expect(last.sketch?.length).toBe(32);
    expect(comparedSo(last, comparing(file(20)))).toBe(last);
  });
});
