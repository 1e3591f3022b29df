import * as fc from 'fast-check';
import {
  apart,
  bothSides,
  boxOf,
  distance,
  hullOf,
  moved,
  rectangle,
  sweptAlong,
  type Point,
  type Polygon,
} from './convex';

const coordinate = () => fc.integer({ min: -200, max: 200 }).map((n) => n / 10);
const point = () => fc.record({ z: coordinate(), r: coordinate() });
const body = () =>
  fc
    .array(point(), { minLength: 3, maxLength: 8 })
    .map(hullOf)
    .filter((polygon) => area(polygon) > 0.1);

/** By the shoelace; positive when turning left. */
const area = (polygon: Polygon): number =>
  polygon.reduce((sum, { z, r }, index) => {
    const next = polygon[(index + 1) % polygon.length] as Point;
    return sum + (z * next.r - next.z * r) / 2;
  }, 0);

const isIn = (polygon: Polygon, { z, r }: Point): boolean =>
  polygon.every((from, index) => {
    const to = polygon[(index + 1) % polygon.length] as Point;
    return (to.z - from.z) * (r - from.r) - (to.r - from.r) * (z - from.z) >= -1e-9;
  });

test('a hull turns left and holds every point', () => {
  fc.assert(
    fc.property(fc.array(point(), { minLength: 3, maxLength: 12 }), (points) => {
      const hull = hullOf(points);
      fc.pre(area(hull) > 1e-6);
      for (const each of points) expect(isIn(hull, each)).toBe(true);
    }),
  );
});

test('what is swept holds the body at every place of its way', () => {
  fc.assert(
    fc.property(body(), point(), point(), fc.integer({ min: 0, max: 10 }), (polygon, from, to, tenths) => {
      const swept = sweptAlong(polygon, from, to);
      const at = { z: from.z + ((to.z - from.z) * tenths) / 10, r: from.r + ((to.r - from.r) * tenths) / 10 };
      for (const corner of moved(polygon, at)) expect(isIn(swept, corner)).toBe(true);
    }),
  );
});

test('distances: side by side, corner to corner, one in the other', () => {
  const square = rectangle(0, 2, 0, 2);
  expect(distance(square, rectangle(5, 6, 0, 2))).toBeCloseTo(3, 9);
  expect(distance(square, rectangle(5, 6, 6, 7))).toBeCloseTo(5, 9);
  // In each other by 0.5 along z, by 2 across it: the lesser is told.
  expect(distance(square, rectangle(1.5, 4, 0, 2))).toBeCloseTo(-0.5, 9);
  expect(distance(square, rectangle(2, 4, 0, 2))).toBeCloseTo(0, 9);
});

test('a distance is the same both ways, and never less than that of the boxes', () => {
  fc.assert(
    fc.property(body(), body(), (a, b) => {
      const between = distance(a, b);
      expect(between).toBeCloseTo(distance(b, a), 9);
      if (between > 0) expect(between).toBeGreaterThanOrEqual(apart(boxOf(a), boxOf(b)) - 1e-9);
    }),
  );
});

test('moved apart by its distance along no matter which way, a body still does not meet the other', () => {
  fc.assert(
    fc.property(body(), body(), fc.integer({ min: 0, max: 359 }), (a, b, degrees) => {
      const between = distance(a, b);
      fc.pre(between > 0.01);
      const by = (0.99 * between * 1) as number;
      const way = { z: by * Math.cos((degrees * Math.PI) / 180), r: by * Math.sin((degrees * Math.PI) / 180) };
      expect(distance(moved(a, way), b)).toBeGreaterThan(0);
    }),
  );
});

test('beyond the axis it is folded over', () => {
  expect(bothSides(rectangle(0, 1, 1, 2))).toEqual([rectangle(0, 1, 1, 2)]);
  const [over, folded] = bothSides(rectangle(0, 1, -3, 1)).map(boxOf);
  expect(over).toEqual({ z0: 0, z1: 1, r0: 0, r1: 1 });
  expect(folded).toEqual({ z0: 0, z1: 1, r0: 0, r1: 3 });
});
