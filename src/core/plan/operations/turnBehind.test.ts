import fc from 'fast-check';
import { operationsOf, planned, runOf, step } from '../../testing';
import type { RunFile } from '../../read/runFile';

/** A spool: a recess between two flanges of 4. */
const spool = (bottom: number | string, length: number, over = 25, material = 'free-cutting-steel'): RunFile =>
  runOf({ material, outside: [step(over, 4), step(bottom, length), step(over, 4)] });

const kindsIn = (file: RunFile) =>
  operationsOf(file)
    .map(({ kind }) => kind)
    .filter((kind) => kind === 'groove' || kind === 'turn-behind');

describe('a wide recess', () => {
  const operations = operationsOf(spool(12, 20));
  const [groove, turned] = ['groove', 'turn-behind'].map((kind) => operations.find((one) => one.kind === kind));

  test('is opened at both ends by the blade and turned between', () => {
    // 6.5 deep, and 0.25 that may still be on the flange. The tool of nose 0.4 and 60° behind reaches back
    // 0.4 · (1 + sin 60°) + (6.75 − 0.4 · (1 − cos 60°)) / tan 60° = 0.746 + 3.782 = 4.528, and 0.3 clear of the wall.
    expect(turned?.from).toBeCloseTo(4 + 4.828, 3);
    // The blade of 4 at the other end; the tool runs out in the middle of that room.
    expect(turned?.to).toBeCloseTo(24 - 4 / 2, 6);
    expect(groove?.removal.outside?.map(({ z0, z1 }) => [z0, z1].map((z) => Number(z.toFixed(3))))).toEqual([
      [4, 8.828],
      [20, 24],
    ]);
    // Two plunges and along the bottom in the one, one in the other; each is told where its left edge goes in, 4 behind the right.
    expect(groove?.passes.map(({ wide, note }) => wide && note)).toEqual([
      'left edge 8.00',
      'left edge 8.83',
      undefined,
      'left edge 24.00',
    ]);
  });

  test('takes what is over the finish in equal cuts, and ends at its bottom', () => {
    const depths = turned?.passes.map(({ depth }) => depth) ?? [];
    expect(depths.reduce((total, depth) => total + depth, 0)).toBeCloseTo(6.5, 6);
    expect(depths.at(-1)).toBeCloseTo(0.25, 6);
    expect(new Set(depths.slice(0, -1).map((depth) => depth.toFixed(6))).size).toBe(1);
    expect(turned?.passes.at(-1)?.diameter).toBeCloseTo(12, 6);
  });

  test('is measured once, when it is turned', () => {
    expect(groove?.checks).toEqual([]);
    expect(turned?.checks.map(({ what }) => what)).toContain('groove bottom ⌀12');
  });
});

test('a narrow one is plunged: its ends alone take as many plunges', () => {
  // 10 wide: plunges at 0, 3 and 6. The room for the tool is 4.83, which takes two, and the other end one.
  expect(kindsIn(spool(12, 10))).toEqual(['groove']);
});

test('whatever a recess measures, no tool meets its walls', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 8, max: 22, noNaN: true }).map((bottom) => Number(bottom.toFixed(2))),
      fc.integer({ min: 6, max: 30 }),
      fc.constantFrom('free-cutting-steel', 'aluminium-6082'),
      (bottom, length, material) => planned(spool(bottom, length, 25, material)).proof.passed,
    ),
    { numRuns: 15 },
  );
});
