import type { RunFile } from '../../read/runFile';
import { startValues } from '../../model/shop/startValues';
import { planFile } from '../plan';
import { freeLevers, planned, plannedAsUsual, runOf, step } from '../../testing';
import { pecksFor } from './drill';

/** The operations of a kind, of all set-ups. */
const operationsOf = (file: RunFile, kind: string) =>
  planned(file).setups.flatMap(({ operations }) => operations.filter((operation) => operation.kind === kind));
const only = (file: RunFile, kind: string) => {
  const [operation] = operationsOf(file, kind);
  if (!operation) throw new Error(`nothing of kind ${kind}`);
  return operation;
};
const fromBar = { way: 'from-bar' as const };
const hole = (diameter: number | string, depth: number | string) => ({
  from: 'front' as const,
  shape: 'drill' as const,
  diameter,
  depth,
});

describe('facing', () => {
  test('⌀12 parted, 0.3 on it: one pass over (6 + 2) at 0.1 and 2000 rev/min is 0.04 min', () => {
    const face = only(runOf({ outside: [step(12, 20)] }, fromBar), 'face');
    expect(face.passes).toHaveLength(1);
    expect(face.cutting.value).toBeCloseTo(8 / 200, 9);
    expect(face).toMatchObject({ from: -0.3, to: 0 });
  });

  test('more than the material’s deepest cut is taken in equal passes', () => {
    const face = only(
      runOf({ material: 'mild-steel', outside: [step(12, 20)] }, { ...fromBar, allowances: { frontFacing: 4 } }),
      'face',
    );
    expect(face.passes.map(({ depth, z }) => [depth.toFixed(3), z?.toFixed(3)])).toEqual([
      ['1.333', '-2.667'],
      ['1.333', '-1.333'],
      ['1.333', '0.000'],
    ]);
  });

  test('nothing to face is no operation', () => {
    const file = runOf({ outside: [step(12, 20)] }, { ...fromBar, allowances: { backFacing: 0 } });
    expect(operationsOf(file, 'face').map(({ key }) => key)).toEqual(['face:front']);
  });

  test('a sawn face is cut at 0.7 of the speed: 180 · 0.7 over ⌀60 is 668 rev/min, the machine has 560', () => {
    const blank = only(
      runOf({ outside: [step(30, 25), step(60, 20)] }, { way: 'sawn-blanks', stock: { size: 60 } }),
      'face',
    );
    expect(blank.speed.terms.map(({ symbol }) => symbol)).toContain('i');
    expect(blank.speed.value).toBe(560);
  });

  test('the second face measures the length over all, to the sum of the steps’ limits', () => {
    const file = runOf({ outside: [step(8, '10 ±0.1'), step(12, '10 -0.2/0')] }, fromBar);
    const [first, second] = operationsOf(file, 'face');
    expect(first?.checks).toEqual([]);
    expect(second?.checks[0]).toMatchObject({
      measures: 'length',
      size: { nominal: 20, lower: expect.closeTo(-0.3, 9), upper: expect.closeTo(0.1, 9) },
    });
  });

  test('a hollow face is cut down to its bore only', () => {
    const second = operationsOf(runOf({ outside: [step(20, 20)], bores: [hole(8, 'through')] }, fromBar), 'face')[1];
    // (10 + 2 − 4) / (0.1 · 2000).
    expect(second?.cutting.value).toBeCloseTo(8 / 200, 9);
  });
});

