import type { Thread } from '../../model/part/feature';
import { startValues } from '../../model/shop/startValues';
import { die } from '../../model/shop/toolSets';
import { only, planned, runOf, step } from '../../testing';

/** A spindle ⌀16 × 30 on ⌀22 × 12 with M16x1.25 over 22 of it: 8 are left before the shoulder. */
const spindle = (runOut?: number) =>
  planned(
    runOf({
      outside: [step(16, 30), step(22, 12)],
      details: [
        { kind: 'thread', at: 0, length: 22, designation: 'M16x1.25', ...(runOut === undefined ? {} : { runOut }) },
      ],
    }),
  );

const threadIn = (plan: ReturnType<typeof spindle>) =>
  plan.setups.flatMap(({ operations }) => operations.filter(({ kind }) => kind === 'thread'))[0];

// There is no relief, said or not: at a standstill the tool would be drawn out through metal, so a turn goes by meanwhile.
test.each([undefined, 2.5, 4])(
  'a thread on a plain cylinder is drawn out while it turns, run-out said as %s',
  (said) => {
    const plan = spindle(said);
    expect(plan.proof.passed).toBe(true);
    const cut = threadIn(plan);
    expect(cut?.to).toBe(22);
    // Its full thread ends at 22, and the edge is out of the work a pitch further on.
    expect(
      cut?.passes
        .at(-1)
        ?.path.filter(({ by }) => by === 'thread')
        .map(({ z }) => z),
    ).toEqual([22, 23.25]);
  },
);

test('a relief before a head: the tip stands in its middle, or where the side of the tool is clear of the head', () => {
  // 2 pitches of 2 are given, their middle 2 behind 21. The side of the tool lies 2 ahead of its tip, and stays 0.1 off the head at 25.
  const bolt = (head: number, relief: number) =>
    runOf(
      {
        material: 'mild-steel',
        outside: [step(16, 21 + relief), step(head, 10)],
        details: [
          { kind: 'thread', at: 0, length: 21, designation: 'M16' },
          { kind: 'groove', at: 21, width: relief, bottom: 13 },
        ],
      },
      { firstEnd: 'front' },
    );
  expect(only(bolt(40, 4), 'thread').to).toBeCloseTo(22.9, 9);
  expect(only(bolt(40, 5), 'thread').to).toBeCloseTo(23, 9);
  // Over a low one its flank slants back: from the core at 8 − 0.6134 · 2 = 6.773 to 9 are 2.227, and 2.227 · tan 30° = 1.286.
  expect(only(bolt(18, 3.5), 'thread').to).toBeCloseTo(23, 9);
  expect(planned(bolt(40, 4)).proof.faults).toEqual([]);
});

test('too near to a hexagon for the side of the tool: M10x1, 8 long on 10, is run on by a die, and proved', () => {
  // Across corners 16.17 stands 3.69 over the core: 2 + (1 − 2 / (3.69 · tan 30°)) = 2.06 are wanted, and there are 2.
  const plan = planned(
    runOf({
      outside: [step(10, 10), { shape: 'hex', across: 14, length: 6 }],
      details: [{ kind: 'thread', at: 0, length: 8, designation: 'M10x1' }],
    }),
  );
  expect(plan.setups.flatMap(({ operations }) => operations.map(({ kind }) => kind))).toContain('die');
  expect(threadIn(plan)).toBeUndefined();
  expect(plan.proof.faults).toEqual([]);
});

test('a relief of less than two pitches: the tool is ground to go in, and the last turn of every pass is by hand', () => {
  const file = runOf(
    {
      material: 'free-cutting-steel',
      outside: [step(20, 15), step(30, 10)],
      details: [
        { kind: 'thread', at: 0, length: 13, designation: 'M20x1.5' },
        { kind: 'groove', at: 13, width: 2, bottom: 17.8 },
      ],
    },
    { firstEnd: 'front' },
  );
  const cut = only(file, 'thread');
  // 2 − 0.1 beside its tip, so that this stands where the thread ends, and the side 0.1 before the head at 15.
  expect(cut.tool).toMatchObject({ ahead: 1.9, toGet: true });
  expect(cut.to).toBeCloseTo(13, 9);
  expect(cut.does?.join(' ')).toContain('the last turn by hand');
  // A turn by hand takes 0.05 min.
  const passes = cut.passes.length;
  expect(cut.byHand).toEqual([{ name: `last turn by hand, ${passes} ×`, minutes: passes * 0.05 }]);
  expect(planned(file).proof.faults).toEqual([]);
});

test.each([
  ['the front', [step(8, 15), step(16, 10)], 0],
  ['the back', [step(16, 10), step(8, 15)], 10],
] as const)(
  'M8 drawn to a shoulder from %s: the die ends where the nose of 0.4 left its corner, and it is proved',
  (_, outside, at) => {
    const file = runOf({
      outside: [...outside],
      details: [{ kind: 'thread', at, length: 15, designation: 'M8' }],
    });
    const cut = only(file, 'die');
    expect(cut.to).toBeCloseTo(14.6, 9);
    expect(cut.does?.at(-1)).toBe('It ends 0.4 mm before the shoulder: so much is left in its corner.');
    expect(planned(file).proof.faults).toEqual([]);
  },
);

describe('a pitch of plain diameter before a head, and no relief: M16 on 28 of 30', () => {
  const bolt = (length: number) =>
    runOf(
      {
        material: 'mild-steel',
        outside: [step(16, 30), step(25, 10)],
        details: [{ kind: 'thread', at: 0, length, designation: 'M16' }],
      },
      { firstEnd: 'back' },
    );

  test('the last turn is by hand, and the tool is out in a quarter of it, over the head', () => {
    const cut = only(bolt(28), 'thread');
    expect(cut).toMatchObject({ to: 28, goesOn: 0.5 });
    expect(cut.does?.join(' ')).toContain('drawn out quickly at this stop');
    expect(cut.byHand?.[0]?.name).toBe(`last turn by hand, ${cut.passes.length} ×`);
    // 2 clear of the head's 12.5.
    expect(cut.passes[0]?.path.at(-1)?.r).toBeCloseTo(14.5, 9);
    expect(planned(bolt(28)).proof.faults).toEqual([]);
  });

  test('with less than a pitch a die of the list does, though the house has none so large, and it is told', () => {
    const shop = {
      ...startValues,
      tools: [...startValues.tools, die({ designation: 'M16', diameter: 16, pitch: 2 } as Thread)],
      cutting: { ...startValues.cutting, dieRuns: 9 },
    };
    const kinds = (length: number) =>
      planned(bolt(length), shop).setups.flatMap(({ operations }) => operations.map(({ kind }) => kind));
    expect(kinds(28.5)).toContain('die');
    expect(kinds(28)).toContain('thread');
    expect(planned(bolt(28.5), shop).doubts.map(({ rule }) => rule)).toContain('THREAD-RUN-OUT');
  });
});
