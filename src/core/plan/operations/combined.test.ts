import { startValues } from '../../model/shop/startValues';
import { planned, runOf, step } from '../../testing';

const { approach } = startValues.handMinutes;

/** The blades that cut grooves 2 wide and 0.2 deep, and part off, in brass of ⌀10, where a tool is changed in so many minutes. */
const bladesOf = (changePost: number, places: readonly number[]) => {
  const shop = { ...startValues, handMinutes: { ...startValues.handMinutes, changePost } };
  const details = places.map((at) => ({ kind: 'groove' as const, at, width: 2, bottom: 9.6 }));
  const operations = planned(
    runOf({ material: 'brass-cw614n', outside: [step(10, 14)], details }, { way: 'from-bar' }),
    shop,
  ).setups.flatMap((setup) => setup.operations);
  const widths = (kind: string) => operations.filter((each) => each.kind === kind).map(({ tool }) => tool.width);
  return { groove: widths('groove'), off: widths('part-off') };
};

// Of 1.5 it is one plunge and a pass along the bottom more than of 2: two approaches, and a second or two of cutting.
test('a tool post that is slow to change: the blade that parts off cuts the groove as well', () => {
  expect(bladesOf(2 * approach + 0.1, [3])).toEqual({ groove: [1.5], off: [1.5] });
});

test('a quick one: the widest blade, in one plunge', () => {
  expect(bladesOf(2 * approach, [3])).toEqual({ groove: [2], off: [1.5] });
});

test('two grooves save one change between them', () => {
  expect(bladesOf(2 * approach + 0.1, [3, 8]).groove).toEqual([2, 2]);
  expect(bladesOf(4 * approach + 0.1, [3, 8]).groove).toEqual([1.5, 1.5]);
});
