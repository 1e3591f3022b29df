import fc from 'fast-check';
import type { RunFile } from '../../read/runFile';
import { startValues } from '../../model/shop/startValues';
import { operationsOf, planned, runOf, step } from '../../testing';
import { barBends, betweenBends, centredBends, freeEndBends } from './deflection';
import { springsFor } from './load';

const STEEL = 210_000;

describe('bending, by the reference figures', () => {
  test('steel ⌀10, 40 out, 50 N: 0.01035 at a free end, 0.000283 half-way to a centre', () => {
    expect(freeEndBends(50, 40, 10, STEEL)).toBeCloseTo(0.01035, 5);
    expect(centredBends(50, 40, 10, STEEL)).toBeCloseTo(0.000283, 6);
  });

  test('a bar of ⌀8, 32 out, 60 N: 0.01552', () => {
    expect(barBends(60, 32, 8, STEEL)).toBeCloseTo(0.01552, 5);
  });

  test('on two centres: a sixteenth of a free end', () => {
    expect(betweenBends(50, 40, 10, STEEL)).toBeCloseTo(freeEndBends(50, 40, 10, STEEL) / 16, 12);
  });

  test('longer and thinner always gives way more', () => {
    const size = fc.double({ min: 1, max: 100, noNaN: true });
    fc.assert(
      fc.property(size, size, fc.double({ min: 1.01, max: 3, noNaN: true }), (length, diameter, times) => {
        for (const bends of [freeEndBends, centredBends, betweenBends]) {
          expect(bends(100, length * times, diameter, STEEL)).toBeGreaterThan(bends(100, length, diameter, STEEL));
          expect(bends(100, length, diameter * times, STEEL)).toBeLessThan(bends(100, length, diameter, STEEL));
        }
      }),
    );
  });
});

describe('what a pass asks for', () => {
  const pin = (length: number, more: Partial<RunFile> = {}): RunFile =>
    runOf({ material: 'mild-steel', outside: [step('10 h7', length), step(16, 12)] }, { way: 'from-bar', ...more });
  // As far out as it stands by itself, tough and close: it gives way as much as its limits bear.
  const slender = runOf(
    { material: 'alloy-steel-42crmo4', outside: [step('10 h6', 32), step(16, 12)] },
    { way: 'from-bar' },
  );
  const finish = (file: RunFile) => {
    const found = operationsOf(file).find(({ kind }) => kind === 'turn-finish');
    if (!found) throw new Error('it is finished');
    return found;
  };

  test('force: 1500 · f^(1 − 0.22) · a of the finishing feed; power of it at the speed reached', () => {
    const { passes, feed, achieved } = finish(pin(20));
    const [pass] = passes;
    const force = 1500 * feed.value ** (1 - 0.22) * (pass?.depth ?? 0);
    expect(pass?.load?.force?.value).toBeCloseTo(force, 6);
    expect(pass?.load?.power.value).toBeCloseTo((force * achieved.value) / 60_000, 9);
  });

  test('a straight length gives way as the formula has it, from its jaws to where the cut begins', () => {
    const file = runOf({ material: 'mild-steel', outside: [step(15.5, 40)] }, { way: 'from-bar', stock: { size: 16 } });
    const { setup, operations } = planned(file).setups[0] as ReturnType<typeof planned>['setups'][number];
    const operation = operations.find(({ kind }) => kind === 'turn-finish');
    const { force, bends } = operation?.passes.at(-1)?.load ?? {};
    const length = setup.holding.from;
    expect(bends?.terms.find(({ symbol }) => symbol === 'L')?.value).toBeCloseTo(length, 9);
    // Nearly all of it is ⌀16.
    expect(bends?.terms.find(({ symbol }) => symbol === 'd')?.value).toBeCloseTo(16, 0);
    const d = bends?.terms.find(({ symbol }) => symbol === 'd')?.value ?? 0;
    expect(bends?.value).toBeCloseTo(freeEndBends(0.4 * (force?.value ?? 0), length, d, STEEL), 9);
  });

  // A house that never cuts again without infeed.
  const never = { ...startValues, cutting: { ...startValues.cutting, mostSprings: 0 } };
  const finished = (file: RunFile, shop = startValues) => {
    const operation = planned(file, shop).setups[0]?.operations.find(({ kind }) => kind === 'turn-finish');
    if (!operation) throw new Error('it is finished');
    return operation;
  };
  const warned = (file: RunFile, shop = startValues) =>
    finished(file, shop).warnings.filter((text) => text.startsWith('The work deflects'));

  test('short it says nothing; slender it is told how much too large it comes out, and what helps most', () => {
    expect(warned(pin(12), never)).toEqual([]);
    const told = warned(slender, never);
    expect(told).toHaveLength(1);
    const bends = finished(slender, never).passes.at(-1)?.load?.bends?.value ?? 0;
    // h6 of ⌀10 leaves 0.009.
    expect(2 * bends).toBeGreaterThan(0.009 / 3);
    expect(told[0]).toContain(
      `${(2 * bends).toFixed(3)} mm too large on the diameter, and the drawing leaves 0.009 mm: a centre at its end would leave hardly`,
    );
    // Under a centre it gives way a thirty-seventh as much at the same length.
    const centred = finish(pin(70)).passes.at(-1)?.load?.bends;
    expect(centred?.formula).toContain('768');
  });

  test('too large by more than a third of what the drawing leaves: cut once more without infeed, and nothing is left to tell', () => {
    const { passes } = finished(slender);
    const last = finished(slender, never).passes.length;
    expect(passes.slice(last)).toMatchObject([{ depth: 0, limitedBy: 'again' }]);
    expect(warned(slender)).toEqual([]);
    expect(finished(pin(12)).passes.every(({ depth }) => depth > 0)).toBe(true);
  });

  test('spring passes: each leaves the share that the work gives way by, until a third of the tolerance or the most', () => {
    // 2 · 0.01 = 0.02; by 0.01 / 0.1 a pass: 0.002, then 0.0002.
    expect(springsFor(0.01, 0.1, 0.1, 2)).toBe(0);
    expect(springsFor(0.01, 0.1, 0.03, 2)).toBe(1);
    expect(springsFor(0.01, 0.1, 0.003, 2)).toBe(2);
    expect(springsFor(0.01, 0.1, 0.0003, 2)).toBe(2);
  });

  test('roughness of a pass: f² by 32 of the nose, in µm', () => {
    const { passes, feed } = finish(pin(20));
    expect(passes[0]?.load?.roughness?.value).toBeCloseTo((1000 * feed.value ** 2) / (32 * 0.4), 9);
  });

  test('more depth never fewer newtons', () => {
    for (const { passes } of operationsOf(pin(30)).filter(({ kind }) => kind === 'turn-rough'))
      for (const [index, pass] of passes.entries()) {
        const next = passes[index + 1];
        if (next && next.depth > pass.depth)
          expect(next.load?.force?.value).toBeGreaterThan(pass.load?.force?.value ?? 0);
      }
  });
});

