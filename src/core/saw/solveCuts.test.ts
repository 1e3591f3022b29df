import loadHighs, { type Highs } from 'highs';
import type { Problem } from '../model/result';
import { fitting, taken, type CutList, type Cuts, type SawBar, type SawPiece, type Take } from './cutList';
import { pack, packFreely } from './knapsack';
import { thirteenLengths, threeToABar, triplets } from './hardLists';
import { numbers } from './numbers';
import { solveCuts } from './solveCuts';

let highs: Highs;
beforeAll(async () => {
  highs = await loadHighs({});
});

const bar = (length: number, count: number | null = null, more: Partial<SawBar> = {}): SawBar => ({
  label: `bar ${length}`,
  length,
  count,
  endWaste: 0,
  offcut: false,
  ...more,
});
const piece = (length: number, count: number, label = `p${length}`): SawPiece => ({ length, count, label });

/** Pieces turned from the bar: each of their lengths loses 70, and the spindle takes 1200. */
const turned = (pitch: number, count: number, label: string, longest = 1200): SawPiece => ({
  ...piece(pitch, count, label),
  turned: { lost: 70, longest },
});

const solve = (list: CutList): Cuts => {
  const cuts = solveCuts(list, highs);
  if (!cuts.ok) throw new Error(JSON.stringify(cuts.problems));
  return cuts.value;
};
const problemOf = (list: Partial<CutList>): Problem | undefined => {
  const cuts = solveCuts({ kerf: 2, bars: [bar(1000)], pieces: [piece(100, 1)], ...list }, highs);
  return cuts.ok ? undefined : cuts.problems[0];
};

/** Every piece is sawn as often as asked, every bar holds what is sawn from it, none is used more often than it is there. */
function check(list: CutList, { patterns, barsOpened, lowerBound }: Cuts): void {
  const sawn = new Map<string, number>();
  const used = new Map<string, number>();
  for (const { bar: label, times, pieces, remnant, barLength } of patterns) {
    const sawBar = list.bars.find((other) => other.label === label && other.length === barLength);
    if (!sawBar) throw new Error(`no bar ${label}`);
    used.set(label, (used.get(label) ?? 0) + times);
    // What the saw cuts: blanks, and lengths for the lathe.
    const cuts = pieces.flatMap(({ length, count, from }) => from ?? [{ length, pieces: 1, times: count }]);
    const many = cuts.reduce((total, cut) => total + cut.times, 0);
    const long = cuts.reduce((total, cut) => total + cut.length * cut.times, 0);
    expect(long + (many - 1) * list.kerf).toBeLessThanOrEqual(barLength - sawBar.endWaste + 1e-6);
    expect(remnant).toBeCloseTo(Math.max(0, barLength - sawBar.endWaste - long - many * list.kerf), 3);
    expect(cuts.reduce((total, cut) => total + cut.pieces * cut.times, 0)).toBe(
      pieces.reduce((total, { count }) => total + count, 0),
    );
    for (const { label: name, count } of pieces) sawn.set(name, (sawn.get(name) ?? 0) + count * times);
  }
  for (const { label, count } of list.pieces) expect([label, sawn.get(label)]).toEqual([label, count]);
  for (const { label, count } of list.bars) if (count !== null) expect(used.get(label) ?? 0).toBeLessThanOrEqual(count);
  expect(barsOpened).toBeGreaterThanOrEqual(lowerBound);
}

/** No clock. */
const untimed = { enough: () => false, over: () => false, wholeNumberSeconds: () => 0.6 };

/** Bars sawn up without any waste: as many are needed, and not one fewer. */
function withoutWaste(seed: number, bars: number, kinds: number, length: number, kerf: number): CutList {
  const random = numbers(seed);
  const sizes = Array.from({ length: kinds }, () => Math.round(300 + random() * 5000) / 10);
  const counts = new Map<number, number>();
  const add = (size: number) => counts.set(size, (counts.get(size) ?? 0) + 1);
  for (let bar = 0; bar < bars; bar++) {
    let left = length + kerf;
    for (;;) {
      const size = sizes[Math.floor(random() * kinds)] ?? 0;
      if (left - size - kerf < 30 + kerf) break;
      add(size);
      left = Number((left - size - kerf).toFixed(4));
    }
    // Exactly what is left, so that nothing of the bar is.
    add(Number((left - kerf).toFixed(4)));
  }
  return { kerf, bars: [bar(length)], pieces: [...counts].map(([size, count]) => piece(size, count)) };
}

