import { startValues } from '../model/shop/startValues';
import { runOf, step } from '../testing';
import { holderFrom } from './holderFrom';

test('a bush holds what its widest bore takes', () => {
  const bores = [
    { from: 'front' as const, shape: 'drill' as const, diameter: 8, depth: 'through' },
    { from: 'front' as const, shape: 'bore' as const, diameter: 14, depth: 6 },
  ];
  expect(holderFrom(runOf({ number: 'H-1', name: 'Bush', outside: [step(24, 20)], bores }), startValues)).toEqual({
    name: 'Bush, H-1',
    kind: 'split-bush',
    diameter: 14,
  });
});

test('a tapped holder holds its thread', () => {
  const bores = [{ from: 'front' as const, shape: 'tap' as const, designation: 'M10', depth: 12 }];
  expect(holderFrom(runOf({ number: 'H-2', outside: [step(24, 30)], bores }), startValues)).toEqual({
    name: 'H-2',
    kind: 'threaded-holder',
    diameter: 10,
    thread: 'M10',
  });
});

test('a plain pin holds nothing', () => {
  expect(holderFrom(runOf({ outside: [step(10, 20)] }), startValues)).toBeUndefined();
});
