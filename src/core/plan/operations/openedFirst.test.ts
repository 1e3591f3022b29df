import { planned, runOf, step } from '../../testing';

/** A bush with a hole right through it, and a bore that is wider for some way from the front. */
const drilledIn = (diameter: number, bored: number) =>
  planned(
    runOf(
      {
        outside: [step(34, 40)],
        bores: [
          { from: 'front', shape: 'drill', diameter, depth: 'through' },
          { from: 'front', shape: 'bore', diameter: bored, depth: 30 },
        ],
      },
      { way: 'from-bar', quantity: 20 },
    ),
  ).setups.flatMap(({ operations }) =>
    operations
      .filter(({ kind }) => ['drill', 'bore'].includes(kind))
      .map(({ kind, feature, diameter: wide, passes }) => ({ kind, feature, wide, passes: passes.length })),
  );

test('⌀26 bored from ⌀10 is 16 cuts of 0.5 and 30: a drill opens it first, and the bar finds what it leaves', () => {
  const made = drilledIn(10, 26);
  const opens = made.findIndex(({ kind, feature }) => kind === 'drill' && feature === 'part.bores[1]');
  const bores = made.findIndex(({ kind }) => kind === 'bore');
  expect(made[opens]?.wide).toBeGreaterThan(20);
  expect(made[opens]?.wide).toBeLessThanOrEqual(26 - 2 * 0.15);
  expect(opens).toBeGreaterThan(made.findIndex(({ feature }) => feature === 'part.bores[0]'));
  expect(opens).toBeLessThan(bores);
});

test('⌀12 bored from ⌀10 is two cuts: no other drill is put in for them', () => {
  expect(drilledIn(10, 12).map(({ kind, feature }) => [kind, feature])).toEqual([
    ['drill', 'part.bores[0]'],
    ['bore', 'part.bores[1]'],
  ]);
});