test('trade: Reference figures: 108 blanks of 26 from 3 m with a kerf of 1.6, and one more wants a second bar', () => {
  const list = { kerf: 1.6, bars: [bar(3000)], pieces: [piece(26, 108)] };
  const cuts = solve(list);
  expect(cuts).toMatchObject({ barsOpened: 1, lowerBound: 1, proven: true });
  // 3000 − 108 · 27.6 = 19.2, short of another 26.
  expect(cuts.patterns[0]?.remnant).toBeCloseTo(19.2, 6);
  expect(solve({ ...list, pieces: [piece(26, 109)] })).toMatchObject({ barsOpened: 2, lowerBound: 2, proven: true });
});

test('the last cut may be the end of the bar: ten of 100 and nine kerfs of 2 fill 1018', () => {
  expect(solve({ kerf: 2, bars: [bar(1018)], pieces: [piece(100, 10)] })).toMatchObject({ barsOpened: 1 });
  expect(solve({ kerf: 2, bars: [bar(1017.9)], pieces: [piece(100, 10)] })).toMatchObject({ barsOpened: 2 });
});

test('first fit takes three bars where two do', () => {
  // 6 + 4 twice in each; the longest first would put 6 and 6.
  const list = {
    kerf: 0,
    bars: [bar(100)],
    pieces: [piece(44, 2), piece(36, 2), piece(30, 2), piece(26, 1), piece(20, 1)],
  };
  // Need 44·2 + 36·2 + 30·2 + 26 + 20 = 266: three bars at least.
  const cuts = solve(list);
  expect(cuts).toMatchObject({ barsOpened: 3, lowerBound: 3, proven: true });
  check(list, cuts);
});

test.each([
  [1, 12, 6],
  [2, 25, 15],
  [3, 39, 30],
  [4, 60, 24],
])(
  'known answers: %i. instance, %i bars without waste, at most one more and the bound never above',
  (seed, bars, kinds) => {
    const list = withoutWaste(seed, bars, kinds, 3000, 1.6);
    let rounds = 0;
    const solved = solveCuts(list, highs, (progress) => (rounds = progress.rounds), {
      ...untimed,
      enough: () => rounds > 70,
      wholeNumberSeconds: () => 0.3,
    });
    if (!solved.ok) throw new Error(JSON.stringify(solved.problems));
    const cuts = solved.value;
    check(list, cuts);
    expect(cuts.lowerBound).toBeLessThanOrEqual(bars);
    expect(cuts.lowerBound).toBeGreaterThanOrEqual(bars - 1);
    expect(cuts.barsOpened).toBeLessThanOrEqual(bars + 1);
    expect(cuts.proven).toBe(cuts.barsOpened === cuts.lowerBound);
    expect(cuts.because === undefined).toBe(cuts.proven);
  },
);

describe('hard lists: many lengths, each wanted once or twice, about three to a bar', () => {
  /** The bound is that of the linear problem, looked for to its end. */
  const solved = (list: CutList) => {
    const cuts = solveCuts(list, highs, undefined, { ...untimed, wholeNumberSeconds: () => 0.2 });
    if (!cuts.ok) throw new Error(JSON.stringify(cuts.problems));
    check(list, cuts.value);
    return cuts.value;
  };

  test.each([1, 2, 3, 4, 5, 6, 7, 8])('never more than one bar above the bound: list %i', (seed) => {
    const { barsOpened, lowerBound } = solved(threeToABar(seed * 31, 18 + 6 * seed));
    expect(barsOpened - lowerBound).toBeLessThanOrEqual(1);
  });

  test.each([
    [1, 12],
    [2, 20],
    [3, 30],
  ])('every three pieces fill a bar: list %i, %i bars are enough and one more at most is opened', (seed, bars) => {
    const { barsOpened, lowerBound } = solved(triplets(seed, bars));
    expect(lowerBound).toBe(bars);
    expect(barsOpened).toBeLessThanOrEqual(bars + 1);
  });

  test('thirteen lengths of the textbooks: 73 bars, proven', () => {
    // 73 is known to be the fewest: the metal alone wants 72.65.
    expect(solved(thirteenLengths)).toMatchObject({ barsOpened: 73, lowerBound: 73, proven: true });
  });
});

test('offcuts first: what they give is not sawn from a new bar', () => {
  const list = {
    kerf: 2,
    bars: [bar(3000), bar(400, 2, { label: 'offcut', offcut: true })],
    pieces: [piece(120, 6)],
  };
  const cuts = solve(list);
  expect(cuts).toMatchObject({ barsOpened: 0, lowerBound: 0, proven: true });
  expect(cuts.patterns.map(({ bar: label }) => label)).toEqual(['offcut']);
  // Seven pieces are one more than both offcuts give; then the new bar is opened, and no more than it.
  const more = { ...list, pieces: [piece(120, 7)] };
  expect(solve(more)).toMatchObject({ barsOpened: 1, lowerBound: 1, proven: true });
});

test('of bars that do as well the shorter is opened', () => {
  const cuts = solve({ kerf: 2, bars: [bar(3000), bar(2000)], pieces: [piece(190, 10)] });
  expect(cuts.patterns).toEqual([expect.objectContaining({ barLength: 2000, times: 1 })]);
});

