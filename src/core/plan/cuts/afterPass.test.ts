import { example, planned } from '../../testing';
import { workAfterPass } from './afterPass';
import { largestRadius } from '../../model/workpiece/profile';
import { metal } from '../../model/workpiece/workpiece';

test('the work shrinks pass by pass, to what the operation leaves', () => {
  const rough = planned(example('sensor-spacer')).setups[0]?.operations.find(({ name }) =>
    name.startsWith('Rough ⌀14'),
  );
  if (!rough) throw new Error('no roughing');
  const works = rough.passes.map((_, index) => workAfterPass(rough, index));
  expect(works.map(({ outside }) => (2 * largestRadius(outside, 0, 8)).toFixed(3))).toEqual([
    '22.495',
    '18.491',
    '14.486',
  ]);
  expect(metal(works[2] ?? rough.before)).toBe(metal(rough.after));
});
