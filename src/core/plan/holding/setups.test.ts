import type { RunFile, StepFile } from '../../read/runFile';
import { startValues } from '../../model/shop/startValues';
import { planned, problemsOf, runOf, step } from '../../testing';

const setupsOf = (outside: StepFile[], more: Partial<RunFile> = {}, part: Partial<RunFile['part']> = {}) =>
  planned(runOf({ outside, ...part }, more)).setups.map(({ setup }) => setup);

describe('what is turned from which end', () => {
  test('rising to the back: everything from the front, the largest through to the blade', () => {
    const [first, second] = setupsOf([step(8, 10), step(12, 10), step(17, 10)], { way: 'from-bar' });
    // 30 + 0.3 back facing + blade 2 (17 / 2 + 1 = 9.5 of reach).
    expect(first?.turned).toEqual([
      { path: 'part.outside[0]', to: 10, shoulder: true },
      { path: 'part.outside[1]', to: 20, shoulder: true },
      { path: 'part.outside[2]', to: 32.3, shoulder: false },
    ]);
    expect(second?.turned).toEqual([]);
  });

  test('rising and falling: the back part from the back, counted from its own face', () => {
    const [first, second] = setupsOf([step(10, 12), step(17, 8), step(8, 9)], { way: 'from-bar' });
    expect(first?.turned.map(({ path }) => path)).toEqual(['part.outside[0]', 'part.outside[1]']);
    expect(second).toMatchObject({ end: 'back', turned: [{ path: 'part.outside[2]', to: 9, shoulder: true }] });
    // What the first set-up left is the largest diameter, turned through.
    expect(second?.outerRadius).toBeCloseTo(8.5, 9);
  });

  test('a step as drawn is turned from neither', () => {
    const setups = setupsOf([step(10, 12), step(18, 8), step(8, 9)], { way: 'from-bar' });
    expect(setups.flatMap(({ turned }) => turned.map(({ path }) => path))).toEqual([
      'part.outside[0]',
      'part.outside[2]',
    ]);
  });

  test('blanks: what is held in the first set-up is turned in the second, past its end', () => {
    const [first, second] = setupsOf([step(14, 20), step(23, 15)], { way: 'sawn-blanks' });
    expect(first?.turned).toEqual([{ path: 'part.outside[0]', to: 20, shoulder: true }]);
    expect(second?.turned).toEqual([{ path: 'part.outside[1]', to: 16, shoulder: false }]);
  });

  test('an edge that would face the jaws when its step is turned: the other end goes first', () => {
    const [first, second] = setupsOf([step(14, 20), step(23, 15, { chamfers: { front: 1 } })], { way: 'sawn-blanks' });
    expect(first).toMatchObject({ end: 'back', chamfered: [] });
    expect(second).toMatchObject({ end: 'front', chamfered: ['part.outside[1].chamfers.front'] });
  });

  test('where the other end cannot go first either, the edge is refused where it stands', () => {
    // Nothing of the 2 behind is enough to hold it by from the other end first.
    const outside = [step(20, 1), step(44, 15, { chamfers: { front: 0.5 } })];
    expect(problemsOf(runOf({ outside }, { way: 'sawn-blanks', allowances: { spigot: 'none' } }))).toContainEqual({
      path: 'part.outside[1].chamfers.front',
      message: expect.stringContaining('faces the jaws'),
    });
  });
});

