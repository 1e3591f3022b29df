import type { DetailFile, HoleFile, PartFile, StepFile } from './runFile';
import { finishedPart } from '../model/workpiece/finishedPart';
import type { SizeEntry } from '../model/part/size';
import { problemsOf, runOf, step } from '../testing';
import { areaWith, massOf } from '../model/part/mass';
import { turnRound, type Part } from '../model/part/part';
import { readPart } from './readPart';

const file = (more: Partial<PartFile>): PartFile => ({ number: 'T-1', material: '', outside: [step(20, 30)], ...more });

const partOf = (more: Partial<PartFile>, units: 'mm' | 'in' = 'mm'): Part => {
  const part = readPart(file(more), units);
  if (!part.ok) throw new Error(JSON.stringify(part.problems));
  return part.value;
};

const problemOf = (more: Partial<PartFile>) => {
  const part = readPart(file(more), 'mm');
  if (part.ok) throw new Error('was read, and must not be');
  return part.problems[0];
};

const detail = (entry: DetailFile, outside: StepFile[] = [step(20, 30)]) => partOf({ outside, details: [entry] });
const hole = (entry: HoleFile, ...more: HoleFile[]) => partOf({ bores: [entry, ...more] });
const bar = Math.PI * 100 * 30;
const taken = (part: Part) => bar - massOf(part, 1).volume;

