import type { HoleFile, PartFile, RunFile } from '../../read/runFile';
import { doubtsOf, only, operationsOf, planned, runOf, step } from '../../testing';

const fromBar = { way: 'from-bar' as const };
const outside = [step(22, 30)];
const bored = (bores: HoleFile[], part: Partial<PartFile> = {}) => runOf({ outside, bores, ...part }, fromBar);
const front = { from: 'front' as const };

const drilled = (file: RunFile) =>
  operationsOf(file)
    .filter(({ kind }) => kind === 'drill')
    .map(({ name, fullDepth, to }) => [name, fullDepth, Number(to.toFixed(3))]);

describe('boring', () => {
  test('blind and flat: drilled so that the point stays above the bottom, then bored', () => {
    const file = bored([{ ...front, shape: 'bore', diameter: '16 H8', depth: 12, bottom: 'flat' }]);
    // Aim 16.0135; 0.15 a side for the last cut leaves 15.71, and the largest drill is 15. Its point is 4.507 long, and its
    // tip stops 0.2 short of the floor.
    expect(drilled(file)).toEqual([['Drill ⌀15 for the boring bar', expect.closeTo(11.8 - 4.506, 3), 11.8]]);
    const found = only(file, 'bore');
    // To the middle in ⌀15: the back of the bar of 8 lies (10 − 8) / 2 + 8 = 9 behind its edge, that of 5 only 5.75.
    expect(found.tool.id).toBe('boring-bar-5');
    // The cone, from 7.294 to 12, in ten layers of at most 0.5; then 0.5068 a side: a roughing cut of 0.3568, and 0.15.
    const depths = found.passes.map(({ depth }) => Number(depth.toFixed(4)));
    expect(depths).toEqual([...Array.from({ length: 10 }, () => 0.4706), 0.3568, 0.15]);
    expect(found.passes.at(-1)?.diameter).toBeCloseTo(16.0135, 9);
    expect(found.passes.at(-1)?.note).toContain('spindle stopped');
    expect(doubtsOf(file)).toEqual([]);
  });

  test('the hole of the drawing serves, if the bar goes in', () => {
    const file = bored([
      { ...front, shape: 'drill', diameter: 10, depth: 'through' },
      { ...front, shape: 'bore', diameter: '14 H8', depth: 8 },
    ]);
    expect(drilled(file)).toHaveLength(1);
    expect(only(file, 'bore').tool.id).toBe('boring-bar-8');
    // A through hole of 3 is too narrow for any bar: another is drilled for it, as deep as the bore.
    const narrow = bored([
      { ...front, shape: 'drill', diameter: 3, depth: 'through' },
      { ...front, shape: 'bore', diameter: '14 H8', depth: 8 },
    ]);
    expect(drilled(narrow).map(([name]) => name)).toEqual(['Drill ⌀3 through', 'Drill ⌀13 for the boring bar']);
  });

  test('deeper than every bar reaches, it stays undone and is told', () => {
    // The bar of ⌀12 is got longer to six of its diameters, 72.
    const long = (depth: number) =>
      bored([{ ...front, shape: 'bore', diameter: 18, depth }], { outside: [step(24, depth + 10)] });
    expect(doubtsOf(long(72))).toEqual([]);
    expect(planned(long(75)).doubts).toMatchObject([
      {
        rule: 'NO-OPERATION',
        path: 'part.bores[0]',
        because: expect.stringContaining('no bar that goes in reaches 75 mm') as string,
      },
    ]);
  });

  test('a thin bar far out in a close bore gives way, and says so', () => {
    // The bar of 8, 29 + 2 out. So close a bore has its last 0.15 in two equal cuts: 0.075 at 0.08 with kc
    // 600 · 0.08^−0.2 = 994 is 5.97 N, 0.4 of it 2.39 N; 2 · 64 · 2.39 · 31³ / (3 π · 210000 · 8⁴) = 0.0011 mm.
    const close = bored(
      [
        { ...front, shape: 'drill', diameter: 10, depth: 30 },
        { ...front, shape: 'bore', diameter: { size: 11, limits: [0, 0.003] }, depth: 29 },
      ],
      { outside: [step(22, 40)] },
    );
    expect(only(close, 'bore').warnings[0]).toContain('deflects by about 0.001 mm');
    const open = bored(
      [
        { ...front, shape: 'drill', diameter: 10, depth: 30 },
        { ...front, shape: 'bore', diameter: { size: 11, limits: [0, 0.02] }, depth: 29 },
      ],
      { outside: [step(22, 40)] },
    );
    expect(only(open, 'bore').warnings.filter((words) => words.includes('deflects'))).toEqual([]);
  });

  test('from the back in the set-up that sees the back', () => {
    const file = bored([{ from: 'back', shape: 'bore', diameter: 12, depth: 6 }]);
    expect(only(file, 'bore')).toMatchObject({ end: 'back', to: 6 });
  });
});