describe('what the second side is held by', () => {
  test('a collet where one fits; the shoulder against it when there is one', () => {
    const [, second] = setupsOf([step(10, 12), step(17, 8), step(8, 9)], { way: 'from-bar' });
    // ⌀17 is 8 long, 2 of it clear: 6 is enough, and 11 from the back face is nearer than ⌀10 behind it.
    expect(second?.holding).toMatchObject({ kind: 'collet', grip: 'part.outside[1]', from: 11, to: 17 });
    expect(second?.stickOut.value).toBeCloseTo(11 + 0.3, 9);
  });

  test('hard jaws with a sleeve on a plain diameter too large for collets, soft jaws on a fitted one', () => {
    const plain = setupsOf([step(34, 30)], { way: 'from-bar' })[1];
    expect(plain?.holding.kind).toBe('3-jaw');
    expect(plain?.reasons[0]?.because).toContain('sleeve of soft sheet');
    expect(setupsOf([step('34 h8', 30)], { way: 'from-bar' })[1]?.holding.kind).toBe('soft-jaws');
  });

  test('a chamfer shortens the hold: 3.5 with a chamfer of 1, and 1 clear at the nearest, is 1.5, and soft jaws want 2', () => {
    const ring = (length: number) =>
      runOf({ outside: [step(12, length, { chamfers: { front: 1, back: 1 } })] }, { way: 'from-bar' });
    expect(problemsOf(ring(3.5))[0]?.message).toContain('the best is ⌀12 with 1.5 mm of 2 mm needed');
    expect(planned(ring(4.5)).setups[1]?.setup.holding).toMatchObject({ kind: 'soft-jaws', from: 1, seated: true });
  });

  test('a vee on the rim leaves its tool room before the jaws on the hub: 49 min instead of 95 on a mandrel', () => {
    const pulley = runOf(
      {
        material: 'aluminium-6082',
        outside: [step(90, 20), step(40, 18)],
        details: [{ kind: 'vee', at: 10, included: 38, depth: 12, bottom: 8 }],
        bores: [{ from: 'front', shape: 'bore', diameter: '20 H7', depth: 'through' }],
      },
      { quantity: 4 },
    );
    const { setups, proof } = planned(pulley, startValues, {});
    const second = setups[1]?.setup;
    expect(setups.map(({ setup }) => setup.end)).toEqual(['back', 'front']);
    expect(second?.holding).toMatchObject({ kind: '3-jaw', grip: 'part.outside[1]' });
    // At the rim it is 4 + 12 · tan 19° = 8.13 to either side of 10, so that it ends at 18.13: 1 to what is beside it, 2 clear.
    expect(second?.holding.from).toBeCloseTo(10 + 4 + 12 * Math.tan((19 * Math.PI) / 180) + 3, 6);
    expect(proof.faults).toEqual([]);
  });

  test('a wall that gets thin under the jaws while it is bored is held all round: 2 under ⌀40', () => {
    const cup = (bore: number) =>
      setupsOf(
        [step(40, 30)],
        { firstEnd: 'back' },
        { material: 'aluminium-6082', bores: [{ from: 'front', shape: 'bore', diameter: bore, depth: 28 }] },
      ).map(({ holding }) => holding.kind);
    expect(cup(36)[1]).toBe('soft-jaws');
    // A tenth of it, 4, is thick enough for three jaws.
    expect(cup(32)[1]).toBe('3-jaw');
  });

  test('no longer than the jaws cover', () => {
    const holding = setupsOf([step(12, 60)], { way: 'from-bar' })[1]?.holding;
    expect((holding?.to ?? 0) - (holding?.from ?? 0)).toBe(25);
  });
});

test('what is to be ground is held at what is left on it: ⌀6 m6, aimed at 6.008, with 0.2 is 6.21', () => {
  const file = runOf(
    {
      material: 'tool-steel',
      outside: [step('6 m6', 30, { name: 'pin' })],
      elsewhere: [{ kind: 'grind', on: 'pin', leave: 0.2 }],
    },
    { way: 'from-bar' },
  );
  const plan = planned(file);
  expect(plan.setups.at(-1)?.setup.holding.diameter).toBeCloseTo(6.21, 9);
  expect(plan.proof.faults).toEqual([]);
});

describe('which holes go into which set-up', () => {
  const bores = (depth: string | number) => [{ from: 'front' as const, shape: 'drill' as const, diameter: 5, depth }];

  test('from the front in the first', () => {
    const [first, second] = planned(runOf({ outside: [step(12, 30)], bores: bores(10) })).setups;
    expect(first?.setup.drilled).toEqual(['part.bores[0]']);
    expect(second?.setup.drilled).toEqual([]);
  });

  test('back first: a blind hole waits for its side, a through hole goes at once', () => {
    const backFirst = (depth: string | number) =>
      planned(runOf({ outside: [step(24, 4), step(12, 20)], bores: bores(depth) })).setups.map(({ setup }) => [
        setup.end,
        setup.drilled,
      ]);
    expect(backFirst(10)).toEqual([
      ['back', []],
      ['front', ['part.bores[0]']],
    ]);
    expect(backFirst('through')).toEqual([
      ['back', ['part.bores[0]']],
      ['front', []],
    ]);
  });
});

