import type { Overrule } from '../model/overrule';
import { startValues } from '../model/shop/startValues';
import { planned, plannedAsUsual, runOf, step } from '../testing';
import { withTrial, type Trial } from './trial';
import { tryCut } from './whatIf';

const file = runOf({ material: 'mild-steel', outside: [step('12 h8', 20), step(22, 14)] }, { way: 'from-bar' });
const ROUGH = 'turn-rough:part.outside[0]';
const FINISH = 'turn-finish:part.outside[0]';
const tried = (key: string, cut: Trial['cut'], more: Omit<Trial, 'cut'> = {}, setup: 1 | 2 = 1) => {
  const candidate = tryCut(file, startValues, { key, setup }, { cut, ...more });
  if (!candidate.ok) throw new Error(candidate.because);
  return candidate.state;
};
const measured = (state: ReturnType<typeof tried>, name: string) =>
  state.measures.find((measure) => measure.name === name);

test('as it is planned: nothing asked for, nothing changed', () => {
  const operation = planned(file).setups[0]?.operations.find(({ key }) => key === FINISH);
  const state = tried(FINISH, {});
  expect(state).toMatchObject({ speed: operation?.speed.value, feed: operation?.feed.value });
  expect(state.pieceMinutes).toBe(planned(file).times.piece.value);
});

test('twice the feed: less time, four times the roughness against what the drawing asks for', () => {
  const [now, then] = [tried(FINISH, { feed: 0.05 }), tried(FINISH, { feed: 0.1 })];
  expect(measured(then, 'time')?.value ?? 0).toBeLessThan(measured(now, 'time')?.value ?? 0);
  expect((measured(then, 'roughness Ra')?.value ?? 0) / (measured(now, 'roughness Ra')?.value ?? 1)).toBeCloseTo(4, 9);
});

test('half the depth of roughing: twice the passes at least, and half the force', () => {
  const now = tried(ROUGH, {});
  const half = tried(ROUGH, { depth: now.depth / 2, feed: now.feed, speed: now.speed });
  expect(half.passes).toBe(2 * now.passes);
  expect((measured(half, 'main force')?.value ?? 0) / (measured(now, 'main force')?.value ?? 1)).toBeCloseTo(0.5, 2);
});

test('deeper than the motor or the grip allows is done, and told with what is within the limit', () => {
  const { warnings } = tried(ROUGH, { depth: 4.5 });
  expect(warnings.join()).toMatch(/So decided, and beyond a limit: .*a side is within it/);
});

test('a faster speed wears an edge sooner, by the fourth power where n is 0.25', () => {
  const speeds = planned(file).run.shop.machine.speeds;
  const { speed } = tried(FINISH, {});
  const slower = speeds.findLast((figure) => figure < speed) ?? 0;
  const life = (figure: number) => measured(tried(FINISH, { speed: figure }), 'an edge lasts')?.value ?? 0;
  expect(life(slower) / life(speed)).toBeCloseTo((speed / slower) ** 4, 6);
});

test.each([
  [FINISH, { speed: 333 }, 'has no 333 rev/min; next to it are 250 and 400'],
  [FINISH, { feed: 0.07 }, 'has no feed of 0.07 mm/rev'],
  [FINISH, { depth: 0.1 }, 'is not divided by a depth'],
  ['turn-finish:part.outside[9]', {}, 'no such operation'],
])('%s with %j cannot be: %s', (key, wish, words) => {
  expect(tryCut(file, startValues, { key, setup: 1 }, { cut: wish })).toEqual({
    ok: false,
    because: expect.stringContaining(words),
  });
});

test('what is kept is an overrule: planned so, priced, and told', () => {
  const plan = planned({ ...file, overrules: [{ operation: FINISH, cut: { feed: 0.05 } }] });
  const operation = plan.setups[0]?.operations.find(({ key }) => key === FINISH);
  expect(operation?.feed).toMatchObject({ value: 0.05, note: expect.stringContaining('The planner would take') });
  expect(plan.overrules).toMatchObject([{ state: 'kept' }]);
  expect(plan.overrules[0]?.minutes ?? 0).toBeGreaterThan(0);
});

describe('another edge in its tool', () => {
  test('twice the nose: half the roughness, and it is a tool of its own to be changed to', () => {
    const [now, then] = [tried(FINISH, { feed: 0.08 }), tried(FINISH, { feed: 0.08, nose: 0.8 })];
    expect(now.nose).toBe(0.4);
    expect((measured(then, 'roughness Ra')?.value ?? 0) / (measured(now, 'roughness Ra')?.value ?? 1)).toBeCloseTo(
      0.5,
      9,
    );
    const plan = planned({ ...file, overrules: [{ operation: FINISH, cut: { nose: 0.8 } }] });
    const operation = plan.setups[0]?.operations.find(({ key }) => key === FINISH);
    expect(operation?.tool).toMatchObject({ nose: 0.8, name: expect.stringMatching(/, nose 0\.8$/) });
    expect(startValues.tools.map(({ id }) => id)).not.toContain(operation?.tool.id);
  });

  test('HSS in place of carbide runs at its own speed and takes a thinner cut', () => {
    const then = tried(FINISH, { edge: 'hss' });
    // Mild steel: 30 m/min, on ⌀12.5: 764, so 560 of the list.
    expect(then).toMatchObject({ edge: 'hss', speed: 560 });
    const plan = planned({ ...file, overrules: [{ operation: FINISH, cut: { edge: 'hss' } }] });
    expect(plan.setups[0]?.operations.find(({ key }) => key === FINISH)?.tool.thinnestCut).toBe(0.05);
  });

  test('the edge that it has is no other; a drill has no nose', () => {
    expect(tried(FINISH, { edge: 'carbide' })).toEqual(tried(FINISH, {}));
    const drilled = runOf({ bores: [{ from: 'front', shape: 'drill', diameter: 5, depth: 10 }] }, { way: 'from-bar' });
    const key = planned(drilled).setups[0]?.operations.find(({ kind }) => kind === 'drill')?.key ?? '';
    expect(tryCut(drilled, startValues, { key, setup: 1 }, { cut: { nose: 0.4 } })).toEqual({
      ok: false,
      because: expect.stringContaining('has no nose'),
    });
  });
});

