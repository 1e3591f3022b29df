import { only, operationsOf, planned, runOf, step } from '../testing';
import type { HoleFile } from './runFile';

const reamed = (diameter: string, more: HoleFile[] = []) =>
  runOf({
    outside: [step(65, 30)],
    bores: [...more, { from: 'front', shape: 'ream', diameter, depth: 'through' }],
  });

test('a reamed hole above every reamer that can be got is bored to its fit', () => {
  // H7 of ⌀45 is 0 to 0.025: its middle is 45.0125.
  const file = reamed('45 H7');
  expect(only(file, 'bore').diameter).toBeCloseTo(45.0125, 6);
  expect(planned(file).doubts.filter(({ rule }) => rule === 'NO-OPERATION')).toEqual([]);
});

test('so is one that a reamer fits and no drill goes before: from ⌀25 to ⌀30 H7 is too much', () => {
  const through: HoleFile = { from: 'front', shape: 'drill', diameter: 25, depth: 'through' };
  expect(operationsOf(reamed('30 H7', [through])).map(({ kind }) => kind)).toContain('bore');
});

test('one that is in the list is reamed', () => {
  const kinds = operationsOf(reamed('12 H7')).map(({ kind }) => kind);
  expect([kinds.includes('ream'), kinds.includes('bore')]).toEqual([true, false]);
});

test('a reamer makes an H: F7, which begins 0.016 over ⌀14, and K7, which ends 0.006 over it, are bored; H8 is reamed', () => {
  // In the middle of H7 a reamed ⌀14 is 0.009 over.
  const kindsOf = (diameter: string) => operationsOf(reamed(diameter)).map(({ kind }) => kind);
  for (const diameter of ['14 F7', '14 K7']) expect(kindsOf(diameter)).not.toContain('ream');
  expect(kindsOf('14 H8')).toContain('ream');
  expect(planned(reamed('14 F7')).proof.faults).toEqual([]);
  // And no drill is got for a reamer that does not come.
  expect(operationsOf(reamed('14 F7')).filter(({ tool }) => tool.toGet)).toEqual([]);
});

describe('a bore right through that no bar reaches: 100 and what lies behind are more than six of ⌀16', () => {
  const long = (diameter: string) =>
    runOf(
      {
        material: 'mild-steel',
        outside: [step(30, 100)],
        bores: [{ from: 'front', shape: 'bore', diameter, depth: 'through' }],
      },
      { quantity: 3, way: 'sawn-blanks' },
    );

  test('is reamed, where a reamer makes its fit', () => {
    expect(only(long('22 H8'), 'ream').tool).toMatchObject({ diameter: 22, toGet: true });
    expect(planned(long('22 H8')).proof.faults).toEqual([]);
  });

  test('else it stays undone and is told; the hole of the tube that it is made from may be there', () => {
    const plan = planned(long('22 K7'));
    expect(plan.stock.bore).toBe(20);
    expect(plan.doubts).toMatchObject([
      { rule: 'NO-OPERATION', because: expect.stringContaining('no bar that goes in reaches 100 mm') as string },
    ]);
    expect(plan.proof.faults).toEqual([]);
  });
});