test('the stick-out of a blank is what a tool reaches, facing and clearance', () => {
  const [first] = setupsOf([step(14, 20), step(23, 15)], { way: 'sawn-blanks' });
  expect(first?.stickOut.value).toBeCloseTo(20 + 1 + 2, 9);
  // 35 + 1 behind, less 22 to the jaws.
  expect(first?.holding).toMatchObject({ from: 22, to: 36 });
});

describe('what is left on a blank', () => {
  const blank = (
    outside: StepFile[],
    allowances: NonNullable<RunFile['allowances']>,
    more: Partial<RunFile['part']> = {},
  ) => planned(runOf({ outside, ...more }, { way: 'sawn-blanks', allowances }));

  test('a spigot as long as the hold needs: the first set-up turns the whole part, the second faces it off', () => {
    const { stock, setups } = blank([step(14, 20), step(23, 15)], { spigot: 'choose' });
    // 35 long, 1 to face, 1 overrun and 2 clear stand out, at most four times the grip: 39 / 4 = 9.75 of it, and 2 clear of
    // the jaws, 1 overrun, less 1 of facing that is held too.
    expect(stock.spigot).toBeCloseTo(11.75, 9);
    expect(stock.each.value).toBeCloseTo(35 + 1 + 1 + 11.75, 9);
    expect(setups.map(({ setup }) => setup.turned.length)).toEqual([2, 0]);
    expect(setups[0]?.setup.holding).toMatchObject({ from: 38, to: 47.75 });
    const [only, ...others] = setups[1]?.operations ?? [];
    expect(others.map(({ kind }) => kind)).toEqual(['deburr']);
    expect(only).toMatchObject({ name: 'Face the back, spigot off', from: -12.75, to: 0 });
    // 12.75 mm in cuts of at most 2.5.
    expect(only?.passes).toHaveLength(6);
  });

  test('an end for a centre: faced, centred, turned under the centre, and off before the edge and the hole', () => {
    const bores = [{ from: 'front' as const, shape: 'drill' as const, diameter: 5, depth: 8 }];
    const { stock, setups } = blank(
      [step(12, 30, { chamfers: { front: 1 } }), step(17, 15)],
      { centreEnd: 'choose' },
      { bores },
    );
    // Start 6; the centre hole is 3.15 deep and 1 beyond it is less.
    expect(stock.centreEnd).toBe(6);
    expect(stock.each.value).toBeCloseTo(45 + 2 + 6, 9);
    const [first, second] = setups;
    expect(first?.setup).toMatchObject({ supported: true, facing: 7, centreEnd: 6 });
    const route = first?.operations.map(({ kind, feature }) => `${kind} ${feature}`) ?? [];
    const place = (name: string) => route.findIndex((word) => word.startsWith(name));
    const inOrder = ['face face', 'centre centre-end', 'turn-rough', 'turn-finish', 'face centre-end'];
    expect(inOrder.map(place)).toEqual(inOrder.map(place).sort((a, b) => a - b));
    expect(place('face face')).toBe(0);
    for (const late of ['chamfer', 'centre part.bores', 'drill'])
      expect(place(late)).toBeGreaterThan(place('face centre-end'));
    const by = (name: string) => first?.operations[place(name)];
    expect(by('centre centre-end')).toMatchObject({ from: -6, to: -6 + 3.15 });
    expect(by('turn-rough')?.from).toBe(-6);
    expect(by('face centre-end')).toMatchObject({ from: -6, to: 0 });
    // One centre in, one out; the second set-up has none.
    const hands = first?.operations.flatMap(({ hand }) => hand.terms.map(({ name, value }) => ({ name, value }))) ?? [];
    expect(hands.filter(({ name, value }) => name === 'centre into the tailstock and up' && value > 0)).toHaveLength(1);
    expect(second?.setup).toMatchObject({ centreEnd: 0 });
  });

  test('an end that is shorter than the centre hole is refused, and so is a spigot on a bar', () => {
    const outside = [step(12, 30), step(17, 15)];
    const short = runOf({ outside }, { way: 'sawn-blanks', allowances: { centreEnd: 3 } });
    expect(problemsOf(short)).toContainEqual({
      path: 'allowances.centreEnd',
      message: expect.stringContaining('the centre hole is 3.15 mm deep'),
    });
    const bar = runOf({ outside }, { way: 'from-bar', allowances: { spigot: 'choose' } });
    expect(problemsOf(bar)[0]).toMatchObject({ path: 'allowances.spigot' });
    // Left open, the way is the one that keeps it: the other says why it cannot be.
    const plan = planned(runOf({ outside }, { allowances: { spigot: 'choose' } }));
    expect(plan.way).toBe('sawn-blanks');
    expect(plan.ways.find(({ way }) => way === 'from-bar')?.problem?.message).toContain('only a sawn blank keeps one');
  });
});

