import { packFew } from './packFew';
import { numbers } from './numbers';

const plain = (each: number) => ({ each, start: 0, perLength: 1 });

/** The best of a longest piece and any others after it, by trying all of them. */
function brute(each: number[], value: number[], room: number): number[] {
  const best = (from: number, left: number, many: number): number => {
    let most = 0;
    for (let next = from; next < each.length && many > 0; next += 1)
      if ((each[next] ?? 0) <= left)
        most = Math.max(most, (value[next] ?? 0) + best(next + 1, left - (each[next] ?? 0), many - 1));
    return most;
  };
  return each.map((size, first) => (value[first] ?? 0) + best(first + 1, room - size, 3));
}

test('for every piece that may be the longest, the best filling there is', () => {
  for (let seed = 1; seed <= 40; seed += 1) {
    const random = numbers(seed * 77);
    const each = Array.from({ length: 9 }, () => 26 + Math.floor(random() * 40)).sort((a, b) => b - a);
    const value = each.map((size) => size + random() * 8);
    const fillings = packFew(
      value,
      each.map(plain),
      each.map(() => 1),
      100,
    );
    const wanted = brute(each, value, 100);
    fillings?.forEach(({ value: found, counts }, first) => {
      expect(found).toBeCloseTo(wanted[first] ?? NaN, 9);
      expect(counts.reduce((sum, count, item) => sum + count * (value[item] ?? 0), 0)).toBeCloseTo(found, 9);
      expect(counts.reduce((sum, count, item) => sum + count * (each[item] ?? 0), 0)).toBeLessThanOrEqual(100);
      expect(Math.max(...counts)).toBe(1);
    });
    expect(fillings).toHaveLength(9);
  }
});

test('no more of a length than is asked for', () => {
  const [first] = packFew([10, 9], [plain(30), plain(25)], [2, 1], 100) ?? [];
  // 30 + 30 + 25 is all there is.
  expect(first).toEqual({ value: 29, counts: [2, 1] });
});

test('where a bar holds more than four, or pieces have a start of their own, it is not for it', () => {
  expect(packFew([1, 1], [plain(30), plain(19)], [1, 1], 100)).toBeUndefined();
  expect(packFew([1], [{ each: 30, start: 5, perLength: 3 }], [1], 100)).toBeUndefined();
});
