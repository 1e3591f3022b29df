import { figureGroups, figuresAt, withFigures } from './figureGroups';
import { startValues } from './startValues';

const groups = figureGroups(startValues);

test('every figure of the shop has its name on the page, and every name its figure', () => {
  for (const word of [
    'allowances',
    'cutting',
    'handMinutes',
    'setupMinutes',
    'outside',
    'rates',
    'programmed',
  ] as const) {
    const values = startValues[word] as unknown as Record<string, unknown>;
    const here = groups.find((group) => group.of === word)?.figures.map(({ key }) => key) ?? [];
    const plain = Object.keys(values).filter((key) => typeof values[key] === 'number');
    expect([word, [...here].sort()]).toEqual([word, plain.sort()]);
    const tables = Object.keys(values).filter((key) => typeof values[key] === 'object');
    for (const key of tables.filter((name) => name !== 'barGrade'))
      expect(groups.map((group) => group.of)).toContain(`${word}.${key}`);
  }
  for (const group of groups) {
    const figures = figuresAt(startValues, group);
    for (const { key, label } of group.figures) {
      expect([group.of, key, typeof figures[key]]).toEqual([group.of, key, 'number']);
      expect(label.length).toBeGreaterThan(0);
    }
  }
});

test('one figure changed leaves every other as it was', () => {
  const feed = groups.find(({ of }) => of === 'cutting.feed');
  if (!feed) throw new Error('there are feeds');
  const changed = withFigures(startValues, feed, { face: 0.15 });
  expect(changed.cutting.feed).toEqual({ ...startValues.cutting.feed, face: 0.15 });
  expect({ ...changed, cutting: { ...changed.cutting, feed: startValues.cutting.feed } }).toEqual(startValues);
});
