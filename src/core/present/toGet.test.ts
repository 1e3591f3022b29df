import { startValues } from '../model/shop/startValues';
import type { RunFile } from '../read/runFile';
import { planned, runOf, step } from '../testing';
import { sayToGet, toGetFor } from './toGet';

const bored = (shape: 'drill' | 'ream', diameter: string | number): NonNullable<RunFile['part']['bores']>[number] => ({
  from: 'front',
  shape,
  diameter,
  depth: 'through',
});
const of = (file: RunFile) => toGetFor(planned(file));

test('what the list has is not to get', () => {
  expect(of(runOf({ outside: [step(20, 20)], bores: [bored('drill', 6)] }))).toEqual([]);
});

test('a reamer of ⌀11.5 and what measures its 18 µm: each with its price, and the way without it', () => {
  const [reamer, gauge, ...more] = of(runOf({ outside: [step(24, 20)], bores: [bored('ream', '11.5 H7')] }));
  expect(more).toEqual([]);
  expect(reamer).toMatchObject({ what: 'reamer ⌀11.5', cost: startValues.toGet['ream'], without: 'bored to ⌀11.5' });
  expect(reamer?.for).toHaveLength(1);
  // A fifth of 0.018.
  expect(gauge?.what).toContain('repeats to ±0.004 mm');
  expect(gauge?.cost).toBe(startValues.toGet['gauge']);
  expect(reamer && sayToGet(reamer, '€')).toMatch(
    /^reamer ⌀11\.5 for operation \d+, about 30\u00a0€; without it: bored/,
  );
});

test('too narrow for every bar there is no way without it', () => {
  const [drill] = of(runOf({ outside: [step(10, 8)], bores: [bored('drill', 0.8)] }));
  expect(drill).toMatchObject({ what: 'drill ⌀0.8', cost: startValues.toGet['drill'] });
  expect(drill).not.toHaveProperty('without');
});

test('a blank beyond the list is one to order', () => {
  const [blank] = of(runOf({ material: 'mild-steel', outside: [step(92, 20)] }, { way: 'sawn-blanks' }));
  expect(blank?.what).toContain('cut to order');
  expect(blank?.cost).toBeGreaterThan(0);
});
