import fc from 'fast-check';
import { runOf, planned, step } from '../../testing';
import { fewestMoves, type Levers, type Runs } from './levers';

const HAND = { speedChange: 0.1, feedChange: 0.08 };

/** Fed by power over so far, mm. */
const fed = (way: number, speeds: number[], feeds: number[]): Runs => ({ way, speeds, feeds });
/** Fed by hand. */
const wound = (way: number, speeds: number[], byHand: number): Runs => ({ way, speeds, feeds: [], byHand });

/** What a piece takes with the levers so, the last of it leading to the first of the next. */
function minutesOf(runs: readonly Runs[], levers: readonly Levers[]): number {
  const cutting = runs.reduce((total, { way, byHand }, index) => {
    const { speed, feed } = levers[index] ?? {};
    return total + (speed === undefined ? 0 : way / (speed * (byHand ?? feed ?? Infinity)));
  }, 0);
  const moves = (of: (at: number) => number | undefined, minutes: number) => {
    const stands = runs.map((_, at) => of(at)).filter((value) => value !== undefined);
    return stands.filter((value, at) => value !== stands.at(at - 1)).length * minutes;
  };
  return (
    cutting +
    moves((at) => (runs[at]?.speeds.length ? levers[at]?.speed : undefined), HAND.speedChange) +
    moves((at) => (runs[at]?.feeds.length ? levers[at]?.feed : undefined), HAND.feedChange)
  );
}

test('by hand: 20 mm at 0.1 cost 0.025 more at 1600 than at 2000, two moves of the lever 0.2: it stays at 1600', () => {
  const runs = [fed(20, [2000, 1600], [0.1]), fed(60, [1600, 1120], [0.1])];
  expect(fewestMoves(runs, HAND).map(({ speed }) => speed)).toEqual([1600, 1600]);
  // 400 mm are 0.5 min slower: the lever is moved.
  expect(fewestMoves([fed(400, [2000, 1600], [0.1]), runs[1] as Runs], HAND).map(({ speed }) => speed)).toEqual([
    2000, 1600,
  ]);
});

test('what a hand feeds leaves the lever of the feed where it is', () => {
  const runs = [fed(20, [1600], [0.1, 0.08]), wound(10, [1600], 0.05), fed(20, [1600], [0.08])];
  expect(fewestMoves(runs, HAND).map(({ feed }) => feed)).toEqual([0.08, 0.08, 0.08]);
});

test('where nothing is saved the usual stays, and a stopped spindle changes nothing', () => {
  expect(fewestMoves([fed(20, [2000, 1600], [0.2, 0.18])], HAND)).toEqual([{ speed: 2000, feed: 0.2 }]);
  const stopped: Runs = { way: 0, speeds: [], feeds: [] };
  expect(fewestMoves([stopped], HAND)).toEqual([{}]);
});

test('never more minutes than any other way of setting them: all of them tried', () => {
  const speeds = fc.subarray([2000, 1600, 1120, 560], { minLength: 1 });
  const feeds = fc.subarray([0.2, 0.1, 0.08], { minLength: 1 });
  const operation = fc.oneof(
    fc.record({ way: fc.integer({ min: 1, max: 300 }), speeds, feeds }),
    fc.record({
      way: fc.integer({ min: 1, max: 60 }),
      speeds,
      feeds: fc.constant<number[]>([]),
      byHand: fc.constant(0.05),
    }),
    fc.constant<Runs>({ way: 0, speeds: [], feeds: [] }),
  );
  const ways = (runs: readonly Runs[]): Levers[][] =>
    runs.reduce<Levers[][]>(
      (before, each) =>
        before.flatMap((so) =>
          (each.speeds.length ? each.speeds : [undefined]).flatMap((speed) =>
            (each.feeds.length ? each.feeds : [undefined]).map((feed) => [...so, { speed, feed }]),
          ),
        ),
      [[]],
    );
  fc.assert(
    fc.property(fc.array(operation, { minLength: 1, maxLength: 4 }), (runs) => {
      const found = minutesOf(runs, fewestMoves(runs, HAND));
      expect(found).toBeLessThanOrEqual(Math.min(...ways(runs).map((levers) => minutesOf(runs, levers))) + 1e-9);
    }),
    { numRuns: 150 },
  );
});

test('in a plan: said in the working, never faster than usual, and kept where one operation is done for all pieces', () => {
  const file = runOf(
    { outside: [step('6 h9', 12, { chamfers: { front: 0.5 } }), step(10, 8)] },
    { way: 'sawn-blanks' },
  );
  const speeds = (batchOrder: 'piece-by-piece' | 'op-by-op') =>
    planned({ ...file, quantity: 40, rules: { batchOrder } }).setups.flatMap(({ operations }) =>
      operations.map(({ speed }) => speed),
    );
  const left = speeds('piece-by-piece').filter(({ terms }) =>
    terms.some(({ name }) => name.includes('as the lever stands')),
  );
  expect(left.length).toBeGreaterThan(0);
  for (const { value, note = '' } of left) expect(value).toBeLessThan(Number(/could be (\d+)/.exec(note)?.[1]));
  expect(speeds('op-by-op').some(({ terms }) => terms.some(({ name }) => name.includes('as the lever stands')))).toBe(
    false,
  );
});