describe('a boring bar', () => {
  const cup = runOf({
    material: 'mild-steel',
    outside: [step(40, 60)],
    bores: [{ from: 'front', shape: 'bore', diameter: '20 H9', depth: 40, bottom: 'flat' }],
  });
  const bored = (shop = startValues) => {
    const operation = planned(cup, shop)
      .setups.flatMap(({ operations }) => operations)
      .find(({ kind }) => kind === 'bore');
    if (!operation) throw new Error('it is bored');
    return operation;
  };

  test('each pass says what the bar gives way by: 64 q F L³ / (3 π E d⁴) (trade: Cutting)', () => {
    const { tool, to, passes } = bored();
    const { force, bends } = passes[0]?.load ?? {};
    const out = to + startValues.allowances.toolClearance;
    const { radialForce: q, barElasticity } = startValues.cutting;
    const by = (64 * q * (force?.value ?? 0) * out ** 3) / (3 * Math.PI * barElasticity * (tool.diameter ?? 0) ** 4);
    expect(bends?.value).toBeCloseTo(by, 9);
    expect(passes.map(({ limitedBy }) => limitedBy)).toEqual(['stock', 'finish']);
  });

  test('where roughing would bend it into the last cut it is taken in more passes, and says that the bar holds it', () => {
    const shop = { ...startValues, cutting: { ...startValues.cutting, roughBend: 0.01 } };
    const { passes } = bored(shop);
    const rough = passes.slice(0, -1);
    expect(rough.length).toBeGreaterThan(bored().passes.length - 1);
    expect(rough.every(({ limitedBy }) => limitedBy === 'bar')).toBe(true);
    // A hundredth of the 0.15 that is left to finish.
    for (const { load } of rough) expect(load?.bends?.value ?? 1).toBeLessThanOrEqual(0.0015 + 1e-9);
  });
});
