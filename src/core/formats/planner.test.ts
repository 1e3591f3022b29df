import { usual } from '../plan/skeleton';
import { takeRoute } from '../ask/takeRoute';
import { startValues } from '../model/shop/startValues';
import { example, planned, runOf, step } from '../testing';
import { comparedSo, comparingOf, type Answer, type Comparing } from './answer';
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
    if (next.value) steps.push(next.value);
  }
}
/** The plan of a run when it is settled. */
const settled = (runFile: RunFile) => planned(runFile, startValues, {});
const comparing = (runFile: RunFile): Comparing => comparingOf(settled(runFile));

describe('a run that was just opened', () => {
  test('first shows what is sound, and in the end the best of all', () => {
    const { steps, last } = stepsOf(file(20));
    expect(steps).toHaveLength(1);
    expect(steps[0]?.proof?.passed).toBe(true);
    expect(last.plan).toEqual(settled(file(20)));
    expect(last.plan?.route.offered).toBeUndefined();
  });
});

describe('an edit is answered', () => {
  test('first with the route that was shown, its new figures beside how the others were', () => {
    const before = comparing(file(20));
    const { steps, last } = stepsOf(file(24), before);
    expect(steps).toHaveLength(1);
    const [{ plan } = { plan: undefined }] = steps;
    expect(plan?.skeleton).toEqual(before.skeleton);
    expect(plan?.times).toEqual(planned(file(24), startValues, { only: [before.skeleton] }).times);
    const other = (ways: typeof before.ways | undefined) =>
      ways?.find(({ way }) => way !== before.way)?.times?.batch.value;
    expect(other(plan?.ways)).toBe(other(before.ways));
    expect(other(plan?.ways)).not.toBe(other(last.plan?.ways));
  });

  test('and how it compares is all that the end adds, as long as the route stays', () => {
    const { steps, last } = stepsOf(file(24), comparing(file(20)));
    const [first] = steps;
    if (!first || !last.plan) throw new Error('it is planned');
    expect(comparedSo(first, comparingOf(last.plan))).toEqual(last);
  });

  test('what is shown stays where it is sound, and the better one is offered: taken by a press it is what it said', () => {
    for (const name of ['bearing-cup', 'clamp-block', 'setting-wheel']) {
      const runFile = example(name);
      const best = settled(runFile);
      const shown = usual(best.way);
      const { last } = stepsOf(runFile, { ...comparingOf(best), skeleton: shown });
      const offered = last.plan?.route.offered;
      if (!last.plan || !offered) throw new Error(`${name} has a better one than usual`);
      expect(last.plan.skeleton).toEqual(shown);
      expect(offered.batchMinutes).toBeCloseTo(best.times.batch.value, 9);
      expect(offered.lostBy).toBeLessThan(0);
      const taken = stepsOf(takeRoute(runFile, last.plan, offered), comparingOf(last.plan)).last.plan;
      expect(taken?.times.batch.value).toBeCloseTo(best.times.batch.value, 6);
    }
  });

  test('what is shown and not sound is left for the best, whichever it was', () => {
    // Too slender for a bar that is not drawn in: by hand in the tests of the search.
    const slender = runOf({ material: 'stainless-303', outside: [step('8 h8', 80), step(14, 10)] });
    const { last } = stepsOf(slender, { ...comparing(file(20)), skeleton: usual('from-bar') });
    expect(last.plan?.times).toEqual(settled(slender).times);
    expect(last.plan?.route.offered).toBeUndefined();
  });

  test('with another route, where the run names another way than before, or the one before cannot be', () => {
    const { way } = settled(file(20));
    const other = way === 'from-bar' ? 'sawn-blanks' : 'from-bar';
    expect(stepsOf(file(24, { way: other }), comparing(file(20))).last.plan?.way).toBe(other);
    // 40 does not pass the spindle bore.
    const thick = runOf({ outside: [step(30, 20), step(40, 20)] });
    const before = { ...comparing(file(20)), way: 'from-bar' as const, skeleton: usual('from-bar') };
    expect(stepsOf(thick, before).last.plan?.way).toBe('sawn-blanks');
  });

  test('with what is wrong, and as much of the part as there is', () => {
    const { steps, last } = stepsOf(file(20, { quantity: 0 }), comparing(file(20)));
    expect(steps).toEqual([]);
    expect(last).toMatchObject({ plan: undefined, problems: [{ path: 'quantity' }] });
    expect(last.sketch?.length).toBe(32);
    expect(comparedSo(last, comparing(file(20)))).toBe(last);
  });
});
