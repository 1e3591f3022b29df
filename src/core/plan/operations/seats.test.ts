import { startValues } from '../../model/shop/startValues';
import { example, planned, runOf, step } from '../../testing';
import type { RunFile } from '../../read/runFile';

const kindsOf = (file: RunFile, path: string): string[] =>
  planned(file).setups.flatMap(({ operations }) =>
    operations.filter(({ feature }) => feature === path).map(({ kind }) => kind),
  );

/** A sleeve with a seat of 60° over a hole of 8; the drawing may ask it to run true. */
const sleeve = (small: number, runout?: object[]): RunFile =>
  runOf({
    material: 'bronze',
    outside: [step('25 h7', 32, { name: 'body' })],
    bores: [
      { from: 'front', shape: 'cone', mouth: 16, included: 60, small, name: 'seat' },
      { from: 'front', shape: 'drill', diameter: small, depth: 'through' },
    ],
    ...(runout ? { runout: runout as never } : {}),
  });
const TRUE = [{ of: 'seat', to: 'body', limit: 0.03 }];

test('a seat that must run true is bored by the compound; one that need not is sunk from the tailstock', () => {
  expect(kindsOf(sleeve(8), 'part.bores[0]')).toEqual(['countersink']);
  expect(kindsOf(sleeve(8, TRUE), 'part.bores[0]')).toEqual(['taper']);
});

test('where no bar goes into its small end it is sunk all the same', () => {
  expect(kindsOf(sleeve(3, TRUE), 'part.bores[0]')).toEqual(['countersink']);
});

test('inside, a pass ends where its tool comes into the hole: by hand, a bar for 6.5 goes no further in than ⌀6.5 and its nose', () => {
  const plan = planned(sleeve(8, TRUE));
  const bored = plan.setups.flatMap(({ operations }) => operations).find(({ kind }) => kind === 'taper');
  const { least = 0, nose = 0 } = bored?.tool ?? {};
  const ends = bored?.passes.map(({ path = [] }) => path[1]?.r ?? 0) ?? [];
  expect(ends.length).toBeGreaterThan(2);
  for (const r of ends) expect(r).toBeGreaterThanOrEqual(least / 2 - nose - 1e-9);
  expect(plan.proof.faults).toEqual([]);
});

test('a cone outside that must run true is turned by the compound, though an edge would cover it', () => {
  expect(kindsOf(example('parts/19-conical-seat.awkward'), 'part.outside[0]')).toContain('taper');
});

test('a conical bore as long as its part has a pilot that goes through it', () => {
  const hub = runOf(
    {
      material: 'grey-iron',
      outside: [step(70, 30), step(45, 15)],
      bores: [{ from: 'front', shape: 'cone', mouth: 22, small: 19, depth: 45 }],
    },
    { quantity: 2 },
  );
  const { setups, proof } = planned(hub, startValues, {});
  const drill = setups.flatMap(({ operations }) => operations).find(({ kind }) => kind === 'drill');
  expect(drill?.name).toBe('Drill ⌀19 through for the conical bore');
  expect(proof.faults).toEqual([]);
});
