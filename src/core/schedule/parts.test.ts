import { answerDays, tryOrder } from './answer';
import { workTimeOf, type RunWish } from './days';
import { partNamed, toSchedule } from './fromRuns';
import { canSplit, leftOf, partId, partOn, partsOf, piecesOfFirstDay, sayPart } from './parts';
import { startDays } from './startDays';
import { asked, days, MONDAY, run } from './testing';

const made = run(1, 400).lathes?.[0];
if (!made || 'problem' in made) throw new Error('it can be made');
const [first, second] = partsOf(1, { at: 'pieces', from: [4] });
const [front, back] = partsOf(1, { at: 'setup', from: [2] });
if (!first || !second || !front || !back) throw new Error('there are two parts');

const wishing = (wish: Omit<RunWish, 'run'>) => days({ runs: [{ run: 1, ...wish }] });
const jobsOf = (wish: Omit<RunWish, 'run'>, more: Parameters<typeof run>[2] = {}) =>
  toSchedule([run(1, 400, more), run(2, 100)], wishing(wish), ['A', 'B'], MONDAY).jobs;

test('parts are known by their run: 12 and 12.1, as the same number that a file has', () => {
  expect([partId(12, 1), partId(3, 1), partId(12, 0), partId(7, 9)]).toEqual([JSON.parse('12.1'), 3.1, 12, 7.9]);
  expect(partsOf(12, undefined)).toEqual([{ id: 12, run: 12, index: 0, isLast: true }]);
});

test('by pieces each part is made ready whole, and has its share of the pieces', () => {
  expect([partOn(first, made, 10), partOn(second, made, 10)]).toMatchObject([
    { ready: 60, work: 160, pieces: 4 },
    { ready: 60, work: 240, pieces: 6 },
  ]);
});

test('spares go with the pieces: of 11 for 10 the first five have six, rounded', () => {
  const [half, other] = partsOf(1, { at: 'pieces', from: [5] });
  const pieces = [half, other].map((part) => part && partOn(part, { ...made, pieces: 11 }, 10).pieces);
  expect(pieces).toEqual([6, 5]);
});

test('by set-up each part makes its own ready, and has their minutes of every piece', () => {
  // 40 and 20 minutes of making ready; 3 and 1 of each piece, of 400.
  expect([partOn(front, made, 10), partOn(back, made, 10)]).toMatchObject([
    { ready: 40, work: 300, pieces: 10, setups: [{ number: 1 }] },
    { ready: 20, work: 100, pieces: 10, setups: [{ number: 2 }] },
  ]);
});

test('what is done is of the first pieces, or of the set-ups that it was done in, weighed by minutes', () => {
  // Six loaded: four of the first part's, a minute of four each; two of the second's six.
  const done = { load: 6 };
  expect([leftOf(first, made, 10, done), leftOf(second, made, 10, done)]).toEqual([1 - 4 / 16, 1 - 2 / 24]);
  // All ten turned, one of them turned round: of 30 minutes 20 are over, of ten one.
  const turned = { turn: 10, turn_round: 1 };
  expect(leftOf(front, made, 10, turned)).toBeCloseTo(1 / 3, 12);
  expect(leftOf(back, made, 10, turned)).toBeCloseTo(0.9, 12);
});

test('in words', () => {
  expect([first, second, front, back].map((part) => sayPart(part, 10))).toEqual([
    'the first 4',
    'the other 6',
    'set-up 1',
    'from set-up 2 on',
  ]);
});