test('a tool that is chosen after how it cuts keeps that: feed and nose go into the other tool', () => {
  const part = runOf(
    { outside: [step(20, 20)], details: [{ kind: 'groove', at: 8, width: 4, bottom: 16 }] },
    { way: 'from-bar' },
  );
  const groove = (overrules: Overrule[]) =>
    planned({ ...part, overrules })
      .setups.flatMap(({ operations }) => operations)
      .find(({ kind }) => kind === 'groove');
  const key = groove([])?.key ?? '';
  const cut: Overrule = { operation: key, cut: { feed: 0.03, edge: 'carbide' } };
  const tool: Overrule = { operation: key, tool: 'blade-2' };
  for (const overrules of [
    [cut, tool],
    [tool, cut],
  ]) {
    const operation = groove(overrules);
    expect(operation?.feed.value).toBe(0.03);
    expect(operation?.tool).toMatchObject({ listed: 'blade-2', edge: 'carbide', width: 2 });
  }
});

describe('standing out further', () => {
  const stands = (setup: 1 | 2) => planned(file).setups[setup - 1]?.setup.stickOut.value ?? NaN;
  const held = (stickOut: number, setup: 1 | 2, runFile = file) =>
    plannedAsUsual(
      { ...runFile, overrules: [{ setup, stickOut }] },
      runFile.way === 'sawn-blanks' ? runFile.way : 'from-bar',
    );

  test('gives way more, by the cube of the length where it is as stiff', () => {
    const [now, then] = [tried(FINISH, {}), tried(FINISH, {}, { stickOut: stands(1) + 10 })];
    expect(then.stickOut).toBeCloseTo((now.stickOut ?? 0) + 10, 9);
    expect(measured(then, 'too large by')?.value ?? 0).toBeGreaterThan(measured(now, 'too large by')?.value ?? 0);
  });

  test('from the bar it is room between blade and jaws, which the last piece wants as well', () => {
    const [now, then] = [planned(file), held(stands(1) + 10, 1)];
    expect(then.stock.jawClearance).toBeCloseTo(now.stock.jawClearance + 10, 9);
    expect(then.setups[0]?.setup.holding.from).toBeCloseTo((now.setups[0]?.setup.holding.from ?? 0) + 10, 9);
    expect(then.overrules).toMatchObject([{ state: 'kept' }]);
  });

  test('less than the piece and the blade take cannot be', () => {
    const pitch = planned(file).stock.each.value;
    expect(held(pitch - 1, 1).overrules).toMatchObject([
      {
        state: 'cannot',
        breaks: [{ because: expect.stringMatching(/A piece and the blade take .*; .* standing out were decided/) }],
      },
    ]);
    expect(tryCut(file, startValues, { key: FINISH, setup: 1 }, { cut: {}, stickOut: 5 })).toMatchObject({ ok: false });
  });

  const long = runOf(
    {
      material: 'mild-steel',
      outside: [step(16, 20), step(22, 50)],
      details: [{ kind: 'chamfer', at: 70, size: 1, side: 'back' }],
    },
    { way: 'from-bar' },
  );

  test('the second side is held further back, as long as enough is left to hold', () => {
    const second = (plan: ReturnType<typeof planned>) => plan.setups[1]?.setup;
    const now = second(planned(long));
    if (!now) throw new Error('it has a second side');
    const then = second(held(now.stickOut.value + 6, 2, long));
    expect(then?.holding.from).toBeCloseTo(now.holding.from + 6, 9);
    expect(then?.stickOut.value).toBeCloseTo(now.stickOut.value + 6, 9);
    expect((then?.holding.to ?? 0) - (then?.holding.from ?? 0)).toBeGreaterThan(0);
    const far = held(now.stickOut.value + 60, 2, long);
    expect(far.overrules).toMatchObject([
      { state: 'cannot', breaks: [{ because: expect.stringContaining('a hold of') }] },
    ]);
    expect(second(far)?.stickOut.value).toBeCloseTo(now.stickOut.value, 9);
  });

  test('a blank is held on less of itself', () => {
    const blank = { ...file, way: 'sawn-blanks' as const };
    const now = planned(blank).setups[0]?.setup;
    const then = held((now?.stickOut.value ?? 0) + 1, 1, blank).setups[0]?.setup;
    expect(then?.stickOut.value).toBeCloseTo((now?.stickOut.value ?? 0) + 1, 9);
    const length = (each: typeof now) => (each?.holding.to ?? 0) - (each?.holding.from ?? 0);
    expect(length(then)).toBeCloseTo(length(now) - 1, 9);
  });

  test('a trial that is kept takes the place of what was decided of the same before', () => {
    const tile = { key: FINISH, setup: 1 as const };
    const once = withTrial([], tile, { cut: { feed: 0.05 }, stickOut: 50 });
    expect(withTrial(once, tile, { cut: { nose: 0.8 }, stickOut: 55 })).toEqual([
      { operation: FINISH, cut: { nose: 0.8 } },
      { setup: 1, stickOut: 55 },
    ]);
    // Of the other set-up it says nothing.
    expect(withTrial(once, { key: FINISH, setup: 2 }, { cut: {}, stickOut: 30 })).toHaveLength(2);
  });
});
