import { readLevel } from '../formats/rackFile';
import { planFile } from '../plan/plan';
import { startValues } from '../model/shop/startValues';
import { planned, runOf, step } from '../testing';
import { pickFromRack } from './pick';
import { freeFor, onHandFor, shortages, type RackItem } from './rack';

const item = (id: number, length: number, more: Partial<RackItem> = {}): RackItem => ({
  id,
  material: 'brass-cw614n',
  form: 'round',
  size: 18,
  bore: 0,
  condition: 'drawn',
  length,
  offcut: length < 3000,
  batch: '',
  place: '',
  reserved: [],
  ...more,
});

const file = runOf({ outside: [step(12, 20), step(18, 12)] }, { quantity: 100, spares: 0, way: 'from-bar' });

describe('picking bars and offcuts for a run', () => {
  // A piece takes 34.6; 0.5 for the end, 27 to hold and 5 of room are lost of every bar.
  const { stock } = planned(file);
  const pick = (items: RackItem[], run?: number) => {
    const { picked, missing, barsToBuy } = pickFromRack(stock, 'brass-cw614n', items, run);
    return {
      of: picked.map(({ item: candidate, pieces, length }) => [candidate.id, pieces, Number(length.toFixed(3))]),
      missing,
      barsToBuy,
    };
  };

  test('offcuts first, the shorter before the longer; the rest from a bar', () => {
    // (300 − 32.5) / 34.6 = 7.7; (1000 − 32.5) / 34.6 = 27.96; 66 of the 85 of a bar.
    expect(pick([item(1, 3000), item(2, 1000), item(3, 300)])).toEqual({
      of: [
        [3, 7, 32.5 + 7 * 34.6],
        [2, 27, 32.5 + 27 * 34.6],
        [1, 66, 32.5 + 66 * 34.6],
      ].map(([id, pieces, length]) => [id, pieces, Number(length?.toFixed(3))]),
      missing: 0,
      barsToBuy: 0,
    });
  });

  test('another section, another grade and what others reserved are not taken; the rest is bought', () => {
    const items = [
      item(1, 3000, { size: 20 }),
      item(2, 3000, { material: 'bronze' }),
      item(3, 3000, { reserved: [{ run: 4, length: 2980 }] }),
    ];
    expect(pick(items)).toEqual({ of: [], missing: 100, barsToBuy: 2 });
    expect(pick(items, 4).of).toEqual([[3, 85, expect.closeTo(32.5 + 85 * 34.6, 3)]]);
  });
});

describe('choosing with the rack in view', () => {
  const choose = (rack: RackItem[], run?: number) => {
    const plan = planFile(file, { ...startValues, rack: onHandFor(rack, run) });
    if (!plan.ok) throw new Error(JSON.stringify(plan.problems));
    return plan.value.stock;
  };

  test('a bar that must be ordered costs the order; one that lies there does not', () => {
    expect(choose([]).cost.order.value).toBe(startValues.rates.order);
    const there = choose([item(1, 3000), item(2, 3000)]);
    expect(there.cost.order.value).toBe(0);
    expect(there.reasons.find(({ rule }) => rule === 'RACK')?.because).toBe(
      'The rack has 6.00 m of it free, and the run takes 3.52 m: nothing to order.',
    );
  });

  test('what another run reserved is not there, what the run itself reserved is', () => {
    const reserved = [item(1, 3000, { reserved: [{ run: 7, length: 3000 }] }), item(2, 3000)];
    expect(choose(reserved, 8).cost.order.value).toBe(startValues.rates.order);
    expect(choose(reserved, 7).cost.order.value).toBe(0);
    expect(freeFor(reserved[0] as RackItem, 7)).toBe(3000);
  });

  test('a size that nobody sells is taken when enough of it is there, and only then', () => {
    // ⌀18.7 does for ⌀18 and is less to turn away than the next that is sold, ⌀20; no order either.
    const odd = (length: number) => item(1, length, { size: 18.7 });
    const wide = runOf(
      { outside: [step(12, 20), step('18 -0.1/0', 12)] },
      { quantity: 20, spares: 0, way: 'from-bar' },
    );
    const sizeOf = (rack: RackItem[]) => {
      const plan = planFile(wide, { ...startValues, rack: onHandFor(rack, undefined) });
      return plan.ok && plan.value.stock.size;
    };
    expect(sizeOf([odd(3000)])).toBe(18.7);
    expect(sizeOf([odd(300)])).not.toBe(18.7);
  });

  test('a bar that others have reserved whole is bought like any other', () => {
    const taken = choose([item(1, 3000, { reserved: [{ run: 7, length: 3000 }] })], 8);
    expect(taken.barLength).toBe(3000);
    expect(taken.reasons).toEqual(choose([]).reasons);
  });

  test('a rack that nobody knows of changes nothing', () => {
    expect(planned(file).stock.cost.order.value).toBe(0);
    expect(planned(file).stock.reasons.some(({ rule }) => rule === 'RACK')).toBe(false);
  });
});

describe('the low-stock list', () => {
  const section = { material: 'brass-cw614n', form: 'round', size: 18, bore: 0, condition: 'drawn' } as const;

  test('what the runs need and what is to be kept, less what is free: 4 + 3 − 5', () => {
    expect(
      shortages([{ run: 1, section, length: 4000 }], [item(1, 3000), item(2, 2000)], [{ ...section, least: 3000 }]),
    ).toEqual([{ section, needed: 4000, least: 3000, free: 5000, runs: [1] }]);
    expect(shortages([{ run: 1, section, length: 4000 }], [item(1, 3000), item(2, 2000)])).toEqual([]);
  });

  test('a section that is to be kept is told when there is none of it at all', () => {
    expect(shortages([], [], [{ ...section, least: 6000 }])).toMatchObject([{ needed: 0, least: 6000, free: 0 }]);
  });

  test('a level is read with its unit; nothing is none, and less than nothing is refused', () => {
    const read = (least: string | number) => readLevel({ ...section, least }, [section.material]);
    expect(read('6 m')).toMatchObject({ ok: true, value: { least: 6000 } });
    expect(read('')).toMatchObject({ ok: true, value: { least: 0 } });
    expect(read(-5)).toMatchObject({ ok: false, problems: [{ path: 'least' }] });
    expect(read('much')).toMatchObject({
      ok: false,
      problems: [{ path: 'least', message: expect.stringContaining('not a length') }],
    });
  });
});