describe('in more than two parts', () => {
  const bars = partsOf(1, { at: 'pieces', from: [4, 8] });
  const three = {
    ...made,
    setups: [
      ...made.setups,
      { number: 3, ready: 10, piece: 2, words: 'front', steps: { polish: 2 }, makes: ['polish'] },
    ],
  };
  const each = partsOf(1, { at: 'setup', from: [2, 3] });

  test('a bar each: four, four and the other two', () => {
    expect(bars.map((part) => partOn(part, made, 10).pieces)).toEqual([4, 4, 2]);
    expect(bars.map((part) => sayPart(part, 10))).toEqual(['the first 4', 'the next 4', 'the other 2']);
    // Nine loaded: all of the first, all of the next, one of the last two; a minute of four each.
    expect(bars.map((part) => leftOf(part, made, 10, { load: 9 }))).toEqual([0.75, 0.75, 1 - 1 / 8]);
  });

  test('each set-up by itself: 40, 20 and 10 minutes of making ready of 70, 3, 1 and 2 of each piece', () => {
    expect(each.map((part) => sayPart(part, 10))).toEqual(['set-up 1', 'set-up 2', 'from set-up 3 on']);
    const on = each.map((part) => partOn(part, { ...three, ready: 70, work: 600 }, 10));
    expect(on.map(({ ready }) => Math.round(ready))).toEqual([40, 20, 10]);
    expect(on.map(({ work }) => Math.round(work))).toEqual([300, 100, 200]);
  });

  test('each goes on behind the one before it, on its own lathe, and only the last is promised', () => {
    const lathes = [{ ...three }, { ...three, lathe: 'B' }];
    const jobs = jobsOf(
      { split: { at: 'setup', from: [2, 3], lathes: ['B', ''] }, lathe: 'A' },
      { due: MONDAY, lathes },
    );
    expect(jobs.slice(0, 3).map(({ id, due, behind, on }) => [id, due, behind?.job, Object.keys(on)])).toEqual([
      [1, undefined, undefined, ['A']],
      [1.1, undefined, 1, ['B']],
      [1.2, 1440, 1.1, ['A', 'B']],
    ]);
  });

  test('three at once on three lathes: each begins when its pieces lie there', () => {
    const lathes = ['A', 'B', 'C'].map((lathe) => ({ ...three, lathe, ready: 70, work: 600 }));
    const file = { ...wishing({ split: { at: 'setup', from: [2, 3], lathes: ['B', 'C'] }, lathe: 'A' }), between: 2 };
    const answer = answerDays({
      ...asked([run(1, 600, { lathes })], { ...file, people: startDays(['A', 'B', 'C']).people }),
      machines: ['A', 'B', 'C'],
    });
    const [one, two, last] = [1, 1.1, 1.2].map((id) => answer.placed.find(({ job }) => job === id));
    expect([one?.lathe, two?.lathe, last?.lathe]).toEqual(['A', 'B', 'C']);
    expect(two?.start).toBeGreaterThan(one?.start ?? Infinity);
    expect(two?.made).toBeGreaterThan(one?.made ?? Infinity);
    expect(last?.start).toBeGreaterThan(two?.start ?? Infinity);
    expect(last?.made).toBeGreaterThan(two?.made ?? Infinity);
    // Sooner than one set-up after the other.
    expect(last?.start).toBeLessThan(one?.made ?? 0);
  });

  test('a part without pieces or set-ups is none', () => {
    expect(canSplit({ at: 'pieces', from: [4, 4] }, 10, made)).toBe(false);
    expect(canSplit({ at: 'pieces', from: [4, 10] }, 10, made)).toBe(false);
    expect(canSplit({ at: 'setup', from: [2, 3] }, 10, made)).toBe(false);
    expect(canSplit({ at: 'setup', from: [2, 3] }, 10, three)).toBe(true);
    expect(canSplit({ at: 'pieces', from: [1, 2, 3, 4, 5, 6, 7, 8, 9, 10] }, 20, made)).toBe(false);
  });
});

test('half of the pieces late is half as bad, and both are promised', () => {
  const jobs = jobsOf({ split: { at: 'pieces', from: [5] }, weight: 3 }, { due: '2026-12-01' });
  expect(jobs.map(({ id, weight, due }) => [id, weight, due])).toEqual([
    [1, 1.5, 2880],
    [1.1, 1.5, 2880],
    [2, 1, undefined],
  ]);
});

