import { fullBars } from './fullBars';
import { threeToABar, triplets } from './hardLists';
import { listedOf } from './listed';

test('every piece is packed once, no bar over its room, and mending never needs more', () => {
  for (let seed = 1; seed <= 12; seed += 1) {
    const listed = listedOf(seed % 2 ? threeToABar(seed * 13, 20 + 5 * seed) : triplets(seed * 13, 10 + seed));
    const { demands, rooms, up } = listed.units;
    const full = fullBars(listed);
    if (!full) throw new Error('these lists are of one kind of bar');
    for (let round = 0, before = full.many; round < 50; round += 1, before = full.many) {
      full.mend();
      expect(full.many).toBeLessThanOrEqual(before);
    }
    const fillings = full.fillings();
    expect(fillings).toHaveLength(full.many);
    expect(demands.map((_, item) => fillings.reduce((total, { counts }) => total + (counts[item] ?? 0), 0))).toEqual(
      demands,
    );
    for (const { counts } of fillings)
      expect(counts.reduce((total, count, item) => total + count * (up[item]?.each ?? 0), 0)).toBeLessThanOrEqual(
        rooms[0] as number,
      );
  }
});

test('triplets that fill every bar are packed within one bar of the fewest', () => {
  for (const bars of [20, 40, 60]) {
    const full = fullBars(listedOf(triplets(bars * 7, bars)));
    for (let round = 0; round < 500; round += 1) full?.mend();
    expect(full?.many).toBeLessThanOrEqual(bars + 1);
  }
});

test('left alone where bars differ, are limited, or pieces are turned from the bar', () => {
  const list = threeToABar(5, 12);
  const bar = list.bars[0] as (typeof list.bars)[number];
  expect(fullBars(listedOf({ ...list, bars: [bar, { ...bar, length: 2000 }] }))).toBeUndefined();
  expect(fullBars(listedOf({ ...list, bars: [{ ...bar, count: 99 }] }))).toBeUndefined();
  const turned = list.pieces.map((piece) => ({ ...piece, turned: { lost: 60, longest: 1200 } }));
  expect(fullBars(listedOf({ ...list, pieces: turned }))).toBeUndefined();
});
