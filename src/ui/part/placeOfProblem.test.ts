import { sketchPart } from '@/core/read/sketch';
import { runOf, step } from '@/core/testing';
import { placeOfProblem } from './placeOfProblem';

const file = runOf({
  outside: [step(10, 8), step(14, 12), step('thick', 5)],
  details: [
    { kind: 'groove', at: '5', width: 1, bottom: 40 },
    { kind: 'groove', at: '2', datum: 1, width: 1, bottom: 40 },
  ],
  bores: [{ from: 'back', shape: 'drill', diameter: 90, depth: 2 }],
  lengths: [{ from: 'front', to: 1, size: 'x' }],
});

test.each([
  // Steps of 8 and 12: the middle of the second is 14, the third is drawn as wide as the second, from 20 to 25.
  ['part.outside[1].diameter', 14],
  ['part.outside[2].diameter', 22.5],
  ['part.details[0].bottom', 5],
  ['part.details[1].bottom', 10],
  ['part.bores[0].diameter', 25],
  ['part.lengths[0].size', 8],
  ['part.number', undefined],
])('%s is at %s', (path, z) => {
  const sketch = sketchPart(file.part, 'mm');
  if (!sketch) throw new Error('it can be drawn');
  expect(placeOfProblem(path, file, sketch)).toBe(z);
});
