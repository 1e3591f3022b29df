import { runOf, step } from '../testing';
import { sketchPart } from './sketch';

const part = { number: '', material: '' };
const lengths = (outside: Parameters<typeof sketchPart>[0]['outside'], more = {}) =>
  sketchPart({ ...part, outside, ...more }, 'mm')?.steps.map(({ zTo }) => zTo);

test('the drawing grows with what can be read', () => {
  expect(lengths([])).toBeUndefined();
  expect(lengths([step('14', '')])).toBeUndefined();
  expect(lengths([step('14 h8', 9)])).toEqual([9]);
  // As long as the mean of the others, (9 + 13) / 2: the drawing does not end at what is missing in its middle.
  expect(lengths([step('14 h8', 9), step('', ''), step(26, 13)])).toEqual([9, 20, 33]);
  expect(lengths([step('14 h8', 9), step(26, 13)])).toEqual([9, 22]);
});

test('one wrong size leaves the rest drawn, as wide as its neighbour, as long as the mean of the others', () => {
  const drawn = (outside: Parameters<typeof sketchPart>[0]['outside']) =>
    sketchPart({ ...part, outside }, 'mm')?.steps.map(({ diameter, zTo }) => [diameter.nominal, zTo]);
  expect(drawn([step('14 zz', 9), step(26, 13)])).toEqual([
    [26, 9],
    [26, 22],
  ]);
  expect(drawn([step(14, 9), step('2b', 13), step(20, 5)])).toEqual([
    [14, 9],
    [14, 22],
    [20, 27],
  ]);
  expect(drawn([step(14, 'x'), step(26, 13), step(20, 5)])).toEqual([
    [14, 9],
    [26, 22],
    [20, 27],
  ]);
  expect(drawn([step('x', 'y')])).toBeUndefined();
});

test('a chamfer or a hole that does not fit is left out, the rest is drawn', () => {
  const drawn = sketchPart(
    {
      ...part,
      outside: [step(14, 9, { chamfers: { front: '0.5' } }), step(26, 13, { chamfers: { back: 'x' }, roughness: '?' })],
      bores: [
        { from: 'front', shape: 'drill', diameter: 30, depth: 'through' },
        { from: 'front', shape: 'drill', diameter: 6, depth: 5 },
      ],
    },
    'mm',
  );
  expect(drawn?.chamfers).toHaveLength(1);
  expect(drawn?.holes.map(({ diameter }) => diameter.nominal)).toEqual([6]);
});

test('a step that cannot be read does not take the lengths of the others with it', () => {
  const { part } = runOf({
    outside: [step(10, ''), step('thick', ''), step(20, '')],
    lengths: [
      { from: 'front', to: 2, size: 14 },
      { from: 1, to: 2, size: 5 },
      { from: 2, to: 'back', size: 8 },
    ],
  });
  // 14 − 5 = 9, 5 and 8; the step without a diameter is as wide as the one before it.
  expect(sketchPart(part, 'mm')?.steps.map(({ zTo }) => zTo)).toEqual([9, 14, 22]);
});
