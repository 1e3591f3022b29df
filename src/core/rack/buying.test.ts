import { buyingTable } from '../formats/buyingTable';
import { tableText } from '../formats/table';
import { startMaterials } from '../model/shop/startMaterials';
import { buyingList } from './buying';
import { toOrder } from '../schedule/toOrder';
import type { Section, Shortage } from './rack';

const section = (size: number): Section => ({
  material: 'mild-steel',
  form: 'round',
  size,
  bore: 0,
  condition: 'drawn',
});
const shortage = (size: number, needed: number, free: number, runs: number[] = []): Shortage => ({
  section: section(size),
  needed,
  least: 0,
  free,
  runs,
});

describe('what is to be bought', () => {
  // 7.2 m less 1 m free is 6.2 m: three bars of 3 m. 2.9 less 0.1 is one.
  const list = buyingList([shortage(20, 2900, 100, [1]), shortage(30, 7200, 1000, [2, 3])], startMaterials);

  test('whole bars of the length that the section is sold in, the most wanted first', () => {
    expect(list.map(({ section: { size }, short, bars, barLength }) => [size, short, bars, barLength])).toEqual([
      [30, 6200, 3, 3000],
      [20, 2800, 1, 3000],
    ]);
  });

  test('exactly a bar is one bar, and what nobody lists is asked for by its length', () => {
    expect(buyingList([shortage(20, 3000, 0)], startMaterials)[0]?.bars).toBe(1);
    const unknown = { ...shortage(20, 3000, 0), section: { ...section(20), material: 'unobtainium' } };
    expect(buyingList([unknown], startMaterials)[0]).toMatchObject({ bars: 0, barLength: undefined });
  });

  test('as comma-separated values, names with commas and all', () => {
    const rows = buyingTable(
      toOrder(list, [{ id: 'mild-steel', supplier: 'bars by post', deliveryDays: 3 }], (id) =>
        id === 2 ? '2026-12-04' : undefined,
      ),
      ({ size }) => `mild steel, ⌀${size}`,
      (id) => `WS-${id}`,
    );
    expect(tableText(rows).split('\n')).toEqual([
      'supplier,order_by,wanted_on,section,short_m,bars,bar_length_mm,for',
      'bars by post,2026-12-01,2026-12-04,"mild steel, ⌀30",6.20,3,3000,WS-2; WS-3',
      'bars by post,,,"mild steel, ⌀20",2.80,1,3000,WS-1',
      '',
    ]);
  });
});