describe('every shape weighs what its closed formula says', () => {
  test('a cone: the frustum π h / 3 (R² + R r + r²)', () => {
    const part = partOf({ outside: [{ shape: 'cone', from: 20, to: 26, length: 5 }] });
    expect(massOf(part, 1).volume).toBeCloseTo(((Math.PI * 5) / 3) * (100 + 130 + 169), 9);
    expect(massOf(part, 1).surface).toBeCloseTo(Math.PI * (100 + 169) + Math.PI * 23 * Math.hypot(5, 3), 9);
  });

  test.each([
    ['included', { from: 20, length: 5, included: 60 }],
    ['half', { from: 20, length: 5, half: 30 }],
    ['from the large end', { to: 20 + 10 * Math.tan(Math.PI / 6), length: 5, half: 30 }],
    ['two diameters and an angle', { from: 20, to: 20 + 10 * Math.tan(Math.PI / 6), half: 30 }],
    ['falling', { from: 20 + 10 * Math.tan(Math.PI / 6), length: 5, half: 30, rises: 'front' as const }],
  ])('a cone by an angle, %s: 20 + 2 · 5 · tan 30° = 25.77', (_, entry) => {
    const part = partOf({ outside: [{ shape: 'cone', ...entry }] });
    expect(part.length).toBeCloseTo(5, 6);
    expect(part.steps[0]?.diameter.nominal).toBeCloseTo(25.7735, 4);
    expect(massOf(part, 1).volume).toBeCloseTo(((Math.PI * 5) / 3) * (100 + 12.88675 ** 2 + 128.8675), 2);
  });

  test('a ball on a neck: the whole ball less its cap, π h² (3 R − h) / 3', () => {
    const part = partOf({ outside: [{ shape: 'sphere', diameter: 12, length: 11 }, step(4, 10)] });
    const cap = (Math.PI / 3) * (18 - 1);
    expect(massOf(part, 1).volume).toBeCloseTo((4 / 3) * Math.PI * 216 - cap + Math.PI * 4 * 10, 9);
    // Zone of a sphere 2 π R h, its neck's face, a cylinder and an end.
    const neck = Math.PI * (36 - 25);
    expect(massOf(part, 1).surface).toBeCloseTo(
      2 * Math.PI * 6 * 11 + neck - Math.PI * 4 + Math.PI * 4 * 10 + Math.PI * 4,
      9,
    );
  });

  test('a hexagon: 2 √3 (s / 2)² · l, the area for 8 mm (trade: Reference figures)', () => {
    expect(areaWith({ count: 6, fromAxis: 4 }, 10)).toBeCloseTo(55.426, 3);
    const part = partOf({ outside: [{ shape: 'hex', across: 8, length: 10 }] });
    expect(massOf(part, 1).volume).toBeCloseTo(554.256, 3);
    expect(massOf(part, 1).surface).toBeCloseTo(2 * 55.4256 + 6 * (8 / Math.sqrt(3)) * 10, 3);
    expect(massOf(partOf({ outside: [{ shape: 'square', across: 8, length: 10 }] }), 1).volume).toBeCloseTo(640, 9);
  });

  test('a hexagon with its corners chamfered weighs less than without, more than its round', () => {
    const hex = (chamfers: StepFile['chamfers']) =>
      massOf(partOf({ outside: [{ shape: 'hex', across: 8, length: 10, ...(chamfers ? { chamfers } : {}) }] }), 1)
        .volume;
    expect(hex({ front: 0.6 })).toBeLessThan(hex(undefined));
    expect(hex({ front: 0.6 })).toBeGreaterThan(Math.PI * 16 * 10);
  });

  test('two flats: two circular segments off', () => {
    const part = detail({ kind: 'flats', at: 5, length: 10, count: 2, across: 16 });
    const segment = 100 * Math.acos(0.8) - 8 * 6;
    expect(taken(part)).toBeCloseTo(2 * segment * 10, 6);
  });

  test('a square groove: a ring', () => {
    expect(taken(detail({ kind: 'groove', at: 7, width: 2, bottom: 16 }))).toBeCloseTo(Math.PI * (100 - 64) * 2, 9);
  });

  test('a relief with rounded corners leaves more by what Pappus gives for both spandrels', () => {
    const square = taken(detail({ kind: 'groove', at: 7, width: 4, bottom: 16 }));
    const round = taken(detail({ kind: 'groove', at: 7, width: 4, bottom: 16, radius: 1 }));
    // Between a corner and its quarter circle of 1: area 1 − π/4, centroid (10 − 3 π) / (12 − 3 π) from both sides.
    const centroid = 8 + (10 - 3 * Math.PI) / (12 - 3 * Math.PI);
    expect(square - round).toBeCloseTo(2 * 2 * Math.PI * centroid * (1 - Math.PI / 4), 9);
  });

  test('a vee: two frustums off', () => {
    const half = 2 * Math.tan(Math.PI / 9);
    const frustum = ((Math.PI * half) / 3) * (100 + 80 + 64);
    expect(taken(detail({ kind: 'vee', at: 18, included: 40, depth: 2 }))).toBeCloseTo(
      2 * (Math.PI * 100 * half - frustum),
      9,
    );
  });

  test('a vee with a flat bottom 3 wide: two frustums and a ring', () => {
    const half = 2 * Math.tan(Math.PI / 9);
    const frustum = ((Math.PI * half) / 3) * (100 + 80 + 64);
    const part = detail({ kind: 'vee', at: 15, included: 40, depth: 2, bottom: 3 });
    expect(taken(part)).toBeCloseTo(2 * (Math.PI * 100 * half - frustum) + Math.PI * (100 - 64) * 3, 9);
    expect([part.features[0]?.z0, part.features[0]?.z1]).toEqual([15 - 1.5 - half, 15 + 1.5 + half]);
  });

  test('a groove in the back face: a ring, by its depth nearer to the back', () => {
    const part = detail({ kind: 'face-groove', face: 'back', inner: 8, outer: 14, depth: 2 });
    expect(taken(part)).toBeCloseTo(Math.PI * (49 - 16) * 2, 9);
    expect(massOf(part, 1).surface - massOf(partOf({}), 1).surface).toBeCloseTo(2 * Math.PI * (4 + 7) * 2, 9);
    // By hand: the bar's moment about the front less the ring's, 29 behind it.
    const ring = Math.PI * 33 * 2;
    expect(massOf(part, 1).centre).toBeCloseTo((bar * 15 - ring * 29) / (bar - ring), 9);
  });

  test('a half-round concave form, by Pappus: area π r² / 2, centroid 4 r / 3 π under the surface', () => {
    const expected = 2 * Math.PI * (10 - (4 * 2) / (3 * Math.PI)) * ((Math.PI * 4) / 2);
    expect(taken(detail({ kind: 'hollow', at: 15, radius: 2, depth: 2 }))).toBeCloseTo(expected, 9);
  });

  test('fillet and corner, by Pappus: spandrel area r² (1 − π/4), centroid r (10 − 3 π) / (12 − 3 π) from the corner', () => {
    const area = 4 * (1 - Math.PI / 4);
    const centroid = (2 * (10 - 3 * Math.PI)) / (12 - 3 * Math.PI);
    const corner = partOf({ details: [{ kind: 'radius', at: 0, size: 2 }] });
    expect(taken(corner)).toBeCloseTo(2 * Math.PI * (10 - centroid) * area, 9);
    const shoulder = [step(10, 10), step(20, 20)];
    const bare = massOf(partOf({ outside: shoulder }), 1).volume;
    const filled = massOf(partOf({ outside: shoulder, details: [{ kind: 'radius', at: 10, size: 2 }] }), 1).volume;
    expect(filled - bare).toBeCloseTo(2 * Math.PI * (5 + centroid) * area, 9);
  });

  test('a chamfer of 2 × 30°, by its frustum', () => {
    const part = partOf({ details: [{ kind: 'chamfer', at: 0, size: 2, angle: 30 }] });
    const r = 10 - 2 * Math.tan(Math.PI / 6);
    expect(taken(part)).toBeCloseTo(Math.PI * 200 - ((Math.PI * 2) / 3) * (100 + 10 * r + r * r), 9);
    expect(part.features).toHaveLength(1);
  });

  test('a thread weighs as its pitch cylinder: M20, d2 = 20 − 0.649519 · 2.5', () => {
    const part = detail({ kind: 'thread', at: 0, length: 10, designation: 'M20' });
    expect(taken(part)).toBeCloseTo(Math.PI * (100 - ((20 - 0.649519 * 2.5) / 2) ** 2) * 10, 9);
  });

  test.each<[string, HoleFile, number]>([
    ['bored', { from: 'back', shape: 'bore', diameter: 10, depth: 4, bottom: 'flat' as never }, Math.PI * 25 * 4],
    [
      'drilled to its full diameter',
      { from: 'back', shape: 'drill', diameter: 6, depth: 10 },
      Math.PI * 9 * (10 + 1.8026 / 3),
    ],
    [
      'drilled to the point',
      { from: 'front', shape: 'drill', diameter: 6, depth: 10, depthTo: 'point' },
      Math.PI * 9 * (10 - 1.8026 + 1.8026 / 3),
    ],
    ['countersunk', { from: 'front', shape: 'countersink', mouth: 8, included: 90 }, (Math.PI * 16 * 4) / 3],
    [
      'conical: mouth 7.3676 (trade: Reference figures)',
      { from: 'front', shape: 'cone', small: 3, depth: 6, included: 40 },
      ((Math.PI * 6) / 3) * (3.6838 ** 2 + 3.6838 * 1.5 + 2.25),
    ],
    [
      'tapped M6, at d2 = 5.3505',
      { from: 'front', shape: 'tap', designation: 'M6', depth: 8 },
      (Math.PI / 4) * 5.350481 ** 2 * 8,
    ],
    ['reamed through', { from: 'front', shape: 'ream', diameter: '6 H7', depth: 'through' }, Math.PI * 9 * 30],
  ])('a hole %s', (_, entry, volume) => {
    expect(taken(hole(entry))).toBeCloseTo(volume, 2);
  });

  test('an internal groove in a bore', () => {
    const bored: HoleFile = { from: 'front', shape: 'bore', diameter: 10, depth: 'through' };
    const grooved = hole(bored, { from: 'front', shape: 'groove', at: 4, width: 2, bottom: 13 });
    expect(taken(grooved) - taken(hole(bored))).toBeCloseTo(Math.PI * (6.5 ** 2 - 25) * 2, 9);
  });

  test('holes from both ends that meet count their metal once', () => {
    const part = hole(
      { from: 'front', shape: 'bore', diameter: 10, depth: 20 },
      { from: 'back', shape: 'bore', diameter: 6, depth: 20 },
    );
    expect(taken(part)).toBeCloseTo(Math.PI * (25 * 20 + 9 * 10), 9);
  });

  test('the centre of gravity of two cylinders', () => {
    const part = partOf({ outside: [step(10, 10), step(20, 10)] });
    // Volumes 1 : 4 at 5 and 15.
    expect(massOf(part, 1).centre).toBeCloseTo(13, 9);
  });
});