test('pieces of one length keep their own labels', () => {
  const cuts = solve({ kerf: 2, bars: [bar(1000)], pieces: [piece(90, 4, 'WS-210'), piece(90, 3, 'WS-150')] });
  expect(cuts.patterns[0]?.pieces).toEqual([
    { label: 'WS-210', length: 90, count: 4 },
    { label: 'WS-150', length: 90, count: 3 },
  ]);
});

test('the end of a bar that is no good is not sawn', () => {
  const list = { kerf: 2, bars: [bar(1000, null, { endWaste: 60 })], pieces: [piece(98, 10)] };
  expect(solve(list)).toMatchObject({ barsOpened: 2 });
  check(list, solve(list));
});

describe('pieces turned from the bar', () => {
  test('trade: Reference figures: 116 of pitch 25.3 from 3 m, of which 60 stay in the chuck; no kerf between them', () => {
    const list = (count: number) => ({
      kerf: 2,
      bars: [bar(3000)],
      pieces: [{ ...piece(25.3, count), turned: { lost: 60, longest: 3000 } }],
    });
    const cuts = solve(list(116));
    expect(cuts).toMatchObject({ barsOpened: 1, lowerBound: 1, proven: true });
    // 60 + 116 · 25.3 = 2994.8; a kerf of 2 more, and 3.2 are left.
    expect(cuts.patterns[0]).toMatchObject({
      pieces: [{ count: 116, from: [{ length: 2994.8, pieces: 116, times: 1 }] }],
      remnant: 3.2,
    });
    expect(solve(list(117))).toMatchObject({ barsOpened: 2, lowerBound: 2, proven: true });
  });

  test('a bar longer than the spindle takes is sawn, and every length of it holds its own end', () => {
    // (1200 − 70) / 25 = 45.2: 45 of a length of 1195. Two such and their kerfs leave 3000 − 2 · 1197 = 606, and
    // (606 − 70) / 25 = 21.4 more: 111 pieces of a bar.
    const list = (count: number) => ({ kerf: 2, bars: [bar(3000)], pieces: [turned(25, count, 'WS-1')] });
    const cuts = solve(list(111));
    expect(cuts).toMatchObject({ barsOpened: 1, lowerBound: 1 });
    expect(cuts.patterns[0]?.pieces[0]?.from).toEqual([
      { length: 1195, pieces: 45, times: 2 },
      { length: 595, pieces: 21, times: 1 },
    ]);
    expect(solve(list(112)).barsOpened).toBe(2);
  });

  test('what one run leaves of a bar is sawn into the blanks of another', () => {
    // Turned: 70 + 40 · 25 = 1070 and a kerf; sawn: 19 · (98 + 2) = 1900. Together 2972 of 3000.
    const list = { kerf: 2, bars: [bar(3000)], pieces: [turned(25, 40, 'WS-1'), piece(98, 19, 'WS-2')] };
    const cuts = solve(list);
    expect(cuts).toMatchObject({ barsOpened: 1, lowerBound: 1, proven: true });
    check(list, cuts);
  });

  test('two runs do not share the length in the lathe, however alike their pieces', () => {
    const list = { kerf: 2, bars: [bar(1000)], pieces: [turned(25, 16, 'WS-1'), turned(25, 16, 'WS-2')] };
    const cuts = solve(list);
    check(list, cuts);
    // Each 70 + 16 · 25 = 470; with a kerf of 2 both fill 944.
    expect(cuts.patterns[0]?.pieces.map(({ label, from }) => [label, from?.[0]?.length])).toEqual([
      ['WS-1', 470],
      ['WS-2', 470],
    ]);
    // Shared, 36 pieces would go on one bar (70 + 36 · 25 = 970); apart they do not: 2 · 72 + 900 > 1002.
    const more = { ...list, pieces: [turned(25, 18, 'WS-1'), turned(25, 18, 'WS-2')] };
    expect(solve(more).barsOpened).toBe(2);
  });

  test('mixed lists: every piece once, within the bars, and at most one bar above the bound', () => {
    for (const seed of [11, 12, 13]) {
      const random = numbers(seed);
      const pieces = Array.from({ length: 14 }, (_, index) => {
        const length = Math.round(150 + random() * 900) / 10;
        const count = 10 + Math.floor(random() * 80);
        return index % 2 ? piece(length, count, `s${index}`) : turned(length, count, `t${index}`);
      });
      const list = { kerf: 1.6, bars: [bar(3000), bar(700, 2, { offcut: true, label: 'offcut' })], pieces };
      let rounds = 0;
      const solved = solveCuts(list, highs, (progress) => (rounds = progress.rounds), {
        ...untimed,
        enough: () => rounds > 40,
        wholeNumberSeconds: () => 0.3,
      });
      if (!solved.ok) throw new Error(JSON.stringify(solved.problems));
      const cuts = solved.value;
      check(list, cuts);
      expect(cuts.barsOpened - cuts.lowerBound).toBeLessThanOrEqual(1);
    }
  });
});