test('by set-up only what is finished is promised and goes outside; the second goes on with the pieces of the first', () => {
  const jobs = jobsOf(
    { split: { at: 'setup', from: [2], lathes: ['B'] }, lathe: 'A', outsideDays: 1 },
    { due: MONDAY },
  );
  expect(jobs[0]).toMatchObject({ id: 1, lead: 0, on: { A: { ready: 40, work: 300 } } });
  expect(jobs[0]?.due).toBeUndefined();
  expect(jobs[1]).toMatchObject({
    id: 1.1,
    due: 1440,
    lead: 1440,
    on: { B: { ready: 20, work: 100 } },
    behind: { job: 1, goesOn: { pieces: 10, between: 5 } },
  });
  expect(jobs.map(({ on }) => Object.keys(on))).toEqual([['A'], ['B'], ['A', 'B']]);
});

test('a lathe that makes something else until then does not go on with it', () => {
  const other = { ...made, lathe: 'B', setups: made.setups.toReversed() };
  const jobs = jobsOf({ split: { at: 'setup', from: [2] } }, { lathes: [made, other] });
  expect(jobs.slice(0, 2).map(({ on }) => Object.keys(on))).toEqual([['A'], ['A']]);
});

test('a split that leaves nothing is none', () => {
  expect(jobsOf({ split: { at: 'pieces', from: [10] } }).map(({ id }) => id)).toEqual([1, 2]);
  expect(jobsOf({ split: { at: 'setup', from: [3] } }).map(({ id }) => id)).toEqual([1, 2]);
  const split = wishing({ split: { at: 'pieces', from: [4] } });
  expect(partNamed(1.1, [run(1, 400)], split)?.part).toMatchObject({ index: 1, isLast: true });
  expect(partNamed(1.1, [run(1, 400)], days())).toBeUndefined();
});

test('whoever waits for a run waits for all parts of it', () => {
  const both = days({
    runs: [
      { run: 1, split: { at: 'pieces', from: [5] } },
      { run: 2, after: [1] },
    ],
  });
  const { jobs } = toSchedule([run(1, 400), run(2, 100)], both, ['A', 'B'], MONDAY);
  expect(jobs.find(({ id }) => id === 2)?.after).toEqual([1, 1.1]);
});

test('two lathes at once: ready at 7.40 and 30 minutes a piece; the other is ready when three more lie there', () => {
  // Pieces of 30 and 10 minutes; of ten the last is turned after 40 + 300 minutes, at 13.10 with the break; the second lathe then
  // has ten minutes for each of the last three, its seven before that from 11.30 on, and twenty to be made ready.
  const split = { at: 'setup' as const, from: [2], lathes: ['B'] };
  const shared = asked([run(1, 400)], { ...wishing({ split, lathe: 'A' }), between: 2 });
  const { placed } = answerDays(shared);
  const [one, two] = [1, 1.1].map((id) => placed.find(({ job }) => job === id));
  expect([one?.lathe, one?.made, two?.lathe]).toEqual(['A', 790, 'B']);
  expect(two).toMatchObject({ start: 790 - 30 - 70 - 20, made: 790 + 30 });
});

test('an order that was taken has both parts, each where it stands', () => {
  const split = wishing({ split: { at: 'pieces', from: [5] } });
  const order = [
    { lathe: 'A', runs: [1, 2] },
    { lathe: 'B', runs: [1.1] },
  ];
  const answer = answerDays(asked([run(1, 400), run(2, 100)], { ...split, order }));
  expect(answer.order).toEqual({ A: [1, 2], B: [1.1] });
  // Both are made ready, 200 minutes each.
  expect(answer.placed.find(({ job }) => job === 1.1)).toMatchObject({ lathe: 'B', start: 420, made: 420 + 260 });
  // Of the promise both are asked: the later of the two counts.
  expect(answer.promised.map(({ run: of }) => of).sort()).toEqual([1, 2]);
});

