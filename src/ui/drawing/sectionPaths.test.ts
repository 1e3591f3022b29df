import { box, disc } from '@/core/plan/proof/section/contour';
import { difference } from '@/core/plan/proof/section/section';
import { bodyPath, edgePiecePath, sectionOutline, sectionPath } from './sectionPaths';

/** Ten pixels a millimetre, z from right to left as on the sheet. */
const frame = { x: (z: number) => 100 - 10 * z, y: (r: number) => 50 - 10 * r };

test('metal is drawn slab by slab, cut off towards the chuck', () => {
  expect(sectionPath(frame, box(0, 4, 1, 2), 3)).toBe('M100.00,30.00L70.00,30.00L70.00,40.00L100.00,40.00Z');
  expect(sectionPath(frame, box(5, 6, 0, 1), 3)).toBe('');
});

test('its outline has curves and walls, and no line where two slabs meet', () => {
  const stepped = difference(box(0, 4, 0, 2), box(0, 2, 1, 2));
  const outline = sectionOutline(frame, stepped, 10);
  // The shoulder at 2 from 1 to 2, the faces at 0 and 4.
  expect(outline).toContain('M80.00,40.00L80.00,30.00');
  expect(outline).toContain('M100.00,50.00L100.00,40.00');
  expect(outline).toContain('M60.00,50.00L60.00,30.00');
  expect(outline).not.toContain('M80.00,50.00');
});

test('an arc is drawn through points on it', () => {
  const points = sectionPath(frame, disc(0, 3, 1), 10).match(/[\d.]+,[\d.]+/g) ?? [];
  expect(points.length).toBe(18);
  for (const point of points) {
    const [x = 0, y = 0] = point.split(',').map(Number);
    expect(Math.hypot((x - 100) / 10, (50 - y) / 10 - 3)).toBeCloseTo(1, 2);
  }
});

test('a tool is drawn about its reference point', () => {
  const square = [
    { z: 0, r: 0 },
    { z: 1, r: 0 },
    { z: 1, r: 1 },
  ];
  expect(bodyPath(frame, square, { z: 2, r: 1 })).toBe('M80.00,40.00L70.00,40.00L70.00,30.00Z');
  expect(edgePiecePath(frame, { polygon: square }, { z: 2, r: 1 })).toBe(bodyPath(frame, square, { z: 2, r: 1 }));
  expect(edgePiecePath(frame, { disc: { z: -1, r: 1, radius: 1 } }, { z: 2, r: 1 })).toContain('A10,10');
});