test.each([
  [
    'a piece longer than every bar',
    { pieces: [piece(100, 1), piece(1200, 1)] },
    'pieces[1].length',
    'longer than any bar gives (1000 mm)',
  ],
  ['no bars', { bars: [] }, 'bars', 'nothing to saw from'],
  ['no bars left', { bars: [bar(1000, 0)] }, 'bars', 'no bars are left'],
  ['no pieces', { pieces: [] }, 'pieces', 'nothing to saw'],
  ['none of a piece', { pieces: [piece(100, 0)] }, 'pieces[0].count', '1 or more'],
  ['half a piece', { pieces: [piece(100, 1.5)] }, 'pieces[0].count', 'whole number'],
  ['more than anybody saws', { pieces: [piece(1, 200_000)] }, 'pieces', 'see whether a count is wrong'],
  ['a kerf below nothing', { kerf: -1 }, 'kerf', 'less than nothing'],
  [
    'an end longer than its bar',
    { bars: [bar(100, null, { endWaste: 100 })] },
    'bars[0].endWaste',
    'less than the bar',
  ],
  [
    'a spindle that takes no piece',
    { pieces: [{ ...piece(100, 1), turned: { lost: 70, longest: 150 } }] },
    'pieces[0].turned',
    'gives no piece',
  ],
  [
    'a turned piece and its grip longer than every bar',
    { pieces: [{ ...piece(960, 1), turned: { lost: 70, longest: 2000 } }] },
    'pieces[0].length',
    'the 70 mm that the chuck holds',
  ],
  ['too few bars', { bars: [bar(1000, 1)], pieces: [piece(600, 3)] }, 'bars', 'are too few'],
  ['bars that do on paper only', { bars: [bar(1000, 2)], pieces: [piece(640, 3)] }, 'bars', 'are too few'],
] as const)('%s is refused', (_, list, path, words) => {
  expect(problemOf(list as Partial<CutList>)).toMatchObject({ path, message: expect.stringContaining(words) });
});

test('it tells how far it is, and what is found when it is stopped still holds', () => {
  const list = withoutWaste(7, 40, 40, 3000, 1.6);
  const told: number[] = [];
  const cuts = solveCuts(list, highs, ({ rounds }) => told.push(rounds), {
    ...untimed,
    enough: () => told.length > 3,
    wholeNumberSeconds: () => 0.2,
  });
  if (!cuts.ok) throw new Error('must be sawn');
  expect(told.length).toBeGreaterThan(0);
  expect(cuts.value.lowerBound).toBeLessThanOrEqual(40);
  check(list, cuts.value);
});

describe('packing against every combination', () => {
  const plain = (each: number): Take => ({ each, start: 0, perLength: 1 });
  test.each([
    ['blanks', [plain(4), plain(3), plain(2)]],
    // From the bar: two of a length that loses 3, and one after the other of a length that loses 1.
    ['blanks and turned pieces', [{ each: 2, start: 3, perLength: 2 }, plain(3), { each: 1, start: 1, perLength: 9 }]],
  ])('%s', (_, takes) => {
    const [values, bounds] = [
      [5, 4, 2],
      [3, 2, 3],
    ];
    const brute = (room: number, most: number[]) => {
      let best = 0;
      for (let a = 0; a <= (most[0] ?? 0); a++)
        for (let b = 0; b <= (most[1] ?? 0); b++)
          for (let c = 0; c <= (most[2] ?? 0); c++) {
            const used = [a, b, c].reduce((total, many, item) => total + taken(takes[item] as Take, many), 0);
            if (used <= room) best = Math.max(best, 5 * a + 4 * b + 2 * c);
          }
      return best;
    };
    const [packed, free] = [pack(values, takes, bounds, 20), packFreely(values, takes, 20)];
    for (let room = 0; room <= 20; room++) {
      expect(packed.valueAt(room)).toBe(brute(room, bounds));
      expect(free.valueAt(room)).toBe(brute(room, [20, 20, 20]));
      const counts = packed.countsAt(room);
      expect(counts.reduce((total, count, item) => total + count * (values[item] ?? 0), 0)).toBe(packed.valueAt(room));
      expect(counts.every((count, item) => count <= (bounds[item] ?? 0))).toBe(true);
    }
    for (const take of takes)
      for (let room = 0; room <= 20; room++) {
        const many = fitting(take, room);
        expect(taken(take, many)).toBeLessThanOrEqual(room);
        expect(taken(take, many + 1)).toBeGreaterThan(room);
      }
  });
});
