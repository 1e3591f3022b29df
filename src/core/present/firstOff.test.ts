import { planned, runOf, step } from '../testing';
import { firstOffSizes } from './firstOff';

test('every size that is checked stands once, after what makes it, with its limits and its gauge', () => {
  const plan = planned(
    runOf({ outside: [step('12 h9', 18), step(20, 8)] }, { way: 'from-bar', firstEnd: 'front', quantity: 20 }),
  );
  const sizes = firstOffSizes(plan);
  const numbers = sizes.map(({ operation }) => operation);
  expect(numbers).toEqual([...numbers].sort((a, b) => a - b));
  // 12 h9: 43 µm below.
  const close = sizes.filter(({ limits }) => limits === '11.957 – 12.000');
  expect(close).toHaveLength(1);
  expect(close[0]?.gauge).toBe('micrometer');
  expect(close[0]?.after).toContain('Finish ⌀12');
  const said = sizes.map(({ what, operation }) => `${operation} ${what}`);
  expect(new Set(said).size).toBe(said.length);
});
