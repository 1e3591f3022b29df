import fc from 'fast-check';
import type { DetailFile, HoleFile, PartFile, RunFile } from '../../read/runFile';
import { planFile } from '../plan';
import { startValues } from '../../model/shop/startValues';
import { planned, runOf, step } from '../../testing';
import { plunges } from './squareGroove';
import { leftToReam } from '../../model/shop/reaming';

const fromBar = { way: 'from-bar' as const };
const operationsOf = (file: RunFile, kind: string) =>
  planned(file).setups.flatMap(({ operations, setup }) =>
    operations.filter((operation) => operation.kind === kind).map((operation) => ({ ...operation, end: setup.end })),
  );
const only = (file: RunFile, kind: string) => {
  const [operation] = operationsOf(file, kind);
  if (!operation) throw new Error(`nothing of kind ${kind}`);
  return operation;
};
const doubtsOf = (file: RunFile) => planned(file).doubts.map(({ rule, path }) => [rule, path]);

/** Kinds of operation of the first set-up, in the order that they are done. */
const orderOf = (file: RunFile) => planned(file).setups[0]?.operations.map(({ kind }) => kind) ?? [];

describe('grooves', () => {
  const grooved = (
    more: Partial<Extract<DetailFile, { kind: 'groove' }>> = {},
    outside: PartFile['outside'] = [step(16, 20), step(22, 10)],
  ) => runOf({ outside, details: [{ kind: 'groove', at: 8, width: 3, bottom: 12, ...more }] }, fromBar);

  test('3 wide with the blade of 3: one plunge of 2 over 2 of approach at 0.04', () => {
    const groove = only(grooved(), 'groove');
    // The widest blade that goes in is 3; 75 · 0.5 for HSS over ⌀16 is 746 rev/min, the machine has 560.
    expect(groove.tool.id).toBe('blade-3');
    expect(groove.speed.value).toBe(560);
    expect(groove.passes).toHaveLength(1);
    expect(groove.cutting.value).toBeCloseTo((2 + 2) / (0.04 * 560), 9);
    expect(groove).toMatchObject({ from: 8, to: 11, diameter: 12 });
    // The left edge was touched: it goes to the far edge of the groove; the right one a blade's width before it.
    expect(groove.stop.settings.map(({ edge, setting }) => [edge, setting.value])).toEqual([
      ['left', 11],
      ['right', 8],
    ]);
    expect(groove.checks.map(({ what }) => what)).toEqual(['groove bottom ⌀12', 'groove width 3 mm']);
  });

  test('wider than the blade: plunges on both edges and between, then along the bottom', () => {
    const groove = only(grooved({ width: 5, bottom: 13 }), 'groove');
    // The blade of 4 is the widest that goes in: ceil((5 − 4) / 3.6) + 1 = 2 plunges, at 8 and at 9.
    expect(groove.tool.id).toBe('blade-4');
    expect(groove.passes.map(({ z, diameter }) => [z, diameter])).toEqual([
      [8, 13],
      [9, 13],
      [8, 13],
    ]);
    expect(groove.passes.at(-1)?.way.map(({ value }) => value)).toEqual([1]);
  });

  test('a diameter is finished before the groove in it, and the groove is there before the piece is off', () => {
    const order = orderOf(grooved());
    expect(order.indexOf('groove')).toBeGreaterThan(order.lastIndexOf('turn-finish'));
    expect(order.indexOf('part-off')).toBe(order.length - 1);
  });

  test('narrower than every blade it is cut with one that is ground to it, which is told', () => {
    const groove = only(grooved({ width: 1 }), 'groove');
    expect(groove.tool).toMatchObject({ width: 1, reach: 8, toGet: true });
    expect(groove.passes).toHaveLength(1);
    expect(groove.cautions.map(({ text }) => text).join()).toContain('Not in the shop');
  });

  test('made, it is no doubt any more; with corners that no round nose has, or too narrow for any blade, it is', () => {
    expect(doubtsOf(grooved())).toEqual([]);
    expect(doubtsOf(grooved({ radius: 0.7 }))).toEqual([['NO-OPERATION', 'part.details[0]']]);
    // 2 deep: a blade ground to 0.2 reaches 8 · 0.2 = 1.6.
    expect(doubtsOf(grooved({ width: 0.2 }))).toContainEqual(['NO-OPERATION', 'part.details[0]']);
  });

  test('aimed at the middle of its limits', () => {
    expect(only(grooved({ bottom: '12 -0.2/0' }), 'groove').diameter).toBeCloseTo(11.9, 9);
  });

  test('on a step that is turned from the back it is cut there', () => {
    const outside = [step(16, 14), step(22, 8), step(16, 20)];
    const groove = only(grooved({ at: 28, width: 2, bottom: 13 }, outside), 'groove');
    // 42 long: from the back the groove lies from 12 to 14.
    expect(groove).toMatchObject({ end: 'back', from: 12, to: 14 });
  });

  test('plunges begin and end on the edges and overlap', () => {
    fc.assert(
      fc.property(fc.integer({ min: 10, max: 40 }), fc.integer({ min: 0, max: 200 }), (blade, more) => {
        const [width, w] = [(blade + more) / 10, blade / 10];
        const places = plunges(5, 5 + width, w, 0.9);
        expect(places[0]).toBeCloseTo(5, 9);
        expect((places.at(-1) ?? 0) + w).toBeCloseTo(5 + width, 9);
        places.slice(1).forEach((z, index) => expect(z - (places[index] ?? 0)).toBeLessThanOrEqual(0.9 * w + 1e-9));
        // ceil((W − w) / step) + 1 (trade: Shop arithmetic), and one alone where the blade is as wide as the groove.
        const many = more === 0 ? 1 : Math.ceil((width - w) / (0.9 * w) - 1e-9) + 1;
        expect(places).toHaveLength(many);
      }),
    );
  });
});

