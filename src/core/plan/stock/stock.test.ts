import { sectionOf } from '../../model/shop/section';
import type { RunFile } from '../../read/runFile';
import { readRun } from '../../read/readRun';
import { startValues } from '../../model/shop/startValues';
import { example, planned, problemsOf, runOf, step } from '../../testing';
import { chooseBlade } from './blade';
import { smallestBar, stepsAsDrawn } from './bar';
import { planStock } from './choose';

const runFor = (file: RunFile) => {
  const run = readRun(file, startValues);
  if (!run.ok) throw new Error(JSON.stringify(run.problems));
  return run.value;
};

const barOf = (file: RunFile) => {
  const bar = planStock(runFor(file), 'sawn-blanks');
  if (!bar.ok) throw new Error(JSON.stringify(bar.problems));
  return bar.value;
};

const steel = (diameter: number | string, more: Partial<RunFile> = {}) =>
  runOf({ material: 'mild-steel', outside: [step(diameter, 30)] }, more);

describe('the smallest bar that cleans up', () => {
  test('drawn: 22 and 0.1 of run-out is less than 22 and two thinnest cuts of 0.1', () => {
    expect(smallestBar(runFor(steel(22)), 'drawn').value).toBeCloseTo(22.2, 9);
  });

  test('hot-rolled: 22 + 2 · 1.0 skin + 0.1 run-out', () => {
    expect(smallestBar(runFor(steel(22)), 'hot-rolled').value).toBeCloseTo(24.1, 9);
  });
});

describe('a bar left as it was drawn', () => {
  test('⌀20 h11 (−0.13) lies within ±0.2 of a general size', () => {
    expect(stepsAsDrawn(runFor(steel(20)), { form: 'round', size: 20, condition: 'drawn' })).toEqual([
      'part.outside[0]',
    ]);
  });

  test('not within a fit, not when it is critical, not hot-rolled', () => {
    expect(stepsAsDrawn(runFor(steel('20 h7')), { form: 'round', size: 20, condition: 'drawn' })).toEqual([]);
    expect(
      stepsAsDrawn(runFor(runOf({ outside: [step(20, 30, { critical: true })] })), {
        form: 'round',
        size: 20,
        condition: 'drawn',
      }),
    ).toEqual([]);
    expect(stepsAsDrawn(runFor(steel(20)), { form: 'round', size: 20, condition: 'hot-rolled' })).toEqual([]);
  });

  test('a bar of a smaller step’s size is no bar for the part', () => {
    expect(
      stepsAsDrawn(runFor(runOf({ outside: [step(12, 10), step(18, 10)] })), {
        form: 'round',
        size: 12,
        condition: 'drawn',
      }),
    ).toEqual([]);
  });

  test('two steps of the size, one of them fitted: neither stays', () => {
    const run = runFor(runOf({ outside: [step(20, 10), step('20 h7', 10)] }));
    expect(stepsAsDrawn(run, { form: 'round', size: 20, condition: 'drawn' })).toEqual([]);
  });
});

