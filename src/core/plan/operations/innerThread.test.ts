import type { HoleFile, PartFile, RunFile } from '../../read/runFile';
import { doubtsOf, only, operationsOf, planned, runOf, step } from '../../testing';
import { prove } from '../proof/prove';
import { writtenPlan } from '../written';

const front = { from: 'front' as const };
const thread = (designation: string, depth: number | 'through', more: Partial<HoleFile> = {}): HoleFile =>
  ({ ...front, shape: 'tap', designation, depth, ...more }) as HoleFile;

/** A body of ⌀44, since its bar passes no spindle sawn into blanks. */
const body = (length: number, bores: HoleFile[], part: Partial<PartFile> = {}): RunFile =>
  runOf({ outside: [step(44, length)], bores, ...part }, { way: 'sawn-blanks' });

const orderOf = (file: RunFile) => operationsOf(file).map(({ kind }) => kind);
const bored = (file: RunFile) => operationsOf(file).filter(({ kind }) => kind === 'bore');

describe('blind, in full metal', () => {
  // M30x1.5: the core is between 30 − 1.5 = 28.5 and 0.22 · 1.5 = 0.33 over it; aimed at 28.665.
  const file = body(40, [thread('M30x1.5', 15)]);

  test('the core is bored deeper by what the tool wants: two pitches, 3, or its last turn, 1.5, its side, 1.6, and 0.2', () => {
    const [core] = bored(file);
    expect(core).toMatchObject({ name: 'Bore ⌀28.67 for M30x1.5', makes: [], diameter: expect.closeTo(28.665, 9) });
    expect(core?.to).toBeCloseTo(15 + 1.5 + 1.6 + 0.2, 9);
    // What lies behind it nobody sees: it ends as the drill of 25 leaves it, its wall bored in (28.665 − 25) / 2 = 1.8325.
    expect(core?.passes.reduce((sum, { depth }) => sum + depth, 0)).toBeCloseTo(1.8325, 6);
    expect(only(file, 'inner-thread')).toMatchObject({ to: 15, goesOn: 1.5, makes: ['part.bores[0]'] });
  });

  test('from its core outwards, (30 − 28.665) / 2 = 0.6675 deep in 4 + 3 · 1.5 = 9 passes of equal chip, and one without infeed', () => {
    const { passes, gearing, tool } = only(file, 'inner-thread');
    const depths = passes.map(({ depth }) => depth);
    expect(tool).toMatchObject({ id: 'thread-60-inside-12-48', does: ['inner-thread'] });
    expect(depths.length).toBe(10);
    expect(depths[0]).toBeCloseTo(0.6675 / 3, 6);
    expect(depths[3]).toBeCloseTo((0.6675 * (2 - Math.sqrt(3))) / 3, 6);
    expect(depths.reduce((sum, depth) => sum + depth, 0)).toBeCloseTo(0.6675, 6);
    expect(passes.map(({ diameter }) => diameter).at(-1)).toBeCloseTo(30, 9);
    expect(gearing?.pitch).toBe(1.5);
    // Drawn out over a turn behind its end, towards the axis.
    const path = passes[0]?.path ?? [];
    expect(path.find(({ z }) => z === 16.5)).toMatchObject({ by: 'thread', r: expect.closeTo(28.665 / 2 - 0.6675, 6) });
  });

  test('drilled, bored, threaded, and proved', () => {
    const order = orderOf(file);
    expect(order.filter((kind) => ['drill', 'bore', 'inner-thread'].includes(kind)).slice(-3)).toEqual([
      'drill',
      'bore',
      'inner-thread',
    ]);
    expect(planned(file).proof.faults).toEqual([]);
  });

  test('the proof finds a core that is no deeper than its thread', () => {
    const plan = planned(file);
    const written = writtenPlan(plan);
    const short = {
      ...written,
      setups: written.setups.map((setup) => ({
        ...setup,
        operations: setup.operations.map((operation) =>
          ['drill', 'bore'].includes(operation.kind)
            ? {
                ...operation,
                passes: operation.passes.map(({ path = [], ...pass }) => ({
                  ...pass,
                  path: path.map((place) => ({ ...place, z: place.z > 10 ? place.z - 3.3 : place.z })),
                })),
              }
            : operation,
        ),
      })),
    };
    expect(prove(short, plan.run).faults.map(({ code }) => code)).toContain('thread-meets-more');
  });
});

describe('where its tool leaves', () => {
  test('in a groove down to its root: at its middle, two pitches wide, and nothing is bored deeper', () => {
    const file = body(40, [
      { ...front, shape: 'bore', diameter: 30.4, depth: 20 },
      thread('M32x1.5', 14),
      { ...front, shape: 'groove', at: 14, width: 4, bottom: 32.4 },
    ] as HoleFile[]);
    expect(only(file, 'inner-thread').to).toBeCloseTo(14 + 1.5, 9);
    // 30.4 is under 30.5, the least of its core.
    expect(bored(file).map(({ name, to }) => [name, to])).toEqual([
      ['Bore ⌀30.4', 20],
      ['Bore ⌀30.67 for M32x1.5', 14],
    ]);
  });

  test('in a bore that goes on and is hardly narrower: the last turns run out in that', () => {
    const file = body(30, [{ ...front, shape: 'bore', diameter: '28 H8', depth: 'through' }, thread('M30x1.5', 8)]);
    expect(bored(file).at(-1)).toMatchObject({ name: 'Bore ⌀28.67 for M30x1.5', to: 8 });
    expect(only(file, 'inner-thread')).toMatchObject({ to: 8, goesOn: 1.5 });
    expect(doubtsOf(file)).toEqual([]);
  });

  test('right through: behind the part, and its core as well', () => {
    const file = body(14, [thread('M30x1.5', 'through')]);
    const found = only(file, 'inner-thread');
    expect(found.to).toBeGreaterThanOrEqual(14);
    expect(bored(file)[0]?.to ?? 0).toBeGreaterThanOrEqual(found.to + 1.5);
    expect(planned(file).proof.faults).toEqual([]);
  });

  test('with 2 of metal behind it nowhere: it stays undone, its core is not bored, and what would do is told', () => {
    const file = body(17, [thread('M30x1.5', 15)]);
    expect(bored(file)).toEqual([]);
    expect(planned(file).doubts).toMatchObject([
      {
        rule: 'NO-OPERATION',
        because: expect.stringContaining(
          'no room to leave: a groove to ⌀30, 3 mm wide, at its end, or 4.5 mm of metal behind it',
        ) as string,
      },
    ]);
  });
});

test('a core that the drawing has is not bored again', () => {
  const file = body(30, [{ ...front, shape: 'bore', diameter: 28.6, depth: 'through' }, thread('M30x1.5', 8)]);
  expect(bored(file).map(({ name }) => name)).toEqual(['Bore ⌀28.6 through']);
  expect(doubtsOf(file)).toEqual([]);
});

test('of the left hand from its end to the mouth, fed in over its last turn', () => {
  const { passes, does } = only(
    body(40, [thread('M30x1.5', 15, { hand: 'left' } as Partial<HoleFile>)]),
    'inner-thread',
  );
  const along = (passes[0]?.path ?? []).filter(({ by }) => by === 'thread').map(({ z }) => z);
  expect(along).toEqual([15, -2]);
  expect(does?.[0]).toContain('Left-hand');
});

test('deeper than the tools of the list go, a longer one is got: 55 and four turns of 1.5 are 61, by steps of 5', () => {
  const { tool } = only(body(70, [thread('M36x1.5', 55)]), 'inner-thread');
  expect(tool).toMatchObject({ toGet: true, deep: 65, diameter: 12 });
});
