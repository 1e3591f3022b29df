import { cylinder } from '@/core/model/workpiece/profile';
import { solid } from '@/core/model/workpiece/workpiece';
import { edgePath, fullPath, metalPath } from './paths';

const frame = { x: (z: number) => 100 - z, y: (r: number) => 50 - r };

test('the metal of a half goes out along the outside and back along the bore', () => {
  expect(metalPath(frame, solid(0, 10, 8))).toBe('M100.00,46.00L90.00,46.00L90.00,50.00L100.00,50.00Z');
  expect(fullPath(frame, [cylinder(0, 10, 4)])).toBe('M100.00,50.00L100.00,46.00L90.00,46.00L90.00,50.00Z');
  expect(fullPath(frame, [])).toBe('');
});

test('the edge of a cut is its shape, a face, or the surface that a thread or a knurl runs along', () => {
  expect(edgePath(frame, { outside: [cylinder(-1, 9, 7)] }, 0, 15)).toBe('M100.00,43.00L91.00,43.00');
  expect(edgePath(frame, {}, 2, 15, { to: 9, radius: 7 })).toBe('M98.00,43.00L91.00,43.00');
  expect(edgePath(frame, { faceAt: 0 }, -0.3, 15)).toBe('M100.00,50.00L100.00,35.00');
});
