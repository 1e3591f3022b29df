import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { DxfWriter, point2d, point3d, Units } from '@tarikjabiri/dxf';
import { drawPart } from '../../drawing/drawPart';
import { dxfOf } from '../../drawing/dxf';
import { massOf } from '../../model/part/mass';
import type { Part } from '../../model/part/part';
import { startValues } from '../../model/shop/startValues';
import { readPart } from '../../read/readPart';
import { readRun } from '../../read/readRun';
import { example } from '../../testing';
import DrawingWriter from 'dxf-writer';
import { layersIn, readDxf, type DxfChoices } from './readDxf';

/** A drawing made by another library: z to the left from x = 100, the axis at y = 50. */
function drawn(
  build: (at: (z: number, r: number) => [number, number], writer: DxfWriter) => void,
  units: number | undefined = Units.Millimeters,
): string {
  const writer = new DxfWriter();
  if (units !== undefined) writer.setUnits(units);
  build((z, r) => [100 - z, 50 + r], writer);
  return writer.stringify();
}

const axis = (writer: DxfWriter) => {
  writer.addLayer('AXIS', 7, 'Continuous');
  writer.addLine(point3d(-10, 50, 0), point3d(110, 50, 0), { layerName: 'AXIS' });
};

const read = (text: string, choices?: DxfChoices) => {
  const part = readDxf(text, choices);
  if (!part.ok) throw new Error(JSON.stringify(part.problems));
  return part.value;
};

const lines = (writer: DxfWriter, places: [number, number][]) =>
  places.slice(1).forEach(([x, y], index) => {
    const [from, at] = places[index] ?? [0, 0];
    writer.addLine(point3d(from, at, 0), point3d(x, y, 0));
  });

/** A spigot of 14 with a chamfer of 1, a cone to 26, a flange. */
const spigot = (units?: number) =>
  drawn((at, writer) => {
    axis(writer);
    lines(writer, [at(0, 0), at(0, 6), at(1, 7), at(9, 7), at(14, 13), at(22, 13), at(22, 0)]);
  }, units);

test('lines become cylinders, cones and chamfers, from the front at the right', () => {
  expect(read(spigot())).toEqual({
    outside: [
      { shape: 'cylinder', diameter: 14, length: 9 },
      { shape: 'cone', from: 14, to: 26, length: 5 },
      { shape: 'cylinder', diameter: 26, length: 8 },
    ],
    details: [{ kind: 'chamfer', at: 0, size: 1 }],
    bores: [],
    told: [],
    drawn: expect.any(Array) as unknown,
  });
});

test('units are asked for when the drawing has none, and inches are turned into millimetres', () => {
  const bare = spigot(Units.Unitless);
  expect(readDxf(bare)).toMatchObject({ ok: false, problems: [{ path: 'units' }] });
  expect(read(bare, { units: 'in' }).outside[0]).toMatchObject({ diameter: 355.6, length: 228.6 });
});

test('a closed polyline with a ball end, a bore and its mass', () => {
  const part = read(
    drawn((at, writer) => {
      axis(writer);
      const quarter = Math.tan(Math.PI / 8);
      const corners = [at(0, 0), at(8, 8), at(30, 8), at(30, 3), at(20, 3), at(20, 0)];
      writer.addLWPolyline(
        corners.map(([x, y], index) => ({ point: point2d(x, y), ...(index === 0 ? { bulge: quarter } : {}) })),
      );
    }),
  );
  expect(part.outside).toEqual([
    { shape: 'sphere', diameter: 16, length: 8 },
    { shape: 'cylinder', diameter: 16, length: 22 },
  ]);
  expect(part.bores).toEqual([{ from: 'back', shape: 'bore', diameter: 6, depth: 10 }]);
  const whole = readPart({ number: '', material: '', ...part }, 'mm');
  if (!whole.ok) throw new Error(JSON.stringify(whole.problems));
  const expected = (2 / 3) * Math.PI * 512 + Math.PI * 64 * 22 - Math.PI * 9 * 10;
  expect(massOf(whole.value, 1).volume).toBeCloseTo(expected, 3);
});

