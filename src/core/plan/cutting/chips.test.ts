import { operationsOf, planned, runOf, step } from '../../testing';
import { breaksChip } from './chips';
import { growth } from './heat';
import { evenPasses, threadPasses } from './threadPasses';

const habits = { chipFeed: 0.1, chipDepthTimes: 0.5 };

test('a chip breaks from a feed and a depth, and not with either alone', () => {
  expect(breaksChip({ feed: 0.1, depth: 0.2, nose: 0.4 }, habits)).toBe(true);
  expect(breaksChip({ feed: 0.08, depth: 0.2, nose: 0.4 }, habits)).toBe(false);
  expect(breaksChip({ feed: 0.1, depth: 0.15, nose: 0.4 }, habits)).toBe(false);
});

describe('a finish in a material of long chips', () => {
  const finishes = (material: string, roughness: number) =>
    operationsOf(
      runOf(
        { material, outside: [step(12, 20, { roughness }), step(16, 10, { roughness }), step(20, 10)] },
        { way: 'from-bar' },
      ),
    ).filter(({ kind }) => kind === 'turn-finish');
  const told = (material: string, roughness: number) =>
    finishes(material, roughness)
      .flatMap(({ cautions }) => cautions.map(({ text }) => text))
      .filter((text) => text.startsWith('Too light'));

  test('is fed so that the chip breaks, where the roughness allows it', () => {
    const [found] = finishes('mild-steel', 1.6);
    expect(found?.feed).toMatchObject({ value: 0.1, formula: expect.stringContaining('max(s, c)') });
    expect(found?.passes[0]?.load?.chip).toBe('broken');
    expect(told('mild-steel', 1.6)).toEqual([]);
    const [short] = finishes('free-cutting-steel', 1.6);
    expect([short?.feed.value, short?.passes[0]?.load?.chip]).toEqual([0.08, 'short']);
  });

  test('where it does not, too light a finish is told once, with what breaks it', () => {
    // Ra 0.5 at a nose of 0.4 wants √(32 · 0.4 · 0.5 / 1000) = 0.08; 0.1 leaves 0.78 (trade: Reference figures).
    expect(finishes('mild-steel', 0.5)[0]?.passes[0]?.load?.chip).toBe('long');
    expect(told('mild-steel', 0.5)).toEqual([
      expect.stringContaining('a feed of 0.1 mm/rev, which leaves Ra 0.8 µm, breaks it'),
    ]);
    expect(told('free-cutting-steel', 0.5)).toEqual([]);
  });

  test('two equal cuts of 0.125 are too light at any feed: it stays the usual one', () => {
    const file = runOf({ material: 'mild-steel', outside: [step('12 h7', 20), step(20, 10)] }, { way: 'from-bar' });
    const found = operationsOf(file).find(({ kind }) => kind === 'turn-finish');
    expect(found?.feed.value).toBe(0.08);
    expect(found?.cautions.map(({ text }) => text).join()).toContain(
      'a cut of 0.2 mm a side and a feed of 0.1 mm/rev, which leaves Ra 0.8 µm, break it',
    );
  });
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