describe('tapping', () => {
  test('M6 × 12 in a blind hole: drilled 5, three pitches deeper; in and out at the pitch', () => {
    const file = bored([{ ...front, shape: 'tap', designation: 'M6', depth: 12 }]);
    expect(drilled(file)).toEqual([['Drill ⌀5 for M6', 15, expect.closeTo(15 + 1.502, 3)]]);
    const found = only(file, 'tap');
    expect(found.feed.value).toBe(1);
    // 75 · 0.25 over ⌀6 is 995 rev/min; taps run at most at 200, the machine has 160: (12 + 12 + 2) / 160.
    expect(found.speed.value).toBe(160);
    expect(found.cutting.value).toBeCloseTo(26 / 160, 9);
    // Go and no-go: no limits are made up for it.
    expect(found.checks[0]).toMatchObject({ what: 'thread M6', gauge: { name: 'thread gauge', fineEnough: true } });
    expect(found.checks[0]).not.toHaveProperty('size');
  });

  // d − P, and the next drill of the list where none is just that wide.
  test.each([
    ['M2.5', '⌀2.1'],
    ['M8', '⌀6.8'],
    ['M12', '⌀10.319'],
    ['1/4-20', '⌀5.1'],
    ['10-32', '⌀4.1'],
    ['5/16-18', '⌀6.6'],
  ])('%s blind: its core is a little wider than d − P, and the proof bears it out', (designation, drill) => {
    const plan = planned(bored([{ ...front, shape: 'tap', designation, depth: 8 }]));
    const operations = plan.setups.flatMap(({ operations: done }) => done.map(({ name }) => name));
    expect(operations).toContain(`Drill ${drill} for ${designation}`);
    expect(plan.proof.passed).toBe(true);
  });

  test('a hole of the drawing that is only as deep as the thread: a bottoming tap', () => {
    const file = bored([
      { ...front, shape: 'drill', diameter: 5, depth: 13 },
      { ...front, shape: 'tap', designation: 'M6', depth: 12 },
    ]);
    expect(drilled(file)).toHaveLength(1);
    expect(only(file, 'tap').warnings[0]).toContain('1 mm deeper than the thread, and the lead of the tap is 3 mm');
  });

  test('a tap that is not there is one to get; what is far beyond those of the list is cut by a tool', () => {
    const tapped = (designation: string) =>
      bored([{ ...front, shape: 'tap', designation, depth: 12 }], { outside: [step(34, 40)] });
    expect(only(tapped('M7x1'), 'tap').tool).toMatchObject({ name: 'tap M7x1, to get', toGet: true });
    expect(doubtsOf(tapped('M7x1'))).toEqual([]);
    // The largest is M16; a quarter more is 20.
    expect(doubtsOf(tapped('M24'))).toEqual([]);
    expect(only(tapped('M24'), 'inner-thread').name).toBe('Thread M24 inside');
  });
});

describe('conical bores', () => {
  const conical = (included: number) =>
    bored([{ ...front, shape: 'cone', small: 10, depth: 8, included }], { outside: [step(30, 30)] });

  test('a pilot that the bar goes into, then the compound at half of the angle', () => {
    const file = conical(40);
    expect(drilled(file)).toEqual([['Drill ⌀10 for the conical bore', 8, expect.closeTo(8 + 3.004, 3)]]);
    const found = only(file, 'taper');
    expect(found.compound).toBeCloseTo(20, 6);
    expect(found.tool.id).toBe('boring-bar-8');
    // 8 · tan 20° = 2.912 a side: 2.762 in six of 0.46, and 0.15.
    expect(found.passes).toHaveLength(7);
    expect(found.passes[0]?.note).toContain('compound at 20.00° from the axis');
    expect(doubtsOf(file)).toEqual([]);
  });

  test('a shallow one with a blind pilot: out again the bar goes straight back, clear of the point that the drill left', () => {
    const file = runOf(
      {
        material: 'free-cutting-steel',
        outside: [step(36, 40)],
        bores: [{ from: 'front', shape: 'cone', mouth: 24, small: 20, depth: 32 }],
      },
      { way: 'sawn-blanks' },
    );
    const path = only(file, 'taper').passes.at(-1)?.path ?? [];
    const back = path.findIndex(({ by }) => by === 'rapid');
    expect(path[back]?.r).toBe(path[back - 1]?.r);
    expect(planned(file).proof.faults).toEqual([]);
  });

  test('at the angle of a countersink that is wide enough, that does it', () => {
    const file = conical(60);
    expect(operationsOf(file).some(({ kind }) => kind === 'taper')).toBe(false);
    // 10 + 2 · 8 · tan 30° = 19.24.
    expect(only(file, 'countersink').name).toBe('Countersink ⌀19.238 × 60°');
  });
});

