import { produce } from 'immer';
import { example, planned, runOf, step } from '../../testing';
import { startValues } from '../../model/shop/startValues';
import { prove } from '../proof/prove';
import { writtenPlan } from '../written';

/** A lid of brass with a groove for a seal in its front face. */
const lid = (
  inner: number | string,
  outer: number | string,
  depth: number | string,
  face: 'front' | 'back' = 'front',
) =>
  runOf(
    { outside: [step(50, 12)], details: [{ kind: 'face-groove', face, inner, outer, depth, name: 'seal' }] },
    { quantity: 5, way: 'sawn-blanks' },
  );
const grooveOf = (file: ReturnType<typeof lid>) => {
  const plan = planned(file);
  const found = plan.setups.flatMap(({ operations }) => operations).find(({ kind }) => kind === 'face-groove');
  if (!found) throw new Error('nothing makes it');
  return { plan, found };
};
const waysOf = ({ passes }: ReturnType<typeof grooveOf>['found']) =>
  passes.map(({ path }) => path.filter(({ by }) => by === undefined).map(({ z, r }) => [z, Number(r.toFixed(3))]));

test('as wide as a blade: straight down once, by hand its inner corner on 15, 2.4 deep', () => {
  const { plan, found } = grooveOf(lid(30, 36, 2.4));
  expect(found.tool.id).toBe('face-groove-3');
  expect(waysOf(found)).toEqual([
    [
      [-2, 15],
      [2.4, 15],
    ],
  ]);
  expect(found.stop).toMatchObject({ means: expect.any(String) });
  expect(plan.proof.faults).toEqual([]);
});

test('wider: at its outer wall first, then inwards by three quarters of the blade, and along the bottom', () => {
  // 6 wide and a blade of 3: the 3 beside it are two steps of 1.5.
  const { plan, found } = grooveOf(lid(28, 40, 3));
  expect(waysOf(found)).toEqual([
    [
      [-2, 17],
      [3, 17],
    ],
    [
      [-2, 15.5],
      [3, 15.5],
    ],
    [
      [-2, 14],
      [3, 14],
    ],
    [
      [-2, 14],
      [3, 14],
      [3, 17],
    ],
  ]);
  expect(plan.proof.faults).toEqual([]);
});

test('a wall that no blade of the list clears: one is ground for it, to get', () => {
  const { plan, found } = grooveOf(lid(6, 10, 1.5));
  expect(found.tool).toMatchObject({ toGet: true, width: 2, clearsFrom: 10, clearsUpTo: 10 });
  expect(plan.proof.faults).toEqual([]);
});

test('in the back face it is made from the back; both walls and the depth are looked at', () => {
  const { plan, found } = grooveOf(lid('30 ±0.1', '36 +0.1', '2.4 ±0.05', 'back'));
  const made = plan.setups.find(({ operations }) => operations.includes(found));
  expect(made?.setup.end).toBe('back');
  expect(found.checks.map(({ what }) => what)).toEqual(['outer wall ⌀36', 'inner wall ⌀30', 'depth of the groove']);
  // In the middle of its limits: 36.05 and 30, so 3.025 wide.
  expect(found.passes[0]?.diameter).toBeCloseTo(36.05, 9);
  expect(plan.proof.faults).toEqual([]);
});

test('the metal before the wall that holds the work is not lost by it', () => {
  expect(planned(example('parts/36-face-groove.usual')).setups[1]?.setup.holding.grip).toBe('part.outside[0]');
});

test.each<[string, number, number, string]>([
  ['0.3 too shallow', -0.3, 0, 'too-much-metal'],
  ['0.3 too deep', 0.3, 0, 'too-little-metal'],
  ['0.3 too far out', 0, 0.3, 'too-little-metal'],
])('planted: %s is found', (_, z, r, code) => {
  const { plan } = grooveOf(lid(30, 36, 2.4));
  const changed = produce(writtenPlan(plan), (draft) => {
    for (const { operations } of draft.setups)
      for (const { kind, passes } of operations)
        if (kind === 'face-groove')
          for (const place of passes.flatMap(({ path = [] }) => path)) {
            if (place.z > 0) place.z += z;
            place.r += r;
          }
  });
  expect(prove(changed, plan.run).faults.map((fault) => fault.code)).toContain(code);
});

test('kept shops find the figures of the new kind: how fast, and how fed', () => {
  expect(startValues.cutting.speedFactor['face-groove']).toBe(startValues.cutting.speedFactor.groove);
  expect(startValues.cutting.feed['face-groove']).toBeGreaterThan(0);
});
