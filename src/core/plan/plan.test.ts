import { holdOf } from '../present/hold';
import { usual } from './skeleton';
import type { Figure } from '../model/figure';
import { planFileOf } from '../formats/planFile';
import { startValues } from '../model/shop/startValues';
import { planFile } from './plan';
import { planFileSchema } from '../formats/planFileSchema';
import { checkShape } from '../read/problems';
import { example, planned, runOf, step } from '../testing';

/** All plans of examples/, as files. */
const planOf = (name: string) => planFileOf(planned(example(name)));
const operation = (name: string, number: number) => {
  const found = planOf(name)
    .setups.flatMap(({ operations }) => operations)
    .find((each) => each.number === number);
  if (!found) throw new Error(`${name} has no operation ${number}`);
  return found;
};
const EXAMPLES = [
  'sensor-spacer',
  'pivot-pin',
  'vane-spindle',
  'terminal-pillar',
  'cup-arm-hub',
  'mast-collar',
  'valve-needle-blank',
];

describe('sensor spacer, worked by hand', () => {
  const plan = planOf('sensor-spacer');

  test('stock: pitch 22 + 0.3 + 2.5 + 0.3 = 25.1; stick-out 30.1', () => {
    expect(plan.stock).toMatchObject({
      way: 'from-bar',
      pitch: 25.1,
      blankLength: null,
      stickOut: 30.1,
      bladeWidth: 2.5,
    });
  });

  test('pieces: (3000 − 0.5 − 60 − 5) / 25.1 = 116.9, so 116; 120 pieces want 2 bars', () => {
    expect(plan.stock).toMatchObject({ piecesPerBar: 116, bars: 2 });
    // 120 and 1 for the first-off and 3 for scrap (2 %) are 124; the second bar gives 8: 3000 − 0.5 − 8 · 25.1.
    expect(plan.stock.leftOver).toBeCloseTo(2798.7, 6);
  });

  test('stock mass: 2 · π/4 · 30² · 3000 · 2.70 g/cm³ = 11.451 kg', () => {
    expect(plan.stock.massKilograms).toBeCloseTo(11.451, 3);
  });

  test('part mass: π/4 (14² · 9 + 26² · 13 − 6.8² · 22) less two chamfers · 2.70 = 19.99 g', () => {
    // A 0.5 chamfer at radius R takes c² · π · (R − c/3): 5.37 mm³ at R 7, 10.08 mm³ at R 13.
    const mm3 =
      (Math.PI / 4) * (14 ** 2 * 9 + 26 ** 2 * 13 - 6.8 ** 2 * 22) -
      Math.PI * 0.25 * (7 - 1 / 6) -
      Math.PI * 0.25 * (13 - 1 / 6);
    expect(plan.part.massGrams).toBeCloseTo((mm3 * 2.7) / 1000, 2);
  });

  test('part off: the blade’s right edge at 22.3, its left at 24.8', () => {
    expect(operation('sensor-spacer', 110)).toMatchObject({
      kind: 'part-off',
      to: { z: 22.3 },
      from: { z: 24.8 },
      stop: { setting: 24.8, edges: { left: 24.8, right: 22.3 } },
    });
  });

  test('the through hole: full depth 22 + 0.3 + 2.5 + 1 = 25.8, tip 0.3004 · 6.8 = 2.043 further', () => {
    const drill = operation('sensor-spacer', 50);
    expect(drill.fullDepth).toBeCloseTo(25.8, 6);
    expect(drill.to.z).toBeCloseTo(27.843, 3);
    expect(drill.stop.setting).toBeCloseTo(27.843, 3);
  });

  test('roughing ⌀26.5 to ⌀14.486: 6.007 a side in three passes of 2.002, none over 2.5', () => {
    const passes = operation('sensor-spacer', 30).passes;
    expect(passes.map(({ depth }) => depth.toFixed(3))).toEqual(['2.002', '2.002', '2.002']);
    expect(passes.at(-1)?.diameter).toBeCloseTo(14.4865, 4);
  });

  test('finishing to the middle of 14 h8 (−0.027/0): 13.9865, the stop at the middle of 9 (0/+0.05)', () => {
    const finish = operation('sensor-spacer', 70);
    expect(finish.passes.at(-1)?.diameter).toBeCloseTo(13.9865, 4);
    expect(finish.stop.setting).toBeCloseTo(9.025, 6);
  });

  test('speed: 1000 · 280 / (π · 30) = 2971, the machine has 2000; the lever stays at 1600, as for roughing into a shoulder at 240 a minute; reached π · 30 · 1600 / 1000 = 150.8 m/min', () => {
    expect(operation('sensor-spacer', 10)).toMatchObject({ spindleSpeed: 1600, cuttingSpeed: 150.8 });
  });

  test('finishing time: (9 + 2 + 1 + 6.2568 − 1) / (0.1 · 2000) + 1 / 60 by hand = 0.103 min, fed so that the chip breaks; the shoulder stands from 13.9865 to the roughed 26.5', () => {
    expect(operation('sensor-spacer', 70).minutes.cutting).toBeCloseTo(
      (9 + 2 + 1 + (26.5 - 13.9865) / 2 - 1) / 200 + 1 / 60,
      4,
    );
  });
});

