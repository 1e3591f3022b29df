import { example, planned, runOf, step } from '../../testing';
import { criticalDimensions } from './critical';

test('what the drawing marks, with its reason; fits, limits, run-outs and threads by themselves', () => {
  const { run } = planned(
    runOf({
      outside: [
        step('14 h8', '9 0/+0.05', { name: 'spigot', critical: true, why: 'locates the sensor', roughness: 1.6 }),
        step(26, 13),
      ],
      bores: [{ from: 'front', shape: 'drill', diameter: 6, depth: 'through', name: 'bore' }],
      runout: [{ of: 'spigot', to: 'bore', limit: 0.05 }],
    }),
  );
  expect(criticalDimensions(run.part, 'mm')).toEqual([
    {
      path: 'part.outside[0]',
      what: '⌀14, spigot',
      because: [
        'locates the sensor',
        'fit h8, 0.027 mm between its limits',
        'run-out to bore within 0.05 mm',
        'Ra 1.6',
      ],
    },
    { path: 'part.bores[0]', what: 'hole ⌀6, bore', because: ['run-out to spigot within 0.05 mm'] },
    { path: 'part.outside[0]', what: 'length 9 mm', because: ['limits of its own, 0.05 mm apart'] },
  ]);
});

test('a part of general tolerances has nothing critical; roughness alone does not make it so', () => {
  const { run } = planned(runOf({ outside: [step(14, 9, { roughness: 1.6 }), step(26, 13)] }));
  expect(criticalDimensions(run.part, 'mm')).toEqual([]);
});

test('the gland body: its threads and its fits', () => {
  const { run } = planned(example('gland-body'));
  const reasons = criticalDimensions(run.part, 'mm').flatMap(({ because }) => because);
  expect(reasons).toContain('a thread: its mate is the gauge');
  expect(reasons.some((text) => text.startsWith('fit '))).toBe(true);
});
