import fc from 'fast-check';
import { startValues } from '../model/shop/startValues';
import { makeable } from '../makeable';
import { planFile } from './plan';

/** Two thousand with `npm run torture`. */
const PARTS = process.env.SHINGLE_TORTURE ? 2000 : 200;

const grown = fc.sample(makeable, { numRuns: PARTS, seed: 11 });

test('a third each was grown in one holding, in two, and in three; a fifth at least is tied, thin or slender', () => {
  const share = (is: (one: (typeof grown)[number]) => boolean) => grown.filter(is).length / grown.length;
  for (const many of [1, 2, 3]) expect(share(({ holdings }) => holdings === many)).toBeGreaterThan(0.25);
  expect(share(({ hard }) => hard)).toBeGreaterThan(0.2);
});

test('of parts that can be made none is refused, left unfinished, not true enough, or not proved', () => {
  const wrong = grown.flatMap(({ file }): unknown[] => {
    const plan = planFile(file, startValues, 'wanted', { until: 'sound' });
    if (!plan.ok) return [{ file, is: plan.problems[0]?.message }];
    const { proof, doubts } = plan.value;
    const doubt = doubts.find(({ rule }) => rule === 'NO-OPERATION' || rule === 'SAME-SETUP');
    return proof.passed && !doubt ? [] : [{ file, is: proof.faults[0] ?? doubt }];
  });
  expect(wrong).toEqual([]);
});