test('pivot pin: bar ⌀10 stays as drawn (h11 −0.09 within ±0.1); 2 equal last cuts for h7', () => {
  const plan = planOf('pivot-pin');
  expect(plan.stock).toMatchObject({ size: 10, condition: 'drawn', way: 'from-bar' });
  // 5.994 is the middle of 6 h7; 0.25 a side in two.
  expect(operation('pivot-pin', 30).passes.map(({ depth, diameter }) => [depth, diameter])).toEqual([
    [0.125, 6.244],
    [0.125, 5.994],
  ]);
  // Ra 0.8 at r 0.4: √(32 · 0.4 · 0.8 / 1000) = 0.101, so the usual 0.08 holds.
  expect(operation('pivot-pin', 30).feed).toBe(0.08);
  expect(plan.setups[1]?.holding).toMatchObject({ kind: 'collet', grip: 'part.outside[0]', diameter: 6 });
});

test('vane spindle: grows and falls again, so the lower journal is turned in the second set-up, held on the body', () => {
  const [first, second] = planOf('vane-spindle').setups;
  expect(first?.operations.map(({ feature }) => feature)).not.toContain('part.outside[3]');
  expect(second?.operations.filter(({ feature }) => feature === 'part.outside[3]').map(({ kind }) => kind)).toEqual([
    'turn-rough',
    'turn-finish',
  ]);
  expect(second?.holding.grip).toBe('part.outside[1]');
  // The shoulder of the journal is 14 from the back face, 43 from the front.
  expect(second?.operations.find(({ kind }) => kind === 'turn-finish')).toMatchObject({
    to: { z: 43 },
    stop: { setting: 14 },
  });
});

test('terminal pillar in inches: pitch 1.40625 + 2 · 0.3 mm + blade 1.5 mm; the blind hole to its full diameter', () => {
  const plan = planOf('terminal-pillar');
  expect(plan.part.length).toBeCloseTo(35.7188, 4);
  expect(plan.stock.pitch).toBeCloseTo(35.71875 + 0.6 + 1.5, 3);
  const drill = plan.setups[0]?.operations.find(({ kind }) => kind === 'drill');
  expect(drill).toMatchObject({ tool: 'drill-1-8″', fullDepth: 12.7 });
  // Point 3.175 · 0.3004 = 0.954; pecks: 9.525, then every 3.175 to 12.7: two.
  expect(drill?.to.z).toBeCloseTo(13.654, 3);
  expect(drill?.pecks).toBe(2);
});

test('cup-arm hub: ⌀45 does not pass the spindle, so blanks of 27 + 1 + 1; the wide hole after the deep one', () => {
  const plan = planOf('cup-arm-hub');
  expect(plan.stock).toMatchObject({ way: 'sawn-blanks', blankLength: 29, pitch: null });
  // (3000 + 2.5) / (29 + 2.5) = 95.3.
  expect(plan.stock.piecesPerBar).toBe(95);
  const drills = plan.setups[0]?.operations.filter(({ kind }) => kind === 'drill').map(({ tool }) => tool);
  expect(drills).toEqual(['drill-8', 'drill-13']);
  expect(plan.time.ways.find(({ way }) => way === 'from-bar')?.problem?.message).toContain(
    'does not pass the spindle bore',
  );
});

