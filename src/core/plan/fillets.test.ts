import { operationsOf, planned, runOf, step } from '../testing';
import { startValues } from '../model/shop/startValues';
import { withWalkedFillets } from './fillets';

/** A foot of ⌀60 with a boss of ⌀24, and a fillet between them. */
const foot = (size: number) =>
  runOf(
    {
      material: 'mild-steel',
      outside: [step(24, 14), step(60, 14)],
      details: [{ kind: 'radius', at: 14, size, form: 'fillet' }],
    },
    { quantity: 4, way: 'sawn-blanks' },
  );

test('one that no nose leaves is a form on a step as high as it is, by hand: 10 long, then ⌀32 to the shoulder', () => {
  const { run } = planned(foot(4));
  const part = withWalkedFillets(run.part, run.shop);
  expect(part.steps.map(({ diameter, zFrom, zTo }) => [diameter.nominal, zFrom, zTo])).toEqual([
    [24, 0, 10],
    [32, 10, 14],
    [60, 14, 28],
  ]);
  expect(withWalkedFillets(part, run.shop)).toEqual(part);
});

test('one that a nose leaves stays with the finish of its step', () => {
  const { run } = planned(foot(0.4));
  expect(withWalkedFillets(run.part, run.shop)).toBe(run.part);
});

test('it is walked in steps and blended, and never left out', () => {
  const plan = planned(foot(4));
  const walked = plan.setups.flatMap(({ operations }) => operations).find(({ kind }) => kind === 'form');
  // A quarter of 2 π · 4 is 6.28 long, and a step leaves 0.2: 16 of them, and the file.
  expect(startValues.cutting.formScallop).toBe(0.2);
  expect(walked?.passes).toHaveLength(Math.ceil((Math.PI * 2) / 0.4) + 1);
  expect(walked?.makes).toEqual(['part.details[0]']);
  expect(plan.doubts.filter(({ rule }) => rule === 'NO-OPERATION')).toEqual([]);
  expect(plan.proof.faults).toEqual([]);
});

test('behind a collar, looking the other way, it is walked from there', () => {
  const back = runOf(
    {
      material: 'mild-steel',
      outside: [step(60, 14), step(24, 14)],
      details: [{ kind: 'radius', at: 14, size: 4, form: 'fillet' }],
    },
    { quantity: 4, way: 'sawn-blanks' },
  );
  expect(operationsOf(back).find(({ kind }) => kind === 'form')?.end).toBe('back');
  expect(planned(back).proof.faults).toEqual([]);
});