describe('drilling', () => {
  test('pecks by hand: ⌀4 to 12 in one, to 13 in two, to 20 in three', () => {
    expect([12, 13, 20].map((depth) => pecksFor(depth, 4, 3, 1))).toEqual([1, 2, 3]);
  });

  test('a blind hole: full diameter to its depth, the tip 0.3 d further; fed 0.025 d in brass, but no faster than a hand winds', () => {
    const drill = only(runOf({ outside: [step(20, 30)], bores: [hole(6, 12)] }, fromBar), 'drill');
    expect(drill.fullDepth).toBe(12);
    expect(drill.to).toBeCloseTo(12 + 6 * 0.3004, 3);
    // 75 · 0.8 over ⌀6 wants 3183 rev/min, so 2000; 0.15 of that were 300 mm a minute, and 40 turns of 5 are 200: 0.1.
    expect([drill.speed.value, drill.feed.value]).toEqual([2000, 0.1]);
    expect(drill.cutting.value).toBeCloseTo((14 + 1.8026) / 200, 4);
  });

  test('a through hole in a blank ends past its far end, not past a blade', () => {
    const drill = only(
      runOf({ outside: [step(14, 20), step(23, 15)], bores: [hole(6, 'through')] }, { way: 'sawn-blanks' }),
      'drill',
    );
    // 35 and 1 behind it, and 1 to break through.
    expect(drill.fullDepth).toBeCloseTo(37, 9);
  });

  test('the feed of a large drill is held at 0.3', () => {
    const bores = [hole(21, 'through')];
    const large = runOf({ material: 'acetal', outside: [step(34, 30)], bores }, fromBar);
    const shop = { ...startValues, cutting: { ...startValues.cutting, windings: 1000 } };
    const plan = planFile(large, shop, 'wanted');
    const drill = plan.ok && plan.value.setups.flatMap((s) => s.operations).find(({ kind }) => kind === 'drill');
    expect(drill && drill.feed.value).toBe(0.3);
  });

  test('a pilot only in tough material, only over 12 mm, only where the house wants it', () => {
    const drills = (material: string, diameter: number, rules = {}) =>
      operationsOf(
        runOf({ material, outside: [step(30, 30)], bores: [hole(diameter, 'through')] }, { ...fromBar, rules }),
        'drill',
      ).map(({ diameter: figure }) => figure);
    expect(drills('mild-steel', 13)).toEqual([4.6, 13]);
    expect(drills('mild-steel', 12)).toEqual([12]);
    expect(drills('brass-cw614n', 13)).toEqual([13]);
    expect(drills('mild-steel', 13, { pilot: 'never' })).toEqual([13]);
  });

  test('the centre may be left out before a stout drill where the house says so', () => {
    const centres = (diameter: number) =>
      operationsOf(
        runOf(
          { outside: [step(20, 30)], bores: [hole(diameter, 10)] },
          { ...fromBar, rules: { centreDrill: 'slender-only' } },
        ),
        'centre',
      ).length;
    expect([centres(5), centres(10)]).toEqual([1, 0]);
  });

  test('a drill may be any whose diameter lies within the limits of the hole', () => {
    const drill = only(runOf({ outside: [step(20, 30)], bores: [hole('6.05 ±0.1', 10)] }, fromBar), 'drill');
    expect([6, 6.1]).toContain(drill.diameter);
  });

  test('a bore finer than a twist drill holds is planned and warned of', () => {
    const drill = only(runOf({ outside: [step(20, 30)], bores: [hole('6 H7', 10)] }, fromBar), 'drill');
    expect(drill.warnings.join()).toContain('holds about IT12');
  });
});

describe('turning', () => {
  test('nothing to rough when only the finish is on it', () => {
    // ⌀20 bar, ⌀19.6 wanted: 0.2 a side.
    const kinds = planned(
      runOf({ outside: [step('19.6 h9', 20)] }, { ...fromBar, stock: { size: 20 } }),
    ).setups[0]?.operations.map(({ kind }) => kind);
    expect(kinds).not.toContain('turn-rough');
    expect(kinds).toContain('turn-finish');
  });

  test('roughing stops before the shoulder and leaves a quarter on the side', () => {
    const rough = only(runOf({ outside: [step('10 h9', 12), step(16, 8)] }, fromBar), 'turn-rough');
    expect(rough.to).toBeCloseTo(11.9, 9);
    // 10 h9 is 10 − 0.018 in the middle.
    expect(rough.diameter).toBeCloseTo(10 - 0.018 + 0.5, 9);
  });

  test('the motor’s power bounds the depth: 1.5 · 0.75 kW at 120 m/min in 42CrMo4', () => {
    const rough = only(
      runOf(
        { material: 'alloy-steel-42crmo4', outside: [step('20 h9', 20), step(32, 20)] },
        { ...fromBar, stock: { size: 32 } },
      ),
      'turn-rough',
    );
    // 100 m/min on ⌀32 is 995, the machine has 800: 80.4 m/min. kc = 1750 · 0.2^−0.25 = 2617; 1.125 · 60000 / (80.4 · 2617 · 0.2) = 1.604 a side.
    expect(rough.passes.every(({ depth }) => depth <= 1.5 + 1e-9)).toBe(true);
    const file = runOf(
      { material: 'mild-steel', outside: [step('18.7 h9', 20), step(25, 20)] },
      { ...fromBar, stock: { size: 25 } },
    );
    // Where the feed trips by itself, so that a shoulder is no reason to feed it slower.
    const machines = startValues.machines.map((machine) => ({ ...machine, trips: true }));
    const plan = planFile(file, { ...startValues, machines }, 'wanted');
    const quick = plan.ok && plan.value.setups.flatMap((s) => s.operations).find(({ kind }) => kind === 'turn-rough');
    if (!quick) throw new Error('no roughing');
    // 140 on ⌀25 is 1783, the machine has 1600: 125.7 m/min, kc 1500 · 0.2^−0.22 = 2137: 1.256 a side,
    // and 2.913 are to go: three passes where the material alone would bear two.
    // Those take 3 · (22.9 / (0.2 · 1600) + 0.12) = 0.575 min. At 0.15 a millimetre wants 341.6 N, so 1.573 are allowed:
    // two passes in 2 · (22.9 / (0.15 · 1600) + 0.12) = 0.431, the fewest minutes.
    expect(quick.passes).toHaveLength(2);
    expect(quick.feed.value).toBe(0.15);
    expect(quick.warnings.join()).toContain('Held back: the motor gives no more');
  });

  test('the finish feed follows the roughness: Ra 0.4 at r 0.4 is √(32 · 0.4 · 0.4 / 1000) = 0.0716, the gearbox has 0.06', () => {
    const finish = only(
      runOf({ outside: [step('10 h9', 12, { roughness: 0.4 }), step(16, 8)] }, fromBar),
      'turn-finish',
    );
    const feeds = operationsOf(
      runOf({ outside: [step('10 h9', 12, { roughness: 0.4 }), step(16, 8)] }, fromBar),
      'turn-finish',
    ).map(({ feed }) => feed.value);
    expect(feeds).toEqual([0.06]);
    expect(finish.feed.note).toContain('0.072');
  });

  test('a shaft standing out more than three times is turned at 0.7 of the speed', () => {
    const speedOf = (length: number) =>
      only(
        runOf(
          { material: 'tool-steel', outside: [step('18 h9', length), step(22, 12)] },
          { ...fromBar, stock: { size: 22 } },
        ),
        'turn-rough',
      ).speed;
    expect(speedOf(20).terms.map(({ symbol }) => symbol)).not.toContain('o');
    expect(speedOf(50).terms.map(({ symbol }) => symbol)).toContain('o');
  });
});

