import fc from 'fast-check';
import { closure, closureOf } from './closure';

const entries = (count: number) =>
  fc.array(fc.record({ from: fc.nat(count - 1), to: fc.nat(count - 1) }), { maxLength: 3 * count });

describe('who comes before whom', () => {
  test('what follows from two entries is an entry: 0 before 1 before 2', () => {
    const order = closureOf(3, [
      { from: 1, to: 2 },
      { from: 0, to: 1 },
    ]);
    expect(order?.precedes(0, 2)).toBe(true);
    expect(order?.precedes(2, 0)).toBe(false);
    expect(order?.mask(2)).toBe(0b11n);
  });

  test('a circle has no order', () => {
    expect(
      closureOf(3, [
        { from: 0, to: 1 },
        { from: 1, to: 2 },
        { from: 2, to: 0 },
      ]),
    ).toBeUndefined();
  });

  test('all at once or one after the other, it is the same; also beyond one word of bits', () => {
    const count = 40;
    fc.assert(
      fc.property(entries(count), (drawn) => {
        // From the smaller to the larger nothing goes round.
        const some = drawn.filter(({ from, to }) => from < to);
        const [once, each] = [closureOf(count, some), closure(count)];
        for (const { from, to } of some) each.add(from, to);
        for (let index = 0; index < count; index += 1) expect(once?.mask(index)).toBe(each.mask(index));
      }),
    );
  });

  test('undefined exactly where an entry would turn one round that stands', () => {
    const count = 8;
    fc.assert(
      fc.property(entries(count), (drawn) => {
        const some = drawn.filter(({ from, to }) => from !== to);
        const each = closure(count);
        const turned = some.some(({ from, to }) => {
          if (each.precedes(to, from)) return true;
          each.add(from, to);
          return false;
        });
        expect(closureOf(count, some) === undefined).toBe(turned);
      }),
    );
  });
});
