import fc from 'fast-check';
import { cylinder } from '@/core/removal/profile';
import { solid } from '@/core/removal/workpiece';
import { edgePath, fullPath, metalPath, spread } from './paths';

const frame = { x: (z: number) => 100 - z, y: (r: number) => 50 - r };

test('the metal of a half goes out along the outside and back along the bore', () => {
  expect(metalPath(frame, solid(0, 10, 8))).toBe('M100.00,46.00L90.00,46.00L90.00,50.00L100.00,50.00Z');
  expect(fullPath(frame, [cylinder(0, 10, 4)])).toBe('M100.00,50.00L100.00,46.00L90.00,46.00L90.00,50.00Z');
  expect(fullPath(frame, [])).toBe('');
});

test('the edge of a cut is its shape, or a face', () => {
  expect(edgePath(frame, { outside: [cylinder(-1, 9, 7)] }, 0, 15)).toBe('M100.00,43.00L91.00,43.00');
  expect(edgePath(frame, { faceAt: 0 }, -0.3, 15)).toBe('M100.00,50.00L100.00,35.00');
});

test('labels keep their distance and stay where they are when they have it', () => {
  expect(spread([10, 100], 30, 0, 200)).toEqual([10, 100]);
  expect(spread([50, 51], 30, 0, 200)).toEqual([35.5, 65.5]);
  fc.assert(
    fc.property(fc.array(fc.integer({ min: 0, max: 400 }), { minLength: 1, maxLength: 9 }), (places) => {
      const spaced = spread(places, 40, 0, 400);
      const sorted = [...spaced].sort((a, b) => a - b);
      sorted.slice(1).forEach((place, index) => expect(place - (sorted[index] ?? 0)).toBeGreaterThanOrEqual(40 - 1e-6));
      expect(Math.min(...spaced)).toBeGreaterThanOrEqual(-1e-6);
      expect(Math.max(...spaced)).toBeLessThanOrEqual(400 + 1e-6);
    }),
  );
});
