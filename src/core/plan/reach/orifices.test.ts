import { planned, runOf, step } from '../../testing';
import { startValues } from '../../model/shop/startValues';
import type { RunFile } from '../../read/runFile';
import { orificesOf } from './orifices';

/** A jet of brass, wide from the back, its outlet in front. */
const jet = (outlet: number, deep = 21, more: Partial<RunFile> = {}): RunFile =>
  runOf(
    {
      outside: [step(10, 18), step(14, 8)],
      bores: [
        { from: 'back', shape: 'drill', diameter: 6, depth: 14 },
        { from: 'back', shape: 'drill', diameter: 3, depth: deep },
        { from: 'back', shape: 'drill', diameter: outlet, depth: 'through' },
      ],
    },
    { quantity: 20, way: 'from-bar', ...more },
  );
const holesIn = (file: RunFile) =>
  planned(file).setups.map(({ setup, operations }) => [
    setup.end,
    ...operations
      .filter(({ kind }) => kind === 'drill')
      .map(({ feature, fullDepth }) => `${feature} ${fullDepth?.toFixed(1)}`),
  ]);

test('26 long and ⌀1, 5 of it before the wide ones: long from behind, short from its own end', () => {
  const { run } = planned(jet(1));
  expect(orificesOf(run.part, startValues.cutting)).toEqual([
    { path: 'part.bores[2]', wider: ['part.bores[0]', 'part.bores[1]'], opened: 'back', deep: 21 },
  ]);
});

test('the back first, it waits for the wide ones, and goes 5 and the breakthrough deep instead of all through', () => {
  // The narrow one of the wide ones first, as ever; 26 − 21 + 1.
  const back = jet(1, 21, { firstEnd: 'back' });
  expect(holesIn(back)).toEqual([
    ['back', 'part.bores[1] 21.0', 'part.bores[0] 14.0'],
    ['front', `part.bores[2] ${(26 - 21 + startValues.allowances.breakthrough).toFixed(1)}`],
  ]);
  expect(planned(back).proof.faults).toEqual([]);
});

test('with the front decided to be first it is drilled as far as the wide ones will come', () => {
  const [first] = holesIn(jet(1, 21, { firstEnd: 'front' }));
  expect(first).toEqual(['front', 'part.bores[2] 6.0']);
});

test('a stout one, and one that the wide ones leave long, are drilled through with the others', () => {
  const none = (file: RunFile) => orificesOf(planned(file).run.part, startValues.cutting);
  expect(none(jet(2.8))).toEqual([]);
  expect(none(jet(1, 15))).toEqual([]);
  // ⌀2.5 and 26 long, 10 of it before the wide ones: more than half is gained.
  expect(none(jet(2.5, 16))).toHaveLength(1);
});

test('a hole that is reamed right through is no opening of the drill before it', () => {
  const reamed = runOf({
    outside: [step(20, 100)],
    bores: [
      { from: 'front', shape: 'drill', diameter: 7.8, depth: 'through' },
      { from: 'front', shape: 'ream', diameter: '8 H7', depth: 'through' },
    ],
  });
  expect(orificesOf(planned(reamed).run.part, startValues.cutting)).toEqual([]);
});

test('its centre is no wider than it: of a ⌀0.8 the point of the smallest goes in, 0.8 / 2 / tan 30° deep', () => {
  const front = planned(jet(0.8)).setups.find(({ setup }) => setup.end === 'front');
  const centre = front?.operations.find(({ kind }) => kind === 'centre');
  expect(centre?.to).toBeCloseTo(0.4 / Math.tan(Math.PI / 6), 9);
});
