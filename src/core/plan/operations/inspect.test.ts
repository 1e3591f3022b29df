import { example, operationsOf, runOf, step } from '../../testing';

const tied = (bores: 'front' | 'back') =>
  runOf({
    outside: [step('24 h9', 12, { name: 'rim' }), step(34, 20)],
    bores: [
      { from: 'front', shape: 'drill', diameter: 6, depth: 'through' },
      { from: bores, shape: 'bore', diameter: '16 H8', depth: 8, bottom: 'flat', name: 'seat' },
    ],
    runout: [{ of: 'seat', to: 'rim', limit: 0.05 }],
  });

const looks = (file: ReturnType<typeof tied>) =>
  operationsOf(file).flatMap(({ checks, kind }) =>
    checks.filter(({ measures }) => measures === 'run-out').map((check) => ({ ...check, kind })),
  );

test('a run-out of one holding is looked at once, before the piece is off, at every fifth', () => {
  const [look, ...more] = looks(tied('front'));
  expect(more).toEqual([]);
  expect(look).toMatchObject({
    kind: 'inspect',
    what: 'run-out of seat to rim, 0.05 mm',
    every: 5,
    gauge: { name: 'dial indicator' },
  });
});

test('over two holdings it becomes fixed in the second, and is measured at each piece', () => {
  const [look, ...more] = looks(tied('back'));
  expect(more).toEqual([]);
  expect(look).toMatchObject({ every: 1 });
});

test('a length over two steps, between the hexagon and the back, is measured where both faces are there', () => {
  const lengths = operationsOf(example('gland-body')).flatMap(({ checks }) =>
    checks.filter(({ what }) => what.startsWith('length 18 mm, from')),
  );
  expect(lengths).toHaveLength(1);
  expect(lengths[0]?.size).toMatchObject({ lower: -0.2, upper: 0.2 });
});
