import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { example, planned } from '../../testing';
import { proofOf } from '../proved';

const EXAMPLES = readdirSync(join(__dirname, '../../../../examples'))
  .filter((name) => name.endsWith('.json'))
  .map((name) => name.replace('.json', ''));

test.each(EXAMPLES)('the plan of %s is proved', (name) => {
  const { passed, faults } = proofOf(planned(example(name)));
  expect(faults).toEqual([]);
  expect(passed).toBe(true);
});

test('reads sizes off the finished piece: the sensor spacer is at the middle of its limits', () => {
  const { segments, worst } = proofOf(planned(example('sensor-spacer')));
  // ⌀14 h8 is 13.973 to 14: aimed at 13.9865, 0.0135 from either limit. Two steps and the through hole.
  expect(segments).toBe(3);
  expect(worst).toMatchObject({ path: 'part.outside[0]' });
  expect(worst?.size).toBeCloseTo(13.9865, 3);
  expect(worst?.left).toBeCloseTo(0.0135, 3);
});

test('how near tools come to what stands still is the distance along the axis that a rule would measure', () => {
  const plan = planned(example('vane-spindle'));
  const { clearances } = proofOf(plan);
  const jaws = clearances.filter(({ what }) => what === 'jaws' || what === 'collet');
  expect(jaws.length).toBeGreaterThan(0);
  for (const { distance } of clearances) expect(distance).toBeGreaterThan(0);
});
