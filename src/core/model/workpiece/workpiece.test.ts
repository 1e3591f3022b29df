import fc from 'fast-check';
import { cylinder } from './profile';
import { metal, remove, solid, thinnestWall, turnedRound } from './workpiece';

const bar = solid(-0.3, 40, 20);

test('facing and parting trim outside and bore alike', () => {
  const piece = remove(remove(bar, { faceAt: 0 }), { partedAt: 22 });
  expect(piece.outside).toEqual([cylinder(0, 22, 10)]);
  expect(piece.bore).toEqual([cylinder(0, 22, 0)]);
  expect(metal(piece)).toBeCloseTo(Math.PI * 100 * 22, 6);
});

test('a drilled hole is metal less its cylinder and its point', () => {
  const drilled = remove(solid(0, 30, 20), { bore: [cylinder(-1, 12, 3), { z0: 12, z1: 13.8, r0: 3, r1: 0 }] });
  expect(metal(drilled)).toBeCloseTo(Math.PI * (100 * 30 - 9 * 12 - (9 * 1.8) / 3), 6);
});

describe('the wall that is thinnest for its diameter', () => {
  test('none in solid work', () => {
    expect(thinnestWall(bar)).toBeUndefined();
  });

  test('⌀20 with a bore of 17: 1.5', () => {
    expect(thinnestWall(remove(solid(0, 30, 20), { bore: [cylinder(0, 30, 8.5)] }))).toEqual({
      wall: 1.5,
      diameter: 20,
    });
  });

  test('under a spigot, not under the flange beside it', () => {
    const work = remove(solid(0, 30, 40), { outside: [cylinder(0, 10, 6)], bore: [cylinder(0, 30, 5)] });
    expect(thinnestWall(work)).toEqual({ wall: 1, diameter: 12 });
  });

  test('under a groove-like step that only the bore’s own ends would miss', () => {
    const work = remove(solid(0, 30, 20), { outside: [cylinder(12, 14, 6)], bore: [cylinder(0, 30, 5)] });
    expect(thinnestWall(work)?.wall).toBeCloseTo(1, 9);
  });
});

test('turning round twice is nothing, and metal stays', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 9 }), fc.integer({ min: 1, max: 29 }), (radius, length) => {
      const work = remove(solid(0, 30, 20), {
        outside: [cylinder(0, length, radius)],
        bore: [cylinder(0, length, radius / 2)],
      });
      const turned = turnedRound(work, 30);
      expect(metal(turned)).toBeCloseTo(metal(work), 6);
      expect(turnedRound(turned, 30)).toEqual(work);
    }),
  );
});