describe('the bar that is chosen', () => {
  test('the lightest that does, with those that lost and why', () => {
    const bar = barOf(steel('21 h9'));
    expect(bar).toMatchObject({ size: 22, condition: 'drawn', barLength: 3000 });
    const words = bar.reasons.map(({ because }) => because);
    // π/4 · 22² · 3000 · 7.85 / 10⁶ = 8.952 kg at 2 € are 17.90 €.
    expect(words[0]).toContain('⌀22 drawn costs least over the run: 17.90 € of stock');
    expect(words[1]).toContain('21.2 mm is needed');
    // ⌀25: 11.560 kg are 23.12 €, and more of it is turned away.
    expect(words).toContainEqual(
      expect.stringMatching(/^⌀25 drawn would do too, and costs \d+\.\d\d € more.*23\.12 € of stock/),
    );
    expect(words).toContainEqual(expect.stringContaining('⌀22 hot-rolled: will not clean up; 23.1 mm'));
  });

  test('a hexagon of the drawing is left from hex bar, its round turned within the flats', () => {
    const bar = barOf(runOf({ outside: [step(12, 20), { shape: 'hex', across: 17, length: 8 }] }, { quantity: 40 }));
    expect(bar).toMatchObject({ form: 'hex', size: 17, asDrawn: ['part.outside[1]'] });
    // Across corners 17 / cos 30° = 19.63; hexagon √3/2 · 17² = 250.3 mm² against π/4 · 20² = 314.2 mm² of round bar.
    expect(bar.over).toBeCloseTo(19.6299, 4);
    expect(sectionOf(bar)).toBeCloseTo(250.281, 3);
    expect(bar.reasons.map(({ because }) => because)).toContainEqual(expect.stringContaining('⌀20 drawn would do too'));
  });

  test('a round from hex bar must lie within the flats: ⌀14 needs 14.2 across', () => {
    const hex = (size: number) => problemsOf(steel(14, { stock: { form: 'hex', size } }));
    expect(hex(14)).toContainEqual({ path: 'stock.size', message: expect.stringContaining('14.2 mm is the smallest') });
    expect(barOf(steel(14, { stock: { form: 'hex', size: 17 } })).asDrawn).toEqual([]);
  });

  test('a round that lies on the rack saves the order of a hexagon, and costs the milling of its flats', () => {
    const rack = [
      {
        material: 'brass-cw614n',
        form: 'round' as const,
        size: 28,
        bore: 0,
        condition: 'drawn' as const,
        free: 3000,
        longest: 3000,
      },
    ];
    const file = { ...example('gland-body'), quantity: 5 };
    expect(planned(file, { ...startValues, rack }).stock).toMatchObject({ form: 'hex', size: 24 });
    // Were milling for nothing, the 12 of the order would decide.
    const outside = { ...startValues.outside, load: 0, millSetup: 0, millFlat: 0 };
    const { form, cost } = planned(file, { ...startValues, rack, outside }).stock;
    expect([form, cost.milling.value]).toEqual(['round', 0]);
  });

  test('hollow work from tube when it pays, its bore left as the hole', () => {
    const ring = runOf(
      {
        material: 'bronze',
        outside: [step(39, 30)],
        bores: [{ from: 'front', shape: 'drill', diameter: '28', depth: 'through' }],
      },
      { quantity: 60 },
    );
    // π/4 (40² − 28²) = 640.9 mm² at 1.6 of the price against 1256.6 mm² of solid bar.
    expect(barOf(ring)).toMatchObject({ form: 'tube', size: 40, bore: 28, asDrawn: ['part.bores[0]'] });
    const solid = { ...ring, part: { ...ring.part, bores: [] } };
    expect(barOf(solid).form).toBe('round');
  });

  test('a tube that is open too far, or a part that is solid somewhere', () => {
    const tube = { form: 'tube' as const, size: 40, bore: 28 };
    const part = (depth: string) => ({
      outside: [step(39, 30)],
      bores: [{ from: 'front' as const, shape: 'drill' as const, diameter: 20, depth }],
    });
    expect(problemsOf(runOf(part('through'), { stock: tube }))[0]?.message).toContain('does not clean up to 20 mm');
    expect(problemsOf(runOf(part('12'), { stock: tube }))[0]?.message).toContain('not hollow all the way');
  });

  test('a bar longer than the spindle takes is cut first, each length with its own remnant', () => {
    const run = runFor(runOf({ outside: [step(12, 20), step(18, 12)] }, { quantity: 100, spares: 0 }));
    const short = { ...run, shop: { ...run.shop, machine: { ...run.shop.machine, longestBar: 1000 } } };
    const stock = planStock(short, 'from-bar');
    // Three lengths of (3000 − 2 · 2.5) / 3 = 998.33: (998.33 − 0.5 − 27 − 5) / 34.6 = 27.9, so 3 · 27.
    expect(stock.ok && stock.value.piecesPerBar.value).toBe(81);
  });

  test('spare pieces: 100 and 1 and 2 %, or what the run says', () => {
    const toMake = (more: Partial<RunFile>) => barOf(steel(20, { quantity: 100, ...more })).toMake.value;
    expect(toMake({})).toBe(103);
    // Up to three have none: the first-off is one of them.
    expect([1, 3, 4].map((quantity) => toMake({ quantity }))).toEqual([1, 3, 6]);
    expect(toMake({ spares: 0 })).toBe(100);
  });

  test('a spigot to hold by makes the blank longer: 30 + 1 + 1 + 6', () => {
    expect(barOf(steel(20, { allowances: { spigot: 6 } })).each.value).toBeCloseTo(38, 9);
  });

  test('an inch run is made from inch bars of twelve feet', () => {
    const bar = barOf(runOf({ outside: [step('.45', 1)] }, { units: 'in' }));
    expect(bar.size).toBeCloseTo(12.7, 9);
    expect(bar.barLength).toBeCloseTo(3657.6, 9);
  });

  test('a named bar is taken as it is, its length from the list when left out', () => {
    expect(barOf(steel(20, { stock: { size: '1 in', barLength: '2 m' } }))).toMatchObject({
      size: 25.4,
      barLength: 2000,
    });
    expect(barOf(steel(20, { stock: { size: 24 } })).barLength).toBe(3000);
  });
});