test('by pieces the others are begun no sooner than the first, on whichever lathe', () => {
  const split = wishing({ split: { at: 'pieces', from: [5] } });
  const both = asked([run(1, 400), run(2, 100)], split);
  // 60 + 100 of 2 come first on A: the first five at 9.40, and the others on B no sooner.
  const placed = tryOrder(both, { A: [2, 1], B: [1.1] })?.placed;
  expect([1, 1.1].map((id) => placed?.find(({ job }) => job === id)?.start)).toEqual([580, 580]);
  expect(tryOrder(both, { A: [1.1, 1, 2], B: [] })).toBeUndefined();
});

test('by set-up the second part cannot stand before the first on one lathe', () => {
  const shared = asked([run(1, 400)], wishing({ split: { at: 'setup', from: [2] } }));
  expect(tryOrder(shared, { A: [1.1, 1], B: [] })).toBeUndefined();
  const after = tryOrder(shared, { A: [1, 1.1], B: [] })?.placed.map(({ start, made: end }) => [start, end]);
  expect(after?.[1]?.[0]).toBe(after?.[0]?.[1]);
});

test('a part that is begun stays, and is ready', () => {
  const order = [
    { lathe: 'A', runs: [1] },
    { lathe: 'B', runs: [1.1] },
  ];
  const file = { ...wishing({ split: { at: 'setup', from: [2] } }), order };
  const { jobs, begun } = toSchedule(
    [run(1, 400, { done: { load: 10, turn: 10, turn_round: 5 } })],
    file,
    ['A', 'B'],
    MONDAY,
  );
  expect([...begun]).toEqual([
    [1, 'A'],
    [1.1, 'B'],
  ]);
  expect(jobs.map(({ on }) => on)).toMatchObject([{ A: { ready: 0, work: 0 } }, { B: { ready: 0, work: 50 } }]);
});

describe('a run that is pinned to a day', () => {
  const pinned = (day: string, minutes: number) =>
    asked([run(1, minutes, { due: MONDAY }), run(2, 300)], {
      people: days().people.slice(0, 1),
      runs: [{ run: 2, day }],
    });

  test('is begun on it: what would be made until later comes behind', () => {
    const answer = answerDays(pinned(MONDAY, 430));
    // 60 + 430 of 1 are more than Monday has; though it is promised for Monday, and is late by that.
    expect(answer.order['A']).toEqual([2, 1]);
    expect(answer.worth).toMatchObject({ missed: 0 });
    expect(answer.worth.late).toBeGreaterThan(0);
  });

  test('is not begun before it', () => {
    // 1 is made by one o’clock of Monday.
    const answer = answerDays(pinned('2026-12-01', 300));
    expect(answer.placed.find(({ job }) => job === 2)?.start).toBe(1440 + 420);
  });

  test('that is missed tells by how much', () => {
    // Two days of work before it.
    const answer = answerDays(
      asked([run(1, 900), run(2, 300)], {
        people: days().people.slice(0, 1),
        runs: [{ run: 2, day: MONDAY }],
        order: [{ lathe: 'A', runs: [1, 2] }],
      }),
    );
    // 960 minutes are Monday and Tuesday: it begins on Wednesday at seven.
    expect(answer.placed.find(({ job }) => job === 2)?.missed).toBe(2 * 1440 + 420 - 1440);
  });
});

test('what its first day gives: 480 minutes but for 60 of making ready, at 40 a piece', () => {
  const time = workTimeOf('A', days(), MONDAY);
  expect(piecesOfFirstDay(made, { start: 420, ready: 60 }, time)).toBe(10);
  // From half past twelve on three hours are left, two of them for pieces.
  expect(piecesOfFirstDay(made, { start: 750, ready: 60 }, time)).toBe(3);
  expect(piecesOfFirstDay(made, { start: 910, ready: 60 }, time)).toBe(0);
});
