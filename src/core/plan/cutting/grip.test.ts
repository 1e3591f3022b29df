import fc from 'fast-check';
import { startValues } from '../../model/shop/startValues';
import { planned, runOf, step } from '../../testing';
import {
  drivenBy,
  gripAt,
  gripLength,
  outOf,
  shortestGrip,
  slipAt,
  slipsBy,
  tipAt,
  torqueAt,
  type Holds,
} from './grip';

const [first] = planned(runOf({ outside: [step(30, 20)] }, { way: 'from-bar' })).setups;
const made = first?.setup;
if (!made) throw new Error('it has a set-up');

/** A holding by its figures; on the bar nothing stands behind it. */
const held = (holding: Partial<Holds['holding']>, more: Partial<Holds> = {}): Holds => ({
  ...made,
  supported: false,
  facing: 0,
  ...more,
  holding: { ...made.holding, kind: '3-jaw', diameter: 40, from: 20, to: 40, ...holding },
});
const lightly = (press: number): Holds['run'] => ({
  ...made.run,
  shop: {
    ...made.run.shop,
    cutting: { ...made.run.shop.cutting, gripForce: { ...made.run.shop.cutting.gripForce, 'soft-jaws': press } },
  },
});

describe('slip', () => {
  test('by hand: 20 000 N, friction 0.25, twice too much: 2 500 N on ⌀40, of which a cut on ⌀30 pushes half along', () => {
    // √((F · 30/40)² + (F/2)²) = 2 500: F = 2 500 / √(0.5625 + 0.25) = 2 773.5.
    expect(slipAt(30, held({}))).toBeCloseTo(2773.5, 1);
    // Something behind takes what pushes along: 2 500 · 40 / 30.
    expect(slipAt(30, held({}, { side: 2 }))).toBeCloseTo(3333.33, 1);
  });

  test('a drill of 20 N·m that pushes 2 000 N takes √((2 · 20 000 / 40)² + 2 000²) / 2 500 of it', () => {
    expect(slipsBy({ torque: 20, push: 2000 }, held({}))).toBeCloseTo(Math.hypot(1000, 2000) / 2500, 9);
    expect(slipsBy({ torque: 20, push: 2000 }, held({}, { side: 2 }))).toBeCloseTo(0.4, 9);
    // And at most √(2 500² − 2 000²) · 40 / 2000 = 30 N·m.
    expect(torqueAt(2000, held({}))).toBeCloseTo(30, 9);
  });

  test('a dog and a thread do not slip', () => {
    expect(slipAt(30, held({ kind: 'between-centres' }))).toBe(Infinity);
    expect(slipAt(30, held({ kind: 'threaded-holder' }))).toBe(Infinity);
  });
});

describe('tipping', () => {
  // A disc ⌀60 × 6, 3 mm of it in soft jaws pressed lightly with 8 000 N.
  const disc = (more: Partial<Holds['holding']> = {}) =>
    held({ kind: 'soft-jaws', diameter: 60, from: 3, to: 6, ...more }, { run: lightly(8000) });

  test('by hand: 0.64 · 8 000 · 1.5 / 2 over √((1.1 · 3)² + (60/4)²) = 15.36 is 250 N', () => {
    expect(gripLength(disc())).toBe(3);
    expect(outOf(0, disc())).toBe(3);
    expect(tipAt(60, 0, disc())).toBeCloseTo(250, 0);
  });

  test('seated on a step as wide as the tool is out, only the lever of 3.3 counts: 1 164 N', () => {
    expect(tipAt(60, 0, disc({ seated: true }))).toBeCloseTo(1164, 0);
    expect(tipAt(61, 0, disc({ seated: true }))).toBeLessThan(260);
  });

  test('a centre takes it away', () => {
    expect(tipAt(60, 0, held({}, { supported: true }))).toBe(Infinity);
  });

  test('what sits on a mandrel stands out only from where that is held', () => {
    const on = held({ kind: 'mandrel', diameter: 16, from: 30, to: 30, inside: 20 });
    expect([gripLength(on), outOf(0, on), outOf(15, on)]).toEqual([20, 10, 0]);
  });

  test('a longer grip never bears less, nor does standing out less; the lesser of slip and tipping is the limit', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 2, max: 60, noNaN: true }),
        fc.double({ min: 0.1, max: 20, noNaN: true }),
        fc.double({ min: 0, max: 80, noNaN: true }),
        fc.double({ min: 1, max: 60, noNaN: true }),
        (length, more, out, on) => {
          const bears = (grip: number, from: number) => gripAt(on, 0, held({ from, to: from + grip }));
          expect(bears(length + more, out)).toBeGreaterThanOrEqual(bears(length, out));
          expect(bears(length, out)).toBeGreaterThanOrEqual(bears(length, out + more));
          const candidate = held({ from: out, to: out + length });
          expect(gripAt(on, 0, candidate)).toBe(Math.min(slipAt(on, candidate), tipAt(on, 0, candidate)));
        },
      ),
    );
  });
});

test('the shortest grips: 5 mm in hard jaws, 2 in stepped soft ones, a thread by its diameter, a mandrel 0.7 of its bore', () => {
  const { cutting } = startValues;
  expect(shortestGrip('3-jaw', 80, cutting)).toBe(5);
  expect(shortestGrip('soft-jaws', 80, cutting)).toBe(2);
  expect(shortestGrip('threaded-holder', 12, cutting)).toBe(12);
  expect(shortestGrip('mandrel', 20, cutting)).toBeCloseTo(14, 9);
});

test('a ⌀20 drill through mild steel in three jaws on ⌀40, nothing behind: less feed, or a pilot, and never too much', () => {
  const shop = { ...startValues, machines: startValues.machines.map((machine) => ({ ...machine, spindleBore: 60 })) };
  const file = runOf(
    {
      material: 'mild-steel',
      outside: [step(40, 30)],
      bores: [{ from: 'front', shape: 'drill', diameter: 20, depth: 'through' }],
    },
    { way: 'from-bar', stock: { size: 40 }, rules: { pilot: 'never' } },
  );
  const [setup] = planned(file, shop).setups;
  const drill = setup?.operations.find(({ kind, diameter }) => kind === 'drill' && diameter === 20);
  if (!setup || !drill) throw new Error('it is drilled');
  const load = drill.passes[0]?.load;
  expect(setup.setup.holding.kind).toBe('3-jaw');
  expect(drill.feed.value).toBeLessThan(0.3);
  expect(drill.passes[0]?.limitedBy).toBe('holding');
  expect(
    slipsBy(
      drivenBy({ torque: load?.torque, thrust: load?.thrust } as Parameters<typeof drivenBy>[0], setup.setup),
      setup.setup,
    ),
  ).toBeLessThanOrEqual(1 + 1e-6);
});
