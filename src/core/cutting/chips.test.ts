import { operationsOf, planned, runOf, step } from '../testing';
import { breaksChip } from './chips';
import { growth } from './heat';
import { evenPasses, threadPasses } from './threadPasses';

const habits = { chipFeed: 0.1, chipDepthTimes: 0.5 };

test('a chip breaks from a feed and a depth, and not with either alone', () => {
  expect(breaksChip({ feed: 0.1, depth: 0.2, nose: 0.4 }, habits)).toBe(true);
  expect(breaksChip({ feed: 0.08, depth: 0.2, nose: 0.4 }, habits)).toBe(false);
  expect(breaksChip({ feed: 0.1, depth: 0.15, nose: 0.4 }, habits)).toBe(false);
});

test('a finish too light for it is told in a material of long chips, once, with what breaks it', () => {
  const told = (material: string) =>
    operationsOf(runOf({ material, outside: [step(12, 20), step(16, 10), step(20, 10)] }, { way: 'from-bar' }))
      .flatMap(({ cautions }) => cautions.map(({ text }) => text))
      .filter((text) => text.startsWith('Too light'));
  expect(told('free-cutting-steel')).toEqual([]);
  // Ra of 0.1 at a nose of 0.4 is 0.78 (handbook 14).
  expect(told('mild-steel')).toEqual([expect.stringContaining('a feed of 0.1 mm/rev breaks it and leaves Ra 0.8 µm')]);
});

test('100 mm of steel warmed by 20 K grow by 0.023; it is told where a centre holds it', () => {
  expect(growth(100, 11.5, 20)).toBeCloseTo(0.023, 9);
  const cautions = (length: number) =>
    planned(
      runOf({ material: 'mild-steel', outside: [step(12, length), step(16, 12)] }, { way: 'from-bar' }),
    ).setups.flatMap(({ setup }) => setup.cautions.map(({ text }) => text));
  expect(cautions(88).join()).toContain('Warmed by 20 K the work is 0.023 mm longer');
  expect(cautions(20).join()).not.toContain('Warmed');
});

describe('a thread by passes of one depth', () => {
  test('M5 by hand: six of equal chip take a sixth each; of even depth the last of twelve takes 23/144, a sixth at most', () => {
    const depths = evenPasses(0.4907, 6, 0.02);
    expect(depths).toHaveLength(12);
    expect(depths[0]).toBeCloseTo(0.4907 / 12, 9);
    expect(depths.at(-1)).toBeCloseTo(0.4907, 9);
    expect(threadPasses(0.4907, 6, 0.02)).toHaveLength(6);
  });

  test('never thinner than the least, whatever the chip', () => {
    const depths = evenPasses(0.1, 6, 0.02);
    expect(depths).toHaveLength(5);
  });

  test('by the house it is planned so', () => {
    const passes = (threadPasses_: 'equal-chip' | 'even-depth') =>
      operationsOf(
        runOf(
          {
            outside: [step(20, 20), step(28, 10)],
            details: [
              { kind: 'thread', at: 0, length: 14, designation: 'M20x1.5' },
              { kind: 'groove', at: 14, width: 6, bottom: 17 },
            ],
          },
          { way: 'from-bar', rules: { threadPasses: threadPasses_ } },
        ),
      ).find(({ kind }) => kind === 'thread')?.passes ?? [];
    const even = passes('even-depth').filter(({ depth }) => depth > 0);
    expect(new Set(even.map(({ depth }) => depth.toFixed(6))).size).toBe(1);
    expect(even.length).toBeGreaterThan(passes('equal-chip').filter(({ depth }) => depth > 0).length);
  });
});