test('small gaps are closed and told; what is no profile is listed; without a centre line the lowest line is the axis', () => {
  const part = read(
    drawn((at, writer) => {
      lines(writer, [at(0, 0), at(0, 7), at(9, 7)]);
      lines(writer, [at(9.03, 10), at(20, 10), at(20, 0), at(0, 0)]);
      writer.addText(point3d(0, 0, 0), 3, 'gland');
    }),
  );
  expect(part.outside).toEqual([
    { shape: 'cylinder', diameter: 14, length: 9 },
    { shape: 'cylinder', diameter: 20, length: 11 },
  ]);
  expect(part.told).toEqual([
    'dimensions and words: 1 left out',
    'no centre line was found: the lowest line, at y 50, is taken for the axis',
    '1 small gaps were closed',
  ]);
});

test.each([
  ['', 'has no sections'],
  ['not a drawing', 'has no sections'],
  [spigot().slice(0, 900), 'dxf'],
  [drawn(() => undefined), 'no lines, arcs or polylines'],
])('a broken drawing is refused with a reason', (text, words) => {
  const part = readDxf(text);
  expect(part.ok).toBe(false);
  if (!part.ok) expect(`${part.problems[0]?.path}: ${part.problems[0]?.message}`).toContain(words);
});

test('five thousand entities are read; a curve of thousands of short lines is refused with what would do', () => {
  const many = drawn((at, writer) => {
    axis(writer);
    lines(writer, [at(0, 0), at(0, 7), at(9, 7), at(9, 0)]);
    for (let index = 0; index < 5000; index++) writer.addCircle(point3d(index, 0, 0), 1);
  });
  expect(read(many).outside).toEqual([{ shape: 'cylinder', diameter: 14, length: 9 }]);
  const curve = drawn((at, writer) => {
    axis(writer);
    lines(
      writer,
      Array.from({ length: 2000 }, (_, index) => at(index / 50, 5 + Math.sin(index / 100))),
    );
  });
  expect(readDxf(curve)).toMatchObject({
    ok: false,
    problems: [{ message: expect.stringContaining('draw curves as arcs') }],
  });
});

test.each([
  ['without ENTITIES', '0\nSECTION\n2\nHEADER\n9\n$INSUNITS\n70\n4\n0\nENDSEC\n0\nEOF\n', 'no section ENTITIES'],
  [
    'with a line that has no end',
    '0\nSECTION\n2\nHEADER\n9\n$INSUNITS\n70\n4\n0\nENDSEC\n0\nSECTION\n2\nENTITIES\n0\nLINE\n8\n0\n10\nx\n20\n1\n11\n5\n21\n1\n0\nENDSEC\n0\nEOF\n',
    'no point',
  ],
  [
    'that reaches beyond all figures',
    '0\nSECTION\n2\nHEADER\n9\n$INSUNITS\n70\n4\n0\nENDSEC\n0\nSECTION\n2\nENTITIES\n0\nLINE\n8\n0\n10\n0\n20\n-1e308\n11\n30\n21\n27\n0\nENDSEC\n0\nEOF\n',
    'farther out than any drawing',
  ],
])('a drawing %s is refused in words', (_, text, words) => {
  expect(readDxf(text)).toMatchObject({ ok: false, problems: [{ message: expect.stringContaining(words) }] });
});

test('200 000 lines, or a polyline of as many points, are refused before anything is made of them', () => {
  const head = '0\nSECTION\n2\nHEADER\n9\n$INSUNITS\n70\n4\n0\nENDSEC\n0\nSECTION\n2\nENTITIES\n';
  const line = (at: number) => `0\nLINE\n8\n0\n10\n${at}\n20\n1\n11\n${at + 1}\n21\n1\n`;
  const many = (count: number) =>
    `${head}${Array.from({ length: count }, (_, at) => line(at)).join('')}0\nENDSEC\n0\nEOF\n`;
  expect(readDxf(many(200_000))).toMatchObject({
    problems: [{ message: expect.stringContaining('has 200000 lines') }],
  });
  expect(readDxf(many(20_000))).toMatchObject({ problems: [{ message: expect.stringContaining('has 20000 lines') }] });
  const points = Array.from({ length: 200_000 }, (_, at) => `10\n${at}\n20\n1\n`).join('');
  const polyline = `${head}0\nLWPOLYLINE\n8\n0\n90\n200000\n70\n0\n${points}0\nENDSEC\n0\nEOF\n`;
  expect(readDxf(polyline)).toMatchObject({ problems: [{ message: expect.stringContaining('lines') }] });
});

