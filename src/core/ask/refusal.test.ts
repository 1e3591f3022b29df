import { startValues } from '../model/shop/startValues';
import { setPath } from '../model/setPath';
import { planFile } from '../plan/plan';
import type { RunFile } from '../read/runFile';
import { runOf, step } from '../testing';
import { refusalOf } from './refusal';

const refused = (file: RunFile) => {
  const plan = planFile(file, startValues, 'wanted');
  if (plan.ok) throw new Error('was planned, and must not be');
  return refusalOf(file, startValues, plan.problems);
};

const thin = runOf({ outside: [step(6, 1.5), step(20, 1.5)] }, { way: 'from-bar' });

/** Refused as they stand, and possible with one change: each with the path that is expected among those offered. */
const CASES: [string, RunFile, string][] = [
  ['from a bar that does not go through the spindle', runOf({ outside: [step(50, 30)] }, { way: 'from-bar' }), 'way'],
  ['a disc that nothing holds for its second side', thin, 'rules.nib'],
  [
    'a flange whose blank may have no spigot',
    runOf({ outside: [step('13 h8', 20), step(60, 4)] }, { allowances: { spigot: 'none' } }),
    'allowances',
  ],
  [
    'a bar that is too small, named',
    runOf({ outside: [step(19.9, 20), step(12, 10)] }, { stock: { size: 16 } }),
    'stock',
  ],
  [
    'a hole that no drill of the list makes',
    runOf({
      outside: [step(20, 20)],
      bores: [{ from: 'front', shape: 'drill', diameter: { size: 4.55, limits: [-0.01, 0.01] }, depth: 8 }],
    }),
    'part.bores[0].diameter',
  ],
  [
    'slender work that is given no room for its rest',
    runOf({ outside: [step(6, 120)] }, { way: 'from-bar', allowances: { jawClearance: 5 } }),
    'way',
  ],
];

test.each(CASES)('%s: a change that works is offered', (_, file, path) => {
  const { remedies, tried, problems } = refused(file);
  expect(problems.length).toBeGreaterThan(0);
  expect(tried.length).toBeGreaterThan(0);
  expect(tried.every(({ route, because }) => route.length > 0 && because.length > 0)).toBe(true);
  expect(remedies.map((remedy) => remedy.path)).toContain(path);
  expect(remedies.length).toBeLessThanOrEqual(3);
});

test.each(CASES)('%s: each of them was tried, and plans as it says', (_, file) => {
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