test('mast collar: 0.35 · 16 = 5.6 is the pilot in steel; a wall of 9 to part off wants 10 reach', () => {
  const plan = planOf('mast-collar');
  expect(plan.setups[0]?.operations.filter(({ kind }) => kind === 'drill').map(({ tool }) => tool)).toEqual([
    'drill-5.6',
    'drill-16',
  ]);
  // (34 − 16) / 2 + 1 = 10 mm reach: the 2 mm blade reaches 13 and is at least 10 / 8 wide.
  expect(plan.stock.bladeWidth).toBe(2);
});

test('valve needle blank: only the back first leaves something to hold, and the plan says so', () => {
  // The quickest, which is not the first that is sound.
  const quickest = planned(example('valve-needle-blank'), startValues, { until: 'settled' });
  const [centred, first, second] = planFileOf(quickest).setups;
  expect([centred?.end, first?.end, second?.end]).toEqual(['back', 'back', 'front']);
  expect(first?.reasons[0]).toMatchObject({ rule: 'GRIP-LEFT' });
  // Its z are of the drawing: the shoulder of the stem is 5 from the front.
  expect(first?.operations.find(({ kind }) => kind === 'turn-finish')).toMatchObject({
    to: { z: 5 },
    stop: { setting: 20 },
  });
});

describe('reference runs (trade: Reference figures)', () => {
  const bar = { quantity: 100, stock: { size: 30, barLength: 3000 } as const, way: 'from-bar' as const };

  test('3 m bar, length 22, facing 0.5 + 0.3, blade 2.5, remnant 60, clean-up 0: pitch 25.3, 116 pieces', () => {
    const { stock } = planFileOf(
      planned(
        runOf(
          { outside: [step(26, 22)] },
          { ...bar, allowances: { frontFacing: 0.5, backFacing: 0.3, bladeWidth: 2.5, gripRemnant: 60, firstEnd: 0 } },
        ),
      ),
    );
    expect(stock).toMatchObject({ pitch: 25.3, piecesPerBar: 116 });
  });

  test('3 m bar, blank 26, kerf 1.6: 108 blanks', () => {
    const { stock } = planFileOf(
      planned(
        runOf({ outside: [step(18, 12), step(26, 12)] }, { ...bar, way: 'sawn-blanks', allowances: { kerf: 1.6 } }),
      ),
    );
    expect(stock).toMatchObject({ blankLength: 26, piecesPerBar: 108 });
  });
});

test('a plan file has the published shape', () => {
  for (const name of EXAMPLES)
    expect(checkShape(planFileSchema, JSON.parse(JSON.stringify(planOf(name))))).toMatchObject({ ok: true });
});

