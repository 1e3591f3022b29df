import { startValues } from '../model/shop/startValues';
import { planned, runOf, step } from '../testing';
import { drilledInstead } from './drilledInstead';
import { readPart } from './readPart';

const pin = (diameter: number | string, length: number) =>
  runOf({
    material: 'alloy-steel-42crmo4',
    outside: [step(20, length)],
    bores: [{ from: 'front', shape: 'bore', diameter, depth: 'through', name: 'oil way' }],
  });

const holesIn = (diameter: number | string, length: number) => {
  const read = readPart(pin(diameter, length).part, 'mm');
  if (!read.ok) throw new Error(JSON.stringify(read.problems));
  return drilledInstead(read.value, startValues.tools).holes;
};

test('a long bore that no bar goes through is drilled where the drawing asks for no more: ⌀8 is six times that out at most, 48', () => {
  expect(holesIn(12, 60)).toMatchObject([{ path: 'part.bores[0]', name: 'oil way', through: true, depth: 60 }]);
  expect(holesIn(12, 47)).toEqual([]);
  // Closer than as usual it is not a drill's.
  expect(holesIn('12 ±0.05', 60)).toEqual([]);
  expect(holesIn('12 H7', 60)).toEqual([]);
});

test('a gudgeon pin is planned whole, and proved', () => {
  const { setups, doubts, proof } = planned(pin(12, 60), startValues, {});
  const kinds = setups.flatMap(({ operations }) => operations.map(({ kind }) => kind));
  expect(kinds).toContain('drill');
  expect(kinds).not.toContain('bore');
  expect(doubts).toEqual([]);
  expect(proof.faults).toEqual([]);
});