describe('drawings as others make them', () => {
  const plain = [
    { shape: 'cylinder', diameter: 14, length: 10 },
    { shape: 'cylinder', diameter: 26, length: 8 },
  ];
  const half: [number, number][] = [
    [0, 0],
    [0, 7],
    [10, 7],
    [10, 13],
    [18, 13],
    [18, 0],
  ];

  test('a whole view without a centre line: its axis is where it is the same above and below', () => {
    const part = read(
      drawn((at, writer) => {
        lines(
          writer,
          half.map(([z, r]) => at(z, r)),
        );
        lines(
          writer,
          half.map(([z, r]) => at(z, -r)),
        );
      }),
    );
    expect(part.outside).toEqual(plain);
    expect(part.told).toContain('no centre line was found: it is the same above and below y 50, its axis');
  });

  test('faces drawn in one line over both halves, and a ball end in one arc, are cut at the axis', () => {
    const part = read(
      drawn((at, writer) => {
        // From below to above round the front: half a circle to the right.
        const [x, low] = at(8, -8);
        writer.addLWPolyline([{ point: point2d(x, low), bulge: 1 }, { point: point2d(...at(8, 8)) }]);
        for (const side of [1, -1])
          lines(writer, [at(8, side * 8), at(20, side * 8), at(20, side * 12), at(30, side * 12)]);
        lines(writer, [at(30, -12), at(30, 12)]);
      }),
    );
    expect(part.outside).toEqual([
      { shape: 'sphere', diameter: 16, length: 8 },
      { shape: 'cylinder', diameter: 16, length: 12 },
      { shape: 'cylinder', diameter: 24, length: 10 },
    ]);
  });

  test('blocks are taken apart where they are put, turned round and at their scale', () => {
    const writer = new DxfWriter();
    writer.setUnits(Units.Millimeters);
    const block = writer.document.addBlock('HALF');
    // At half its size, its front to the left, and upside down: turned by half a turn it stands as it should.
    half.slice(1).forEach(([z, r], index) => {
      const [fromZ, fromR] = half[index] ?? [0, 0];
      block.addLine(point3d(fromZ / 2, -fromR / 2, 0), point3d(z / 2, -r / 2, 0));
    });
    writer.addInsert('HALF', point3d(200, 80, 0), { rotationAngle: 180, scaleFactor: { x: 2, y: 2, z: 1 } });
    expect(read(writer.stringify()).outside).toEqual(plain);
  });

  test('a fillet, an outer corner and a hollow are details; the steps are as long as without them', () => {
    const quarter = Math.tan(Math.PI / 8);
    // A hollow R10 over 12 of the second step: 10 − √(100 − 36) = 2 deep.
    const hollow = Math.tan(Math.asin(0.6) / 2);
    const part = read(
      drawn((at, writer) => {
        axis(writer);
        const corners: [number, number, number?][] = [
          [0, 0],
          [0, 6, quarter],
          [1, 7],
          [18, 7, -quarter],
          [20, 9],
          [20, 13],
          [24, 13, -hollow],
          [36, 13],
          [40, 13],
          [40, 0],
        ];
        writer.addLWPolyline(
          corners.map(([z, r, bulge]) => ({ point: point2d(...at(z, r)), ...(bulge === undefined ? {} : { bulge }) })),
        );
      }),
    );
    expect(part.told).toEqual([]);
    expect(part.outside).toEqual([
      { shape: 'cylinder', diameter: 14, length: 20 },
      { shape: 'cylinder', diameter: 26, length: 20 },
    ]);
    expect(part.details).toEqual([
      { kind: 'radius', at: 0, size: 1, form: 'corner' },
      { kind: 'radius', at: 20, size: 2, form: 'fillet' },
      { kind: 'hollow', at: 30, radius: 10, depth: 2 },
    ]);
  });

  test('dimensions, words and threads are left out; a thread that is written is pointed at', () => {
    const part = read(
      drawn((at, writer) => {
        axis(writer);
        lines(
          writer,
          half.map(([z, r]) => at(z, r)),
        );
        writer.addLayer('DIM', 7, 'Continuous');
        writer.addLine(point3d(...at(0, 30), 0), point3d(...at(18, 30), 0), { layerName: 'DIM' });
        writer.addText(point3d(...at(5, 20), 0), 3, 'M14x1');
      }),
    );
    expect(part.outside).toEqual(plain);
    expect(part.told).toEqual([
      'layer DIM: 1 left out',
      'dimensions and words: 1 left out',
      'the drawing says “M14x1”: to be given as a detail',
    ]);
  });

  test('a layer is metal, or not, by hand', () => {
    const text = drawn((at, writer) => {
      axis(writer);
      writer.addLayer('BODY NOTES', 7, 'Continuous');
      writer.addLayer('FIXTURE', 7, 'Continuous');
      half.slice(1).forEach(([z, r], index) => {
        const [from, to] = [at(...(half[index] ?? [0, 0])), at(z, r)];
        writer.addLine(point3d(...from, 0), point3d(...to, 0), { layerName: 'BODY NOTES' });
      });
      writer.addLine(point3d(...at(0, 30), 0), point3d(...at(18, 30), 0), { layerName: 'FIXTURE' });
    });
    expect(layersIn(text)).toEqual([
      { name: 'AXIS', lines: 1, metal: false },
      { name: 'BODY NOTES', lines: half.length - 1, metal: false },
      { name: 'FIXTURE', lines: 1, metal: true },
    ]);
    const layers = { 'BODY NOTES': true, FIXTURE: false };
    expect(read(text, { layers })).toMatchObject({ outside: plain, told: ['layer FIXTURE: 1 left out'] });
    expect(readDxf(text, { layers: { FIXTURE: false } })).toMatchObject({ ok: false });
  });

  test('a curve of poles that is a quarter of a circle is a fillet; one that is none is cones that stay within a hundredth', () => {
    // Poles of a quarter of a circle stand 4/3 tan(π/8) of its radius along its tangents; it is off by 0.03 % of it at most.
    const [k, knots] = [(4 / 3) * Math.tan(Math.PI / 8), [0, 0, 0, 0, 1, 1, 1, 1]];
    const poles = (places: [number, number][]) => ({
      controlPoints: places.map(([x, y]) => point3d(x, y, 0)),
      degreeCurve: 3,
      knots,
    });
    const part = read(
      drawn((at, writer) => {
        axis(writer);
        lines(writer, [at(0, 0), at(0, 7), at(18, 7)]);
        writer.addSpline(poles([at(18, 7), at(18 + 2 * k, 7), at(20, 9 - 2 * k), at(20, 9)]));
        lines(writer, [at(20, 9), at(20, 13), at(40, 13), at(40, 0)]);
      }),
    );
    expect(part.outside).toEqual([
      { shape: 'cylinder', diameter: 14, length: 20 },
      { shape: 'cylinder', diameter: 26, length: 20 },
    ]);
    expect(part.details).toEqual([{ kind: 'radius', at: 20, size: 2, form: 'fillet' }]);
    expect(part.told).toEqual(['1 × SPLINE read as arcs and lines within 0.01 mm']);

    // r = 7 + 6 s² (3 − 2 s) over z = 10 s: poles level at both ends.
    const third = 10 / 3;
    const handle = read(
      drawn((at, writer) => {
        axis(writer);
        lines(writer, [at(0, 0), at(0, 7)]);
        writer.addSpline(poles([at(0, 7), at(third, 7), at(2 * third, 13), at(10, 13)]));
        lines(writer, [at(10, 13), at(10, 0)]);
      }),
    );
    const cones = handle.outside as { from: number; to: number; length: number }[];
    expect(cones.length).toBeGreaterThan(4);
    let z = 0;
    for (const { from, to, length } of cones) {
      for (const share of [0, 0.25, 0.5, 0.75, 1]) {
        const s = (z + share * length) / 10;
        const [curve, slope] = [7 + 6 * s * s * (3 - 2 * s), 3.6 * s * (1 - s)];
        const off = Math.abs((from + share * (to - from)) / 2 - curve) / Math.hypot(1, slope);
        expect(off).toBeLessThan(0.0105);
      }
      z += length;
    }
    expect(z).toBeCloseTo(10, 3);
  });

  test('half an ellipse is cones; poles that weigh differently are told and left out', () => {
    const part = read(
      drawn((at, writer) => {
        axis(writer);
        writer.addEllipse(point3d(...at(10, 0), 0), point3d(10, 0, 0), 0.5, 0, Math.PI / 2);
        lines(writer, [at(10, 5), at(20, 5), at(20, 0)]);
        writer.addSpline({ controlPoints: [point3d(0, 60, 0), point3d(5, 60, 0)], degreeCurve: 1, flags: 4 });
      }),
    );
    // At half of its length the ellipse is √(1 − 1/4) of its height.
    const steps = part.outside as { to?: number; length: number }[];
    let z = 0;
    const at = steps.find(({ length }) => (z += length) >= 5);
    expect(at?.to).toBeGreaterThanOrEqual(10 * Math.sqrt(3 / 4) - 0.03);
    expect(part.told).toContain('1 × SPLINE not understood and left out');
    expect(steps.at(-1)).toEqual({ shape: 'cylinder', diameter: 10, length: 10 });
  });

  test('a drawing of a third library is read: its lines, arcs and words', () => {
    const other = new DrawingWriter();
    other.setUnits('Millimeters');
    other.addLayer('outline', DrawingWriter.ACI.WHITE, 'CONTINUOUS').setActiveLayer('outline');
    const way = [
      [40, 0],
      [40, 7],
      [22, 7],
    ];
    way.slice(1).forEach(([x = 0, y = 0], index) => other.drawLine(way[index]?.[0] ?? 0, way[index]?.[1] ?? 0, x, y));
    // The fillet of the shoulder: its middle outside, from below it to the left of it.
    other.drawArc(22, 9, 2, 180, 270);
    other.drawPolyline([
      [20, 9],
      [20, 13],
      [0, 13],
      [0, 0],
    ]);
    other.addLayer('centre', DrawingWriter.ACI.RED, 'CONTINUOUS').setActiveLayer('centre');
    other.drawLine(-5, 0, 45, 0);
    other.addLayer('text', DrawingWriter.ACI.RED, 'CONTINUOUS').setActiveLayer('text');
    other.drawText(30, 20, 3, 0, 'M14x1');
    const part = read(other.toDxfString());
    expect(part.outside).toEqual([
      { shape: 'cylinder', diameter: 14, length: 20 },
      { shape: 'cylinder', diameter: 26, length: 20 },
    ]);
    expect(part.details).toEqual([{ kind: 'radius', at: 20, size: 2, form: 'fillet' }]);
    expect(part.told).toContain('the drawing says “M14x1”: to be given as a detail');
  });

  test('an arc of no radius is no curve, and every figure stays one', () => {
    const part = read(
      drawn((at, writer) => {
        axis(writer);
        lines(
          writer,
          half.map(([z, r]) => at(z, r)),
        );
        writer.addArc(point3d(...at(5, 5), 0), 0, 0, 90);
      }),
    );
    expect(part.outside).toEqual(plain);
    expect(part.drawn.flat().every(({ z, r }) => Number.isFinite(z) && Number.isFinite(r))).toBe(true);
  });

  const SHEET = { width: 277, height: 190, textHeight: 3 };
  const again = (part: Part) => {
    const told = read(dxfOf(drawPart(part, 'mm', SHEET)));
    const whole = readPart({ number: '', material: '', ...told }, 'mm');
    if (!whole.ok) throw new Error(JSON.stringify(whole.problems));
    return whole.value;
  };

  // What lines alone do not tell: how a thread is cut, what is not round, and a counterbore with corners of its own.
  const UNTOLD = ['cup-arm-hub'];
  const parts = readdirSync(join(__dirname, '../../../../examples'))
    .filter((name) => name.endsWith('.json'))
    .map((name) => name.replace('.json', ''))
    .filter((name) => !UNTOLD.includes(name))
    .map((name) => ({ name, run: readRun(example(name), startValues) }))
    .flatMap(({ name, run }) => (run.ok ? [{ name, part: run.value.part }] : []))
    .filter(({ part: { features } }) => !features.some(({ thread }) => thread));

  test('there are such parts', () => expect(parts.length).toBeGreaterThan(10));

  test.each(parts)('our own drawing of $name read again is the same part', ({ part }) => {
    expect(again(part).length).toBeCloseTo(part.length, 3);
    expect(massOf(again(part), 1).volume / massOf(part, 1).volume).toBeCloseTo(1, 4);
  });
});