describe('the blade', () => {
  const bladeOf = (file: RunFile, over = 0) => {
    const blade = chooseBlade(runFor(file), over);
    return blade.ok ? blade.value : blade.problems[0];
  };

  test('brass ⌀12: 6 + 1 = 7 mm of reach, the 1.5 reaches 9', () => {
    expect(bladeOf(runOf({ outside: [step(12, 20)] }))).toMatchObject({ width: 1.5 });
  });

  test('out of a bar of ⌀19 its holder would meet what is not turned behind the cut: 9.5, and the 2 reaches 13', () => {
    // The 1.5 reaches 9, and its edge goes 0.1 past the middle: 8.9 is the most.
    expect(bladeOf(runOf({ outside: [step(12, 20)] }), 17.8)).toMatchObject({ width: 1.5 });
    expect(bladeOf(runOf({ outside: [step(12, 20)] }), 18)).toMatchObject({ width: 2 });
    expect(bladeOf(runOf({ outside: [step(12, 20)] }), 19)).toMatchObject({ width: 2 });
  });

  test('steel wants an eighth of the reach: ⌀30 is 16 mm, 2 wide at least, and the 2 reaches 13 only', () => {
    expect(bladeOf(steel(30))).toMatchObject({ width: 2.5 });
  });

  test('a through hole shortens the way', () => {
    const hollow = runOf({
      outside: [step(30, 20)],
      bores: [{ from: 'front', shape: 'drill', diameter: 20, depth: 'through' }],
    });
    expect(bladeOf(hollow)).toMatchObject({ width: 1.5 });
  });

  test('a measured width stands for the blade it was measured on', () => {
    expect(bladeOf(steel(20, { allowances: { bladeWidth: 2.42 } }))).toMatchObject({
      width: 2.42,
      tool: { id: 'blade-2.5' },
    });
  });

  test('nothing reaches the centre of ⌀80', () => {
    expect(bladeOf(steel('78 -0.1/0'))).toMatchObject({
      path: 'part.outside',
      message: expect.stringContaining('40 mm are needed'),
    });
  });
});

describe('pieces and bars, both ways, by hand', () => {
  const both = (quantity: number) => {
    const run = runFor(runOf({ outside: [step(12, 20), step(18, 12)] }, { quantity, spares: 0 }));
    return (['from-bar', 'sawn-blanks'] as const).map((way) => {
      const stock = planStock(run, way);
      if (!stock.ok) throw new Error(JSON.stringify(stock.problems));
      return stock.value;
    });
  };

  test('pitch 32 + 0.3 + 2 + 0.3 = 34.6; blank 32 + 1 + 1 = 34', () => {
    const [bar, blanks] = both(100);
    // ⌀18: 9 + 1 = 10 of reach wants the blade of 2.
    expect(bar?.each.value).toBeCloseTo(34.6, 9);
    expect(blanks?.each.value).toBeCloseTo(34, 9);
  });

  test('(3000 − 0.5 − 27 − 5) / 34.6 = 85.8; (3000 + 2.5) / 36.5 = 82.3', () => {
    const [bar, blanks] = both(100);
    expect(bar?.gripRemnant.value).toBeCloseTo(1.5 * 18, 9);
    expect([bar?.piecesPerBar.value, blanks?.piecesPerBar.value]).toEqual([85, 82]);
  });

  test('a whole number of bars: 85 is one, 86 are two; 82 and 83', () => {
    expect(both(85)[0]?.bars.value).toBe(1);
    expect(both(86)[0]?.bars.value).toBe(2);
    expect([both(82)[1]?.bars.value, both(83)[1]?.bars.value]).toEqual([1, 2]);
  });

  test('what is left of the last bar is never less than nothing', () => {
    const [bar, blanks] = both(82);
    expect(bar?.leftOver.value).toBeCloseTo(3000 - 0.5 - 82 * 34.6, 6);
    expect(blanks?.leftOver.value).toBeCloseTo(3000 - 82 * 36.5, 6);
  });

  test('thin bar keeps the least remnant', () => {
    expect(planned(runOf({ outside: [step(4, 12)] })).stock.gripRemnant.value).toBe(20);
  });
});
