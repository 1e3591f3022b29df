import type { Section } from '../rack/rack';
import { toOrder } from './toOrder';

const section: Section = { material: 'brass', form: 'round', size: 16, bore: 0, condition: 'drawn' };

describe('toOrder', () => {
  const buying = (size: number, runs: number[], material = 'brass') => ({
    section: { ...section, size, material },
    short: 1000,
    bars: 1,
    barLength: 3000,
    runs,
  });
  const materials = [
    { id: 'brass', supplier: 'metals, the near one', deliveryDays: 5 },
    { id: 'steel', supplier: 'bars by post' },
  ];
  const starts = new Map([
    [1, '2026-12-10'],
    [2, '2026-12-03'],
    [3, '2026-12-07'],
  ]);

  it('is by supplier, then by the day of the order: so many days before the first of its runs is begun', () => {
    const list = toOrder(
      [buying(16, [1, 2]), buying(20, [3]), buying(12, [9]), buying(10, [1], 'steel')],
      materials,
      (run) => starts.get(run),
    );
    expect(list.map(({ supplier, section: { size }, wanted, orderBy }) => [supplier, size, wanted, orderBy])).toEqual([
      // How long it takes by post is not known.
      ['bars by post', 10, '2026-12-10', undefined],
      // Five days before the 3rd.
      ['metals, the near one', 16, '2026-12-03', '2026-11-28'],
      ['metals, the near one', 20, '2026-12-07', '2026-12-02'],
      ['metals, the near one', 12, undefined, undefined],
    ]);
  });
});