test('seen from the other end, the same metal lies the other way round', () => {
  const part = partOf({
    outside: [
      { shape: 'cone', from: 8, to: 14, length: 10 },
      step(14, 10),
      { shape: 'sphere', diameter: 18, length: 12 },
    ],
    details: [{ kind: 'groove', at: 13, width: 3, bottom: 10, radius: 0.5 }],
    bores: [{ from: 'front', shape: 'countersink', mouth: 6 }],
  });
  const back = turnRound(part);
  const [one, other] = [massOf(part, 1), massOf(back, 1)];
  expect(other.volume).toBeCloseTo(one.volume, 6);
  expect(other.surface).toBeCloseTo(one.surface, 6);
  expect(other.centre).toBeCloseTo(part.length - one.centre, 6);
  expect(finishedPart(turnRound(back)).outside.at(-1)?.r1).toBeCloseTo(finishedPart(part).outside.at(-1)?.r1 ?? 0, 9);
});

test('sizes may be in inches throughout', () => {
  const part = partOf(
    { outside: [step('1/4', '1/2')], details: [{ kind: 'thread', at: 0, length: '.3', designation: '1/4-20' }] },
    'in',
  );
  expect(part.features[0]?.thread).toMatchObject({ diameter: 6.35, pitch: 1.27 });
});