describe('chamfering and parting', () => {
  test('a chamfer is as wide as it lies on its edge: to 1.5 at the speed of turning, to 3 at half, wider as a form', () => {
    const chamferOf = (leg: number) => {
      const file = runOf({ outside: [step(30, 20, { chamfers: { front: leg } })] }, fromBar);
      const found = plannedAsUsual(file, 'from-bar', freeLevers).setups[0]?.operations.find(
        ({ kind }) => kind === 'chamfer',
      );
      if (!found) throw new Error('it is chamfered');
      return found;
    };
    // 180 over ⌀30 is 1910 rev/min; half of it 955, 0.3 of it 573. 1 · √2 is 1.41, 1.1 · √2 is 1.56, 2.2 · √2 is 3.11.
    expect([1, 1.1, 2.1, 2.2].map((leg) => chamferOf(leg).speed.value)).toEqual([1600, 800, 800, 560]);
    const slowOnes = [1, 1.1, 2.2].map((leg) => chamferOf(leg).cautions.some(({ text }) => text.includes('low speed')));
    expect(slowOnes).toEqual([false, true, true]);
    const chamfer = chamferOf(1);
    expect(chamfer).toMatchObject({ from: 0, to: 1 });
    expect(chamfer.stop.settings[0]?.setting.value).toBe(1);
  });

  test('the offset of a tool moves its stop, and only its own', () => {
    const shop = {
      ...startValues,
      tools: startValues.tools.map((tool) => (tool.id === 'finisher' ? { ...tool, offset: 1.5 } : tool)),
    };
    const plan = planFile(runOf({ outside: [step('10 h9', 12), step(16, 8)] }, fromBar), shop);
    if (!plan.ok) throw new Error('no plan');
    const settings = plan.value.setups[0]?.operations.map(({ kind, stop }) => [kind, stop.settings[0]?.setting.value]);
    expect(settings).toContainEqual(['turn-finish', 13.5]);
    expect(settings).toContainEqual(['turn-rough', expect.closeTo(11.9, 9)]);
  });

  test('a blade touched on its right edge names that setting first', () => {
    const shop = {
      ...startValues,
      tools: startValues.tools.map((tool) =>
        tool.does.includes('part-off') ? { ...tool, touched: 'right' as const } : tool,
      ),
    };
    const plan = planFile(runOf({ outside: [step(12, 20)] }, fromBar), shop);
    const part = plan.ok ? plan.value.setups[0]?.operations.at(-1) : undefined;
    expect(part?.stop.settings.map(({ edge, setting }) => [edge, setting.value])).toEqual([
      ['right', expect.closeTo(20.3, 9)],
      ['left', expect.closeTo(21.8, 9)],
    ]);
  });

  test('parting goes to the centre, or to the wall of a bore, and warns of the ring', () => {
    const solid = only(runOf({ outside: [step(12, 20)] }, fromBar), 'part-off');
    expect(solid.cutting.value).toBeCloseTo((6 + 2) / (0.04 * solid.speed.value), 9);
    const hollow = only(runOf({ outside: [step(12, 20)], bores: [hole(6, 'through')] }, fromBar), 'part-off');
    expect(hollow.cutting.value).toBeCloseTo((6 + 2 - 3) / (0.04 * hollow.speed.value), 9);
    expect(hollow.warnings.join()).toContain('catch it on a rod');
    expect(solid.warnings).toEqual([]);
  });
});

test('a thin wall is told by the operation that makes it', () => {
  const plan = planned(runOf({ outside: [step(20, 30)], bores: [hole(17, 'through')] }, fromBar));
  // 1.5 of ⌀20 is 7.5 %.
  expect(plan.warnings.join('\n')).toMatch(/Drill ⌀17 through: Leaves a wall of 1.5 mm under ⌀20, less than 10 %/);
});