describe('reaming', () => {
  const hole = (shape: 'drill' | 'ream', diameter: number | string, depth: string | number): HoleFile => ({
    from: 'front',
    shape,
    diameter,
    depth,
  });
  const reamed = (drill: number, ream: string, depth: number | string = 'through') =>
    runOf({ outside: [step(16, 20)], bores: [hole('drill', drill, 'through'), hole('ream', ream, depth)] }, fromBar);

  test('⌀8 H7 through: past the blade, to the middle of its limits, at 2.5 times the feed of a drill', () => {
    const ream = only(reamed(7.8, '8 H7'), 'ream');
    // 20 + 0.3 + 1.5 + 1.
    expect(ream.to).toBeCloseTo(22.8, 9);
    expect(ream.diameter).toBeCloseTo(8.0075, 9);
    expect(ream.feed.value).toBeCloseTo(2.5 * 0.025 * 8.0075, 9);
    // 75 · 0.4 over ⌀8.0075 is 1193 rev/min; 40 turns of the quill, 5 mm each, over 0.5005 are 399.6: the machine has 250.
    expect(ream.speed.value).toBe(250);
    expect(ream.warnings.some((text) => text.includes('reamer'))).toBe(false);
    expect(doubtsOf(reamed(7.8, '8 H7'))).toEqual([]);
  });

  test('drill, then ream; everything on the axis before the piece is off', () => {
    const order = orderOf(reamed(7.8, '8 H7'));
    expect(order.indexOf('ream')).toBeGreaterThan(order.indexOf('drill'));
    expect(order.at(-1)).toBe('part-off');
  });

  test('sunk and reamed from one side: the mouth before the reamer, each with its reason', () => {
    const file = reamed(7.8, '8 H7');
    file.part.bores?.push({ from: 'front', shape: 'countersink', mouth: 10, included: 90 });
    const order = orderOf(file);
    const at = (kind: string) => order.indexOf(kind);
    expect([at('drill') < at('countersink'), at('countersink') < at('ream'), at('ream') < at('part-off')]).toEqual([
      true,
      true,
      true,
    ]);
    expect(only(file, 'ream').reasons).toContainEqual(
      expect.objectContaining({ because: expect.stringContaining('nothing is cut into a reamed hole') }),
    );
  });

  test('what is left to a reamer: 0.15 to 0.30 up to ⌀6, 0.20 to 0.40 up to 12, 0.25 to 0.50 beyond', () => {
    expect([6, 6.1, 12, 25, 26].map((d) => leftToReam(d, startValues.cutting))).toEqual([
      { least: 0.15, most: 0.3 },
      { least: 0.2, most: 0.4 },
      { least: 0.2, most: 0.4 },
      { least: 0.25, most: 0.5 },
      { least: 0.25, most: 0.5 },
    ]);
  });

  test('too much, or too little, is left by the hole of the drawing: another drill comes between, or it is left', () => {
    const drills = (drawn: number) => operationsOf(reamed(drawn, '8 H7'), 'drill').map(({ diameter }) => diameter);
    // 8 − 7.5 is more than 0.4: 7.8 opens it first.
    expect(drills(7.5)).toEqual([7.5, 7.8]);
    expect(drills(7.7)).toEqual([7.7]);
  });

  test('a shop that has no drill near, and can get none, bores it: ⌀40 wants 39.5 to 39.75, and drills end at a quarter over 1″', () => {
    const reamer = { ...startValues.tools.find(({ id }) => id === 'reamer-20')!, id: 'reamer-40', diameter: 40 };
    const file = runOf({ outside: [step(60, 20)], bores: [hole('ream', '40 H7', 'through')] });
    const plan = planFile(file, { ...startValues, tools: [...startValues.tools, reamer] });
    expect(plan.ok && plan.value.doubts.map(({ rule }) => rule)).toEqual([]);
    expect(plan.ok && plan.value.setups.flatMap(({ operations }) => operations.map(({ kind }) => kind))).toContain(
      'bore',
    );
  });

  test('a reamer of a size that is not there is one to get; without a hole, one is drilled for it', () => {
    const { tool, cautions } = only(reamed(7.8, '8.2 H7'), 'ream');
    expect(tool).toMatchObject({ name: 'reamer ⌀8.2, to get', diameter: 8.2 });
    expect(cautions.map(({ text }) => text).join()).toContain('Not in the shop');
    expect(doubtsOf(reamed(7.8, '8.2 H7'))).toEqual([]);
    const bare = runOf({ outside: [step(16, 20)], bores: [hole('ream', '8 H7', 12)] }, fromBar);
    expect(doubtsOf(bare)).toEqual([]);
    // From 8 − 0.4 to 8 − 0.2: the widest, which leaves least to ream.
    expect(only(bare, 'drill')).toMatchObject({ diameter: 7.8, fullDepth: 12, name: 'Drill ⌀7.8 for the reamer' });
  });

  test('a shop whose reamers are gone plans the rest', () => {
    const shop = { ...startValues, tools: startValues.tools.filter(({ does }) => !does.includes('ream')) };
    const plan = planFile(reamed(7.8, '8 H7'), shop);
    expect(plan.ok && plan.value.doubts.map(({ rule }) => rule)).toEqual(['NO-OPERATION']);
  });
});

describe('countersinking', () => {
  const sunk = (from: 'front' | 'back', included = 90) =>
    runOf(
      {
        outside: [step(16, 20)],
        bores: [
          { from: 'front', shape: 'drill', diameter: 6, depth: 'through' },
          { from, shape: 'countersink', mouth: 9, included },
        ],
      },
      fromBar,
    );

  test('⌀9 × 90°: 75 · 0.25 over ⌀9 is 663, at most 250 rev/min', () => {
    const found = only(sunk('front'), 'countersink');
    expect(found).toMatchObject({ end: 'front', diameter: 9 });
    expect(found.speed.value).toBe(250);
    expect(found.speed.note).toContain('never run faster than 250');
    expect(found.name).toBe('Countersink ⌀9 × 90°');
  });

  test('from the back in the set-up that sees the back; at an angle that no tool has it is told', () => {
    expect(only(sunk('back'), 'countersink').end).toBe('back');
    expect(doubtsOf(sunk('front', 75))).toEqual([['NO-OPERATION', 'part.bores[1]']]);
  });
});
