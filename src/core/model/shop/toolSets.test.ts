import { startTools } from './startTools';
import { setOf, toolSets, withSet } from './toolSets';

const sizeOf = (set: string, name: string) => setOf(set).find((tool) => tool.name === name)?.diameter;

test('number and letter drills as every table has them', () => {
  expect(setOf('drills-number')).toHaveLength(60);
  expect(setOf('drills-letter')).toHaveLength(26);
  // 0.2010, 0.0400 and 0.2570 in.
  expect(sizeOf('drills-number', 'drill ⌀no. 7')).toBeCloseTo(5.1054, 4);
  expect(sizeOf('drills-number', 'drill ⌀no. 60')).toBeCloseTo(1.016, 4);
  expect(sizeOf('drills-letter', 'drill ⌀letter F')).toBeCloseTo(6.5278, 4);
  // E is a quarter of an inch.
  expect(sizeOf('drills-letter', 'drill ⌀letter E')).toBeCloseTo(sizeOf('drills-fraction', 'drill ⌀1/4″') ?? 0, 9);
});

test('numbers fall, letters rise, and A is wider than number 1', () => {
  const diameters = (set: string) => setOf(set).map(({ diameter = 0 }) => diameter);
  const [numbers, letters] = [diameters('drills-number'), diameters('drills-letter')];
  expect(numbers).toEqual([...numbers].sort((a, b) => b - a));
  expect(letters).toEqual([...letters].sort((a, b) => a - b));
  expect(letters[0]).toBeGreaterThan(numbers[0] ?? Infinity);
});

test('a set adds what is lacking, once, and leaves what is there', () => {
  const found = { ...(startTools.find(({ id }) => id === 'drill-5') as (typeof startTools)[number]), flute: 30 };
  const tools = withSet([found], 'drills-metric');
  expect(tools).toHaveLength(setOf('drills-metric').length);
  expect(tools[0]).toBe(found);
  expect(withSet(tools, 'drills-metric')).toEqual(tools);
});

test('every tool of every set has an id of its own', () => {
  const ids = toolSets.flatMap(({ tools }) => tools.map(({ id }) => id));
  expect(new Set(ids).size).toBe(ids.length);
});