test('a run-out ties two surfaces by their names', () => {
  const part = partOf({
    outside: [step('14 h8', 9, { name: 'spigot' }), step(26, 13)],
    bores: [{ from: 'front', shape: 'drill', diameter: 6, depth: 'through' }],
    runout: [{ of: 'spigot', to: 'bore', limit: 0.03 }],
  });
  expect(part.ties).toEqual([{ path: 'part.runout[0]', of: 'part.outside[0]', to: 'part.bores[0]', limit: 0.03 }]);
});

test('a core hole a little over its tap drill is one; at the pitch diameter the thread finds no metal', () => {
  const tapped = (diameter: number) =>
    runOf({
      outside: [step(20, 30)],
      bores: [
        { from: 'front', shape: 'drill', diameter, depth: 20 },
        { from: 'front', shape: 'tap', designation: 'M8', depth: 14 },
      ],
    });
  // Tap drill 8 − 1.25 = 6.75; pitch diameter 8 − 0.6495 · 1.25 = 7.188.
  expect(partOf(tapped(6.8).part).features).toMatchObject([{ kind: 'tap' }]);
  expect(problemsOf(tapped(7.2))).toContainEqual(
    expect.objectContaining({ path: 'part.bores[1].designation', message: expect.stringContaining('finds no metal') }),
  );
});

describe('what a drawing says of how closely', () => {
  test('a cross hole with a depth that has limits goes so deep, not through', () => {
    const part = detail({ kind: 'cross-hole', at: 10, diameter: 4, depth: '5 +0.2/0' });
    expect(part.features[0]?.cross?.depth).toBeCloseTo(5.1, 9);
    expect(part.features[0]?.deep).toMatchObject({ nominal: 5, lower: 0, upper: 0.2 });
  });

  test('a depth with limits is made to their middle and measured; a plain one is as it is typed', () => {
    const bore = (depth: SizeEntry) => hole({ from: 'front', shape: 'bore', diameter: 10, depth }).features[0];
    expect(bore('6.5 +0.1/0')?.z1).toBeCloseTo(6.55, 9);
    expect(bore('6.5 +0.1/0')?.deep).toMatchObject({ nominal: 6.5, lower: 0, upper: 0.1, from: 'limits' });
    expect(bore({ size: 6.5, limits: [0, 0.1] })?.z1).toBeCloseTo(6.55, 9);
    expect(bore(6.5)).toMatchObject({ z1: 6.5 });
    expect(bore(6.5)?.deep).toBeUndefined();
    expect(hole({ from: 'back', shape: 'drill', diameter: 6, depth: '8 ±0.2' }).holes[0]).toMatchObject({
      depth: 8,
      deep: { upper: 0.2 },
    });
  });

  test('a groove in a face that leaves no wall is refused where it does not', () => {
    const groove = (inner: number, outer: number, bores: HoleFile[] = []) =>
      problemOf({ bores, details: [{ kind: 'face-groove', face: 'front', inner, outer, depth: 2 }] });
    expect(groove(14, 8)).toEqual({ path: 'part.details[0].inner', message: '⌀14 is not less than the outer ⌀8' });
    expect(groove(14, 20)).toMatchObject({
      path: 'part.details[0].outer',
      message: expect.stringContaining('leaves no wall'),
    });
    expect(groove(10, 14, [{ from: 'front', shape: 'drill', diameter: 10, depth: 'through' }])).toEqual({
      path: 'part.details[0].inner',
      message: 'leaves no wall: the bore there is ⌀10 wide',
    });
  });
});