describe('grooves in a bore', () => {
  test('after the bore, with a tool that goes in through it', () => {
    const file = bored([
      { ...front, shape: 'bore', diameter: 14, depth: 15 },
      { ...front, shape: 'groove', at: 6, width: 2.5, bottom: 16 },
    ]);
    const found = only(file, 'inner-groove');
    expect(found).toMatchObject({ from: 6, to: 8.5, diameter: 16 });
    expect(found.tool.width).toBe(2);
    // 2.5 with 2: two plunges and along the bottom.
    expect(found.passes).toHaveLength(3);
    const order = operationsOf(file).map(({ kind }) => kind);
    expect(order.indexOf('inner-groove')).toBeGreaterThan(order.indexOf('bore'));
    expect(doubtsOf(file)).toEqual([]);
  });

  test('deeper than the tool reaches into the wall is told', () => {
    const file = bored([
      { ...front, shape: 'bore', diameter: 12, depth: 15 },
      { ...front, shape: 'groove', at: 6, width: 1, bottom: 16 },
    ]);
    expect(doubtsOf(file)).toEqual(['NO-OPERATION part.bores[1]']);
  });
});

test('the chain of a hole: drill, bore, groove, sunk, reamed, each once and in this order', () => {
  const file = bored([
    { ...front, shape: 'ream', diameter: '8 H7', depth: 'through' },
    { ...front, shape: 'counterbore', diameter: 14, depth: 8 },
    { ...front, shape: 'groove', at: 3, width: 2, bottom: 16 },
    { ...front, shape: 'countersink', mouth: 15, included: 90 },
  ]);
  const order = planned(file).setups[0]?.operations.map(({ kind }) => kind) ?? [];
  const chain = ['drill', 'counterbore', 'inner-groove', 'ream'];
  const places = chain.map((kind) => order.indexOf(kind));
  expect(places.every((place) => place > 0)).toBe(true);
  expect(places).toEqual([...places].sort((a, b) => a - b));
  expect(order.indexOf('countersink')).toBeGreaterThan(order.indexOf('counterbore'));
  expect(order.filter((kind) => kind === 'drill')).toHaveLength(1);
});

describe('tapping by hand', () => {
  const tapped = (designation: string) =>
    runOf(
      { outside: [step(14, 20)], bores: [{ from: 'front', shape: 'tap', designation, depth: 6 }] },
      { way: 'from-bar' },
    );

  test('M3 by hand, the spindle stopped: twelve turns of 0.5 to 6 deep, 0.05 min each; M4 by the spindle', () => {
    const found = operationsOf(tapped('M3')).find(({ kind }) => kind === 'hand-tap');
    expect(found).toMatchObject({ name: 'Tap M3 by hand', speed: { value: 0 }, stop: { means: 'none' } });
    expect(found?.does).toEqual(['12 turns from where it bites; back half a turn in each to break the chip.']);
    expect(found?.hand.terms.find(({ name }) => name.includes('turns'))?.value).toBeCloseTo(0.6, 9);
    expect(operationsOf(tapped('M4')).map(({ kind }) => kind)).not.toContain('hand-tap');
  });

  test('after its drill, with nothing left undone', () => {
    const kinds = operationsOf(tapped('M3')).map(({ kind }) => kind);
    expect(kinds.indexOf('drill')).toBeLessThan(kinds.indexOf('hand-tap'));
    expect(planned(tapped('M3')).doubts).toEqual([]);
  });
});
