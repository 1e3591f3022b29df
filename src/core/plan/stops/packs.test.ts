import { startValues } from '../../model/shop/startValues';
import type { Machine } from '../../model/shop/shop';
import { packsOf } from './packs';

const [lathe] = startValues.machines as [Machine];

test('nothing, each spacer and feeler, and two spacers together; a length twice only where there are two of it', () => {
  const lengths = (spacers: number[], feelers: number[]) =>
    packsOf({ ...lathe, spacers, feelers }).map(({ length }) => Number(length.toFixed(3)));
  expect(lengths([1, 2], [0.1])).toEqual([0, 1, 2, 0.1, 3]);
  expect(lengths([5, 5], [])).toContain(10);
  expect(lengths([5], [])).not.toContain(10);
});

test('a machine with other feelers and the same spacers has stacks of its own', () => {
  const feelersOf = (machine: Machine) => packsOf(machine).flatMap(({ feeler }) => feeler ?? []);
  expect(feelersOf(lathe)).toEqual(lathe.feelers);
  expect(feelersOf({ ...lathe, feelers: [0.4] })).toEqual([0.4]);
});
