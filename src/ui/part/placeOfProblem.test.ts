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
  // Steps of 8 and 12: the middle of the second is 14, the third is not drawn and stands at the end, 20.
  ['part.outside[1].diameter', 14],
  ['part.outside[2].diameter', 20],
  ['part.details[0].bottom', 5],
  ['part.details[1].bottom', 10],
  ['part.bores[0].diameter', 20],
  ['part.lengths[0].size', 8],
  ['part.number', undefined],
])('%s is at %s', (path, z) => {
  const sketch = sketchPart(file.part, 'mm');
  if (!sketch) throw new Error('the first two steps can be drawn');
  expect(placeOfProblem(path, file, sketch)).toBe(z);
});
