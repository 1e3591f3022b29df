import { readShop } from '../../read/readShop';
import { spindleSpeed } from '../../plan/cutting/speed';
import { parseLength } from '../units/length';
import { shopForRun } from './forRun';
import { startValues } from './startValues';

describe('the start values', () => {
  test('are a shop by their own schema', () => {
    expect(readShop(JSON.parse(JSON.stringify(startValues)))).toMatchObject({ ok: true });
  });

  test('carry the trade’s table of materials', () => {
    const row = (id: string) => {
      const material = startValues.materials.find((candidate) => candidate.id === id);
      return [material?.density, material?.speed.hss, material?.speed.carbide, material?.force.kc, material?.force.m];
    };
    expect(row('brass-cw614n')).toEqual([8.47, 75, 180, 600, 0.2]);
    expect(row('alloy-steel-42crmo4')).toEqual([7.85, 20, 100, 1750, 0.25]);
    expect(row('stainless-304')).toEqual([7.95, 18, 95, 1950, 0.22]);
    expect(row('acetal')).toEqual([1.41, 150, 250, 180, 0.2]);
    expect(startValues.materials).toHaveLength(14);
  });

  test('ids are unique, lists rise, every size reads as a length', () => {
    for (const list of [startValues.materials, startValues.tools, startValues.machines])
      expect(new Set(list.map(({ id }) => id)).size).toBe(list.length);
    for (const { speeds, feeds } of startValues.machines) {
      expect(speeds).toEqual([...speeds].sort((a, b) => a - b));
      expect(feeds).toEqual([...feeds].sort((a, b) => a - b));
    }
    for (const { bars } of startValues.materials)
      for (const { sizes, units, barLength } of bars) {
        const read = [...sizes.map((size) => size.split('×')[0] ?? ''), barLength].map((entry) =>
          parseLength(entry, units),
        );
        expect(read.every(({ ok }) => ok)).toBe(true);
        const mm = read.slice(0, -1).map((length) => (length.ok ? length.value : 0));
        expect(mm).toEqual([...mm].sort((a, b) => a - b));
      }
  });

  test('the drills: tenths to 10, halves to 13, and inch sizes by sixty-fourths in lowest terms', () => {
    const names = startValues.tools.filter(({ does }) => does.includes('drill')).map(({ name }) => name);
    expect(names).toEqual(
      expect.arrayContaining(['drill ⌀6.8', 'drill ⌀12.5', 'drill ⌀25', 'drill ⌀3/8″', 'drill ⌀17/64″', 'drill ⌀1/2″']),
    );
    const fraction = startValues.tools.find(({ name }) => name === 'drill ⌀3/8″');
    expect(fraction?.diameter).toBeCloseTo(9.525, 9);
  });

  test('the slowest speed still suits steel at the largest bar with HSS', () => {
    const wanted = spindleSpeed(30, 80);
    expect(startValues.machines[0]?.speeds[0]).toBeLessThanOrEqual(wanted);
  });
});

describe('a damaged shop is refused with the place', () => {
  test.each([
    [
      'a speed that is text',
      (shop: typeof startValues) => ({
        ...shop,
        materials: [{ ...shop.materials[0], speed: { hss: '75', carbide: 180 } }],
      }),
      'materials[0].speed.hss',
    ],
    ['no machine', (shop: typeof startValues) => ({ ...shop, machines: [] }), 'machines'],
    ['a value that is gone', (shop: typeof startValues) => ({ ...shop, timeAllowance: undefined }), 'timeAllowance'],
    [
      'an allowance that is gone',
      (shop: typeof startValues) => ({ ...shop, allowances: { ...shop.allowances, finishPerSide: undefined } }),
      'allowances.finishPerSide',
    ],
    [
      'a table that is gone',
      (shop: typeof startValues) => ({ ...shop, cutting: { ...shop.cutting, feed: undefined } }),
      'cutting.feed',
    ],
    ['a key nobody knows', (shop: typeof startValues) => ({ ...shop, colour: 'green' }), 'colour'],
    [
      'a school nobody knows',
      (shop: typeof startValues) => ({ ...shop, houseRules: { ...shop.houseRules, stickOut: '9d' } }),
      'houseRules.stickOut',
    ],
  ])('%s', (_, damage, path) => {
    const shop = readShop(damage(startValues));
    expect(shop.ok ? [] : shop.problems.map((problem) => problem.path)).toContain(path);
  });
});

describe('the shop as one run sees it', () => {
  test('the first machine when none is named, the house’s rules under the run’s', () => {
    const shop = shopForRun(startValues, { material: 'bronze', rules: { stickOut: '1.5d' } });
    expect(shop).toMatchObject({
      ok: true,
      value: {
        machine: { id: 'centre-lathe-a' },
        material: { id: 'bronze' },
        houseRules: { stickOut: '1.5d', centreDrill: 'always' },
      },
    });
  });

  test('a whole machine may come with the run', () => {
    const machine = {
      ...(startValues.machines[0] as (typeof startValues.machines)[number]),
      id: 'visiting',
      spindleBore: 20,
    };
    expect(shopForRun(startValues, { material: 'bronze', machine })).toMatchObject({
      ok: true,
      value: { machine: { id: 'visiting' } },
    });
  });

  test('names that are not there, and what is', () => {
    expect(shopForRun(startValues, { material: 'bronze', machine: 'b' })).toMatchObject({
      ok: false,
      problems: [{ path: 'machine' }],
    });
    expect(shopForRun(startValues, { material: '' })).toMatchObject({
      ok: false,
      problems: [{ path: 'part.material', message: 'is missing: choose what it is made of' }],
    });
  });
});
