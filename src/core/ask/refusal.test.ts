import { startValues } from '../model/shop/startValues';
import { setPath } from '../model/setPath';
import { planFile } from '../plan/plan';
import type { RunFile } from '../read/runFile';
import { runOf, step } from '../testing';
import { refusalOf } from './refusal';
import { REFUSED } from './refusal.corpus';

const refused = (file: RunFile) => {
  const plan = planFile(file, startValues, 'wanted');
  if (plan.ok) throw new Error('was planned, and must not be');
  return refusalOf(file, startValues, plan.problems);
};

test.each(REFUSED)('%s: a change that works is offered', (_, file, path) => {
  const { remedies, tried, problems } = refused(file);
  expect(problems.length).toBeGreaterThan(0);
  expect(tried.length).toBeGreaterThan(0);
  expect(tried.every(({ route, because }) => route.length > 0 && because.length > 0)).toBe(true);
  expect(remedies.map((remedy) => remedy.path)).toContain(path);
  expect(remedies.length).toBeLessThanOrEqual(3);
});

test.each(REFUSED)('%s: each of them was tried, and plans as it says', (_, file) => {
  for (const { path, value, pieceMinutes } of refused(file).remedies) {
    const changed = setPath(file, path, value);
    const plan = changed.ok ? planFile(changed.value, startValues, 'wanted') : changed;
    expect(plan.ok && plan.value.proof.passed).toBe(true);
    expect(plan.ok && plan.value.times.piece.value).toBeCloseTo(pieceMinutes, 9);
  }
});

test('what does not read is mended where it stands: nothing was tried', () => {
  const file = runOf({ outside: [step('wide', 20)] });
  expect(refused(file)).toMatchObject({ tried: [], remedies: [] });
});