/** Works a formula as a person with a pocket calculator would, from the values it names. */
function worked({ formula, terms, value, unit }: Figure): number {
  const script = formula
    .replace(/·/g, '*')
    .replace(/−/g, '-')
    .replace(/π/g, 'Math.PI')
    .replace(/²/g, '**2')
    .replace(/\^/g, '**')
    .replace(/√/g, 'Math.sqrt')
    .replace(/\b(floor|ceil|max|min)\(/g, 'Math.$1(');
  const snap = (wanted: number) => (value <= wanted + 1e-9 ? value : unit === 'rev/min' ? value : NaN);
  return Number(
    new Function('snap', 'sin', ...terms.map(({ symbol }) => symbol), `return ${script}`)(
      snap,
      (degrees: number) => Math.sin((degrees * Math.PI) / 180),
      ...terms.map((term) => term.value),
    ),
  );
}

test('every figure of every example works out to its value by its own formula', () => {
  const figures: Figure[] = [];
  const visit = (value: unknown): void => {
    if (value === null || typeof value !== 'object') return;
    if ('formula' in value && 'terms' in value) figures.push(value as Figure);
    Object.values(value).forEach(visit);
  };
  EXAMPLES.forEach((name) => {
    const { setups, stock, times } = planned(example(name));
    visit([
      stock,
      times,
      setups.map(holdOf),
      setups.map(({ operations, loading, setting, piece, workStop, setup }) => [
        operations.map(({ speed, feed, achieved, cutting, hand, passes, stop }) => [
          speed,
          feed,
          achieved,
          cutting,
          hand,
          passes,
          stop,
        ]),
        loading,
        setting,
        piece,
        workStop,
        setup.stickOut,
      ]),
    ]);
  });
  expect(figures.length).toBeGreaterThan(500);
  for (const figure of figures)
    expect({ name: figure.name, formula: figure.formula, value: worked(figure) }).toEqual({
      name: figure.name,
      formula: figure.formula,
      value: expect.closeTo(figure.value, 6),
    });
});

describe('a shaft that stands out too far to be turned without a centre', () => {
  const AT_ONCE = { only: [usual('from-bar')] };
  const shaft = (stickOut?: '1.5d' | '4d') =>
    planned(
      runOf(
        { material: 'mild-steel', outside: [step('12 h8', 70), step(16, 20)] },
        { way: 'from-bar', ...(stickOut ? { rules: { stickOut } } : {}) },
      ),
      startValues,
      AT_ONCE,
    );
  const handOf = (plan: ReturnType<typeof shaft>, kind: string) =>
    plan.setups[0]?.operations.find((operation) => operation.kind === kind)?.hand.terms.map(({ name }) => name) ?? [];

  test('97.1 of ⌀16 is more than four times: centred before turning, the centre up for it and out before parting', () => {
    const plan = shaft();
    expect(plan.setups[0]?.setup).toMatchObject({
      supported: true,
      reasons: [{ rule: 'HOLDING' }, { rule: 'CENTRE-SUPPORT' }],
    });
    expect(plan.setups[0]?.operations.map(({ kind }) => kind)).toEqual([
      'face',
      'centre',
      'turn-rough',
      'turn-finish',
      'deburr',
      'inspect',
      'part-off',
    ]);
    expect(handOf(plan, 'turn-rough')).toContain('centre into the tailstock and up');
    expect(handOf(plan, 'turn-finish')).not.toContain('centre into the tailstock and up');
    expect(handOf(plan, 'part-off')).toContain('centre out');
    expect(plan.setups[0]?.setup.cautions.map(({ text }) => text).join()).toContain(
      'Take the centre out before parting off',
    );
    expect(plan.warnings.join()).toContain('see that the drawing allows it');
  });

  test('a short piece is planned without one, unless the house is strict', () => {
    const short = (stickOut: '1.5d' | '4d') =>
      planned(
        runOf({ outside: [step(10, 25)] }, { way: 'from-bar', stock: { size: 12 }, rules: { stickOut } }),
        startValues,
        AT_ONCE,
      ).setups[0]?.setup.supported;
    expect([short('4d'), short('1.5d')]).toEqual([false, true]);
  });
});

test('the material’s own caution is told in every set-up', () => {
  for (const { setup } of planned(runOf({ material: 'titanium-gr5' })).setups)
    expect(setup.cautions.map(({ text }) => text).join()).toContain('titanium chips burn');
});

describe('what a drawing leaves open', () => {
  const lid = (material: string | string[]) =>
    runOf({
      material,
      outside: [
        step('30 h9', 6),
        { shape: 'cylinder', diameter: { size: 40, free: true }, length: { size: 5, about: true } },
      ],
    });

  test('is not measured: the one size that counts is', () => {
    const checks = planned(lid('brass-cw614n')).setups.flatMap(({ operations }) =>
      operations.flatMap((operation) => operation.checks.map(({ what }) => what)),
    );
    expect(checks.filter((what) => what.includes('40') || what === 'length 5')).toEqual([]);
    expect(checks.some((what) => what.includes('30'))).toBe(true);
  });

  test('a depth with limits is measured where the drill, the bar or the tap makes it; a plain one is not', () => {
    const whats = (depth: string | number) =>
      planned(
        runOf({
          outside: [step(20, 30)],
          bores: [
            { from: 'front', shape: 'drill', diameter: 6, depth },
            { from: 'back', shape: 'tap', designation: 'M6', depth },
          ],
        }),
      ).setups.flatMap(({ operations }) =>
        operations.flatMap(({ kind, checks }) =>
          checks.flatMap(({ what }) => (what.startsWith('depth') ? [`${kind}: ${what}`] : [])),
        ),
      );
    expect(whats('10 ±0.1')).toEqual(expect.arrayContaining(['drill: depth 10 mm', 'tap: depth 10 mm']));
    expect(whats(10)).toEqual([]);
  });

  test('of several materials that the shop has none of it is said where', () => {
    const refused = planFile(lid(['unobtainium', 'mithril']), startValues);
    expect(refused.ok ? [] : refused.problems[0]).toMatchObject({
      path: 'part.material',
      message: expect.stringContaining('“unobtainium”, “mithril” is not in the shop') as string,
    });
  });
});
