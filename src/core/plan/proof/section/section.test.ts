import fc from 'fast-check';
import { box, disc, under, within } from './contour';
import { crossings, lineOf, arcOf, radiusAt } from './curve';
import { difference, holds, intersection, mirrored, union, volumeOf, type Section } from './section';

interface Drawn {
  kind: 'box' | 'disc' | 'triangle' | 'drop';
  z: number;
  r: number;
  a: number;
  b: number;
}

function made({ kind, z, r, a, b }: Drawn): Section {
  if (kind === 'box') return box(z, z + 2 * a, r - b, r + b);
  if (kind === 'disc') return disc(z, r, a);
  if (kind === 'triangle')
    return within([
      { z, r: r - b },
      { z: z + 2 * a, r },
      { z: z + a / 3, r: r + b },
    ]);
  // Half a circle with a point.
  return within([
    { z: z - a, r, round: { z, r, way: 'right' } },
    { z: z + a, r },
    { z, r: r - b },
  ]);
}

/** A shape off the axis, at a place that is not round in any figure. */
const drawn: fc.Arbitrary<Drawn> = fc.record({
  kind: fc.constantFrom('box', 'disc', 'triangle', 'drop' as const),
  z: fc.double({ min: -20, max: 20, noNaN: true }),
  r: fc.double({ min: 6, max: 20, noNaN: true }),
  a: fc.double({ min: 0.5, max: 5, noNaN: true }),
  b: fc.double({ min: 0.5, max: 5, noNaN: true }),
});
const shape = drawn.map(made);

/** A place on a lattice that nothing of a shape falls on. */
const LATTICE = Array.from({ length: 24 }, (_, z) =>
  Array.from({ length: 16 }, (_, r) => [z * 2.13 - 24.3, r * 1.71 + 0.83]),
).flat();

test('union, difference and what is in both hold exactly what they must, wherever one looks', () => {
  fc.assert(
    fc.property(
      fc.array(shape, { minLength: 1, maxLength: 4 }),
      fc.array(shape, { minLength: 1, maxLength: 4 }),
      (ones, others) => {
        const [a, b] = [ones, others].map((all) => all.reduce((whole, piece) => union(whole, piece)));
        if (!a || !b) return;
        const [both, without, common] = [union(a, b), difference(a, b), intersection(a, b)];
        const wrong = LATTICE.filter(([z = 0, r = 0]) => {
          const [inA, inB] = [ones.some((piece) => holds(piece, z, r)), others.some((piece) => holds(piece, z, r))];
          return (
            holds(both, z, r) !== (inA || inB) ||
            holds(without, z, r) !== (inA && !inB) ||
            holds(common, z, r) !== (inA && inB)
          );
        });
        expect(wrong).toEqual([]);
      },
    ),
    { numRuns: 150 },
  );
});

test('what goes and what stays add up: |A| + |B| = |A ∪ B| + |A ∩ B|, |A − B| = |A| − |A ∩ B|', () => {
  fc.assert(
    fc.property(shape, shape, (a, b) => {
      const common = volumeOf(intersection(a, b));
      expect(volumeOf(union(a, b))).toBeCloseTo(volumeOf(a) + volumeOf(b) - common, 2);
      expect(volumeOf(difference(a, b))).toBeCloseTo(volumeOf(a) - common, 2);
    }),
    { numRuns: 400 },
  );
});

test('volumes of bodies that textbooks have: a cylinder, a cone, a ball, a ring', () => {
  expect(volumeOf(box(0, 10, 0, 4))).toBeCloseTo(Math.PI * 16 * 10, 6);
  expect(volumeOf(under(0, 9, lineOf(0, 0, 9, 3)))).toBeCloseTo((Math.PI * 9 * 9) / 3, 6);
  expect(volumeOf(intersection(disc(0, 0, 5), box(-5, 5, 0, 6)))).toBeCloseTo((4 / 3) * Math.PI * 125, 4);
  // A torus: 2 π² R r².
  expect(volumeOf(disc(0, 12, 3))).toBeCloseTo(2 * Math.PI ** 2 * 12 * 9, 4);
});

test('a groove in a flat face is one more band, and goes without a trace when it is filled again', () => {
  const piece = box(0, 20, 0, 15);
  const groove = box(0, 3, 8, 11);
  const grooved = difference(piece, groove);
  expect(grooved.map(({ z0, z1, bands }) => [z0, z1, bands.length])).toEqual([
    [0, 3, 2],
    [3, 20, 1],
  ]);
  expect(volumeOf(grooved)).toBeCloseTo(Math.PI * (225 * 20 - (121 - 64) * 3), 6);
  expect(volumeOf(difference(piece, union(grooved, groove)))).toBe(0);
  expect(volumeOf(difference(union(grooved, groove), piece))).toBe(0);
});

test('a hair of 1e-7 either way changes nothing', () => {
  fc.assert(
    fc.property(drawn, drawn, fc.constantFrom(-1e-7, 1e-7), (a, b, hair) => {
      const [as, moved] = [b, { ...b, z: b.z + hair }].map((other) => volumeOf(difference(made(a), made(other))));
      expect(Math.abs((moved as number) - (as as number))).toBeLessThan(1e-2);
    }),
    { numRuns: 300 },
  );
});

test('a scene seen in a mirror leaves the mirrored piece', () => {
  fc.assert(
    fc.property(shape, shape, (a, b) => {
      const seen = difference(mirrored(a, 30), mirrored(b, 30));
      const straight = mirrored(difference(a, b), 30);
      expect(volumeOf(difference(seen, straight)) + volumeOf(difference(straight, seen))).toBeLessThan(1e-2);
    }),
    { numRuns: 200 },
  );
});

test('the same part made in another order is the same part', () => {
  const turned = union(box(0, 5, 0, 4), union(box(5, 12, 0, 7), disc(12, 0, 7)));
  const otherWay = union(union(disc(12, 0, 7), box(5, 12, 0, 7)), box(0, 5, 0, 4));
  expect(volumeOf(difference(turned, otherWay)) + volumeOf(difference(otherWay, turned))).toBe(0);
});

test('ten thousand lines and arcs cross where both are, and never throw', () => {
  const number = fc.double({ min: -30, max: 30, noNaN: true });
  const curve = fc.oneof(
    fc.tuple(number, number, number).map(([z, r0, r1]) => lineOf(z, r0, z + 7, r1)),
    fc
      .tuple(number, number, fc.double({ min: 0.01, max: 30, noNaN: true }), fc.boolean())
      .map(([z, r, radius, above]) => arcOf(z, r, radius, above)),
  );
  fc.assert(
    fc.property(curve, curve, (a, b) => {
      const off = crossings(a, b, -40, 40).map((z) => Math.abs(radiusAt(a, z) - radiusAt(b, z)));
      expect(off.every((distance) => distance < 1e-4)).toBe(true);
    }),
    { numRuns: 10_000 },
  );
});
