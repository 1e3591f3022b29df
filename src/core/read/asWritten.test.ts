import { planned, problemsOf, runOf, step } from '../testing';
import { readRun } from './readRun';
import { startValues } from '../model/shop/startValues';
import type { RunFile } from './runFile';

/** What people write in other fields than sizes, and what is understood. */
const run = (file: RunFile) => {
  const read = readRun(file, startValues);
  return read.ok ? read.value : read.problems.map(({ path, message }) => `${path}: ${message}`).join('; ');
};
const quantity = (entry: string) => {
  const read = run(runOf({}, { quantity: entry }));
  return typeof read === 'string' ? read : read.quantity;
};

test.each([
  ['20', 20],
  ['1,000', 1000],
  ['12 000', 12_000],
  ['20 pcs', 20],
  ['20 off', 20],
  ['20×', 20],
  ['1 piece', 1],
] as const)('a quantity of “%s” is %d', (entry, pieces) => {
  expect(quantity(entry)).toBe(pieces);
});

test.each(['1,5', '2.5', '1.000', 'a few', '10,00'])('“%s” is no quantity', (entry) => {
  expect(quantity(entry)).toContain('whole number');
});

test.each([
  ['10 %', 100, 10],
  ['2.5%', 100, 3],
  ['4', 100, 4],
] as const)('spares of “%s” for %d are %d', (spares, pieces, expected) => {
  const read = run(runOf({}, { quantity: pieces, spares }));
  expect(typeof read === 'string' ? read : read.spares).toBe(expected);
});

test.each([
  ['N7', 1.6],
  ['N6', 0.8],
  ['n9', 6.3],
  ['Ra 1.6', 1.6],
  ['1,6', 1.6],
] as const)('a roughness of “%s” is Ra %d', (roughness, ra) => {
  const read = run(runOf({ outside: [step(10, 20, { roughness })] }));
  expect(typeof read === 'string' ? read : read.part.steps[0]?.roughness).toBe(ra);
});

test.each([
  ['M10-6g', 'M10-6g', undefined, '6g'],
  ['M10 LH', 'M10 LH', 'left', undefined],
  ['M10x1 LH-6g', 'M10x1 LH-6g', 'left', '6g'],
  ['M 10 × 1 - 6g', 'M10x1-6g', undefined, '6g'],
  ['3/8-16 UNC-2A', '3/8-16-2A', undefined, '2A'],
  ['3/8-16 UNC 2A LH', '3/8-16 LH-2A', 'left', '2A'],
] as const)('a thread “%s” is %s', (designation, name, hand, of) => {
  const diameter = designation.startsWith('M') ? 10 : 9.525;
  const read = run(
    runOf({
      outside: [step(diameter, 20), step(16, 8)],
      details: [{ kind: 'thread', at: 0, length: 12, designation, runOut: 3 }],
    }),
  );
  const thread = typeof read === 'string' ? read : read.part.features.find(({ kind }) => kind === 'thread')?.thread;
  expect(thread).toMatchObject({ designation: name });
  expect(typeof thread === 'object' ? [thread.hand, thread.of] : thread).toEqual([hand, of]);
});

test('a class of a nut on a bolt is refused with what it can be', () => {
  const read = run(
    runOf({
      outside: [step(10, 20), step(16, 8)],
      details: [{ kind: 'thread', at: 0, length: 12, designation: 'M10-6H', runOut: 3 }],
    }),
  );
  expect(read).toContain('6H is a nut’s class');
});

test.each([
  ['1', 1],
  ['C1', 1],
  ['1x45', 1],
  ['1 x 45°', 1],
  ['0.5×45°', 0.5],
] as const)('a chamfer of “%s” is %d at 45°', (front, size) => {
  const { setups } = planned(runOf({ outside: [step(10, 20, { chamfers: { front } })] }));
  const found = setups.flatMap(({ operations }) => operations).find(({ kind }) => kind === 'chamfer');
  expect(found?.name).toContain(`${size} mm × 45°`);
});

test('a chamfer of another angle has its length along the axis, as a detail has', () => {
  const read = run(runOf({ outside: [step(10, 20, { chamfers: { front: '1x30' } })] }));
  expect(typeof read === 'string' ? read : read.part.features.map(({ name }) => name)).toEqual(['chamfer 1 mm × 30°']);
});

describe('a fit of the other side is asked', () => {
  test.each([
    [{ outside: [step('16 H7', 20)] }, 'part.outside[0].diameter', /H7 is for a hole: on an outside it is h7/],
    [
      {
        outside: [step(16, 20)],
        bores: [{ from: 'front' as const, shape: 'ream' as const, diameter: '5 h7', depth: 8 }],
      },
      'part.bores[0].diameter',
      /h7 is for a shaft: in a hole it is H7/,
    ],
    [
      {
        outside: [step(16, 20)],
        bores: [{ from: 'front' as const, shape: 'drill' as const, diameter: '5 js7', depth: 8 }],
      },
      'part.bores[0].diameter',
      /JS7/,
    ],
  ])('%j', (part, path, message) => {
    const [problem] = problemsOf(runOf(part));
    expect(problem).toMatchObject({ path, message: expect.stringMatching(message) });
  });
});
