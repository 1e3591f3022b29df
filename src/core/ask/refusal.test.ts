import { startValues } from '../model/shop/startValues';
import { setPath } from '../model/setPath';
import { planFile } from '../plan/plan';
import { readRun } from '../read/readRun';
import type { RunFile } from '../read/runFile';
import { runOf, step } from '../testing';
import { refusalOf } from './refusal';
import { REFUSED } from './refusal.corpus';

const refused = (file: RunFile) => {
  const plan = planFile(file, startValues, 'wanted');
  if (plan.ok) throw new Error('was planned, and must not be');
  return refusalOf(file, startValues, plan.problems);
};

test.each(REFUSED)('%s: changes that work are offered, each tried, and plans as it says', (_, file, path) => {
  const { remedies, tried, problems } = refused(file);
  expect(problems.length).toBeGreaterThan(0);
  // What does not read has no routes.
  expect(tried.length > 0).toBe(readRun(file, startValues).ok);
  expect(tried.every(({ route, because }) => route.length > 0 && because.length > 0)).toBe(true);
  expect(remedies.filter((remedy) => remedy.path.startsWith(path))).not.toEqual([]);
  expect(remedies.length).toBeLessThanOrEqual(3);
  for (const { path: at, value, pieceMinutes } of remedies) {
    const changed = setPath(file, at, value);
    const plan = changed.ok ? planFile(changed.value, startValues, 'wanted') : changed;
    expect(plan.ok && plan.value.proof.passed).toBe(true);
    expect(plan.ok && plan.value.times.piece.value).toBeCloseTo(pieceMinutes, 9);
  }
});

test('there are at least fifty of them', () => {
  expect(REFUSED.length).toBeGreaterThanOrEqual(50);
});

test('a hole as deep as its part is offered to go through before it is made shallower', () => {
  const file = runOf({ outside: [step(22, 30)], bores: [{ from: 'front', shape: 'drill', diameter: 8, depth: 30 }] });
  expect(refused(file).remedies[0]).toMatchObject({
    path: 'part.bores[0].depth',
    value: 'through',
    words: 'Let hole 1 go through',
  });
});

test('a word that is no figure is mended where it stands: nothing was tried, and nothing is made up', () => {
  const file = runOf({ outside: [step('wide', 20)] });
  expect(refused(file)).toMatchObject({ tried: [], remedies: [] });
});