describe('what the stock is held by', () => {
  const first = (outside: StepFile[], more: Partial<RunFile> = {}, part: Partial<RunFile['part']> = {}) =>
    planned(runOf({ outside, ...part }, more)).setups[0]?.setup;
  const fromBar = { way: 'from-bar' as const };

  test('drawn bar in a collet up to what the collets take, else in the chuck', () => {
    expect(first([step(17, 20)], fromBar)?.holding).toMatchObject({ kind: 'collet', runOut: 0.03, load: 0.25 });
    expect(first([step(34, 20)], fromBar)?.holding).toMatchObject({ kind: '3-jaw', runOut: 0.1, load: 0.6 });
  });

  test('a bar with its skin on, or with flats, is to no size that a collet has', () => {
    const stock = (form: 'round' | 'hex', size: number, condition: 'drawn' | 'hot-rolled') => ({
      ...fromBar,
      stock: { form, size, barLength: 3000, condition },
    });
    expect(first([step(17, 20)], stock('round', 22, 'hot-rolled'))?.holding.kind).toBe('3-jaw');
    expect(first([step(12, 20)], stock('hex', 17, 'drawn'))?.holding.kind).toBe('3-jaw');
  });

  test('run-out asked to the bar’s own skin: 0.1 of the chuck is too much for 0.05, the four jaws are dialled', () => {
    const found = (limit: number) =>
      first([step(20, 12, { name: 'seat' }), step(35, 20, { name: 'rim' })], fromBar, {
        runout: [{ of: 'seat', to: 'rim', limit }],
      });
    expect(found(0.1)?.holding.kind).toBe('3-jaw');
    const dialled = found(0.05);
    // For one bar: 8 + 4 min, and soft jaws would be 12 + 0.4.
    expect(dialled?.holding).toMatchObject({ kind: '4-jaw', runOut: 0.02 });
    expect(dialled?.reasons).toContainEqual({
      rule: 'SAME-SETUP',
      because: expect.stringContaining('to the bar’s own skin'),
    });
  });

  test('decided for the first set-up: it is taken, and costs what the chuck takes more', () => {
    const file = runOf({ outside: [step(17, 20)] }, fromBar);
    const decided = { ...file, overrules: [{ setup: 1 as const, holding: { kind: '3-jaw' } }] };
    const [plain, jaws] = [planned(file), planned(decided)];
    expect(jaws.setups[0]?.setup.holding.kind).toBe('3-jaw');
    expect(jaws.setups[1]?.setup.holding).toEqual(plain.setups[1]?.setup.holding);
    expect(jaws.overrules).toMatchObject([{ state: 'kept', breaks: [] }]);
    // 6 for 2 once, 0.6 for 0.25 for the one bar.
    expect(jaws.times.batch.value - plain.times.batch.value).toBeCloseTo(4 + 0.35, 9);
  });

  test('decided, but a collet of that size there is not', () => {
    const overrules = [{ setup: 1 as const, holding: { kind: 'collet' } }];
    const plan = planned(runOf({ outside: [step(34, 20)] }, { ...fromBar, overrules }));
    expect(plan.setups[0]?.setup.holding.kind).toBe('3-jaw');
    expect(plan.overrules).toMatchObject([{ state: 'cannot' }]);
  });
});
