import type { EdgePlace } from '../../model/plan/edgeWay';
import type { Tool } from '../../model/shop/shop';
import { startValues } from '../../model/shop/startValues';
import { shapeOf, type ToolShape } from './bodies/shapes';
import { withCorners } from './corners';
import { depthBetween, lengthLost, meetsBeyond, move } from './move';
import { box } from './section/contour';
import { difference, holds, union, volumeOf, type Section } from './section/section';

const toolOf = (id: string): Tool => startValues.tools.find((tool) => tool.id === id) as Tool;
const shape = (id: string): ToolShape => shapeOf(toolOf(id), startValues.bodies) as ToolShape;

/** A bar of ⌀30 that ends at 0. */
const bar = box(0, 50, 0, 15);

/** Through some places, each cutting unless it says otherwise. */
function through(tool: ToolShape, metal: Section, places: EdgePlace[]) {
  let [left, met] = [metal, false];
  for (const [index, to] of places.slice(1).entries()) {
    const moved = move(tool, left, places[index] as EdgePlace, to);
    left = moved.left;
    met ||= moved.met !== undefined;
  }
  return { left, met };
}

test('turned along: a cylinder, and the nose in the corner at its end', () => {
  const { left, met } = through(shape('rougher'), bar, [
    { z: -2, r: 13 },
    { z: 20, r: 13 },
    { z: 20, r: 17 },
  ]);
  expect(met).toBe(false);
  // π (15² − 13²) · 20 is what a sharp edge takes; the nose of 0.8 leaves its corner, (1 − π/4) 0.8² = 0.137 mm² at about r 13.18.
  const corner = (1 - Math.PI / 4) * 0.8 ** 2;
  expect(volumeOf(bar) - volumeOf(left)).toBeCloseTo(Math.PI * 56 * 20 - corner * 2 * Math.PI * 13.178, 1);
  expect(depthBetween(-2, 19, bar, left)).toBeCloseTo(2, 9);
  expect(holds(left, 19.9, 13.05)).toBe(true);
  expect(holds(left, 19, 13.05)).toBe(false);
});

test('faced: past the middle by its nose nothing stays', () => {
  const { left } = through(shape('rougher'), bar, [
    { z: 0.5, r: 17 },
    { z: 0.5, r: -0.8 },
  ]);
  expect(lengthLost(bar, left)).toBeCloseTo(0.5, 6);
  expect(volumeOf(bar) - volumeOf(left)).toBeCloseTo(Math.PI * 225 * 0.5, 4);
  const short = through(shape('rougher'), bar, [
    { z: 0.5, r: 17 },
    { z: 0.5, r: 0 },
  ]).left;
  expect(holds(short, 0.45, 0.05)).toBe(true);
});

test('drilled: a hole and its point', () => {
  const { left, met } = through(shape('drill-10'), bar, [
    { z: -2, r: 0 },
    { z: 20, r: 0 },
    { z: -2, r: 0, by: 'rapid' },
  ]);
  expect(met).toBe(false);
  // 118°: the point is 10 / (2 tan 59°) = 3.004 long.
  const point = 5 / Math.tan((59 * Math.PI) / 180);
  expect(volumeOf(bar) - volumeOf(left)).toBeCloseTo(Math.PI * 25 * (20 - point) + (Math.PI * 25 * point) / 3, 3);
});

test('a bar finds the cone of a drill with its own body, not with its edge', () => {
  const drilled = through(shape('drill-20'), bar, [
    { z: -2, r: 0 },
    { z: 20, r: 0 },
  ]).left;
  const boring = shape('boring-bar-12');
  const open = [
    { z: -2, r: 10.3 },
    { z: 12, r: 10.3 },
  ];
  expect(through(boring, drilled, open).met).toBe(false);
  const bottom = [
    { z: -2, r: 10.3 },
    { z: 19, r: 10.3 },
  ];
  expect(through(boring, drilled, bottom).met).toBe(true);
});

test('deeper than its edge is long, the shank meets the work', () => {
  const long = shape('rougher');
  const cut = (r: number) =>
    through(long, box(0, 50, 0, 15), [
      { z: -2, r },
      { z: 20, r },
    ]).met;
  // The edge is 8 long.
  expect(cut(8)).toBe(false);
  expect(cut(5)).toBe(true);
});

test('a blade comes into its own slot and out again; at rapid through the work it does not', () => {
  const blade = shape('blade-2');
  const slot: EdgePlace[] = [
    { z: 10, r: 17 },
    { z: 10, r: 8 },
    { z: 10, r: 17, by: 'rapid' },
  ];
  expect(through(blade, bar, slot).met).toBe(false);
  expect(through(blade, bar, [...slot.slice(0, 2), { z: 14, r: 8, by: 'rapid' }]).met).toBe(true);
  // Its holder begins where its reach of 13 ends.
  expect(through(blade, bar, [slot[0] as EdgePlace, { z: 10, r: 1.5 }]).met).toBe(true);
});

test('a reamer takes a little all round, and does not drill', () => {
  const reamer = shape('reamer-10');
  const through10 = (from: string) =>
    through(
      reamer,
      through(shape(from), bar, [
        { z: -2, r: 0 },
        { z: 60, r: 0 },
      ]).left,
      [
        { z: -2, r: 0 },
        { z: 50, r: 0 },
      ],
    );
  expect(through10('drill-9.8').met).toBe(false);
  expect(through10('drill-8').met).toBe(true);
});

test('a thread’s edge takes nothing, and what it meets beyond its thread is told', () => {
  const stepped = union(box(0, 12, 0, 8), box(12, 30, 0, 12));
  const pointed = shape('thread-60');
  const [from, to]: [EdgePlace, EdgePlace] = [
    { z: -3, r: 7 },
    { z: 9, r: 7, by: 'thread' },
  ];
  expect(move(pointed, stepped, from, to).left).toBe(stepped);
  expect(meetsBeyond(8, pointed, stepped, from, to)).toBeUndefined();
  // At r 12 its flank of 30° stands 5 tan 30° = 2.9 ahead: at 9 it just clears the shoulder at 12, at 11 it does not.
  expect(meetsBeyond(8, pointed, stepped, from, { ...to, z: 11 })?.by).toBeGreaterThan(0.5);
});

test('drawn out of its thread an edge stands in the turn that it cut, and meets what is beside that', () => {
  // A thread on r 7 that ends at 12, its relief to r 6 up to the head at 16. A tip of 60° at 12.2 and r 6.1 stands 0.9 · tan 30° = 0.52
  // wide at r 7, 0.32 of it in the last turn.
  const bolt = union(union(box(0, 12, 0, 7), box(12, 16, 0, 6)), box(16, 30, 0, 11));
  const pointed = shape('thread-60');
  const out = (from: EdgePlace, z: number) => move(pointed, bolt, from, { z, r: 13, by: 'rapid' }).met;
  const end: EdgePlace = { z: 12.2, r: 6.1 };
  expect(out({ ...end, by: 'thread' }, 12.2)).toBeUndefined();
  expect(out({ ...end, by: 'rapid' }, 12.2)?.by).toBeGreaterThan(0.3);
  // Aslant it goes through what no turn took.
  expect(out({ ...end, by: 'thread' }, 2)?.by).toBeGreaterThan(0.3);
});

test('with a file along an arc everything over it goes', () => {
  const quarter = move(
    shape('rougher'),
    box(0, 10, 0, 5),
    { z: 0, r: 0, by: 'hand' },
    {
      z: 5,
      r: 5,
      by: 'hand',
      round: { z: 5, r: 0, way: 'right' },
    },
  ).left;
  expect(volumeOf(box(0, 5, 0, 5)) - (volumeOf(quarter) - volumeOf(box(5, 10, 0, 5)))).toBeCloseTo(
    Math.PI * 25 * 5 - (2 / 3) * Math.PI * 125,
    3,
  );
});

describe('inner corners of which the drawing says nothing', () => {
  const stepped = union(box(0, 10, 0, 5), box(10, 20, 0, 10));
  test('may keep the nose', () => {
    const allowed = withCorners(stepped, 0.4);
    expect(holds(allowed, 9.95, 5.05)).toBe(true);
    expect(holds(allowed, 9.5, 5.05)).toBe(false);
    // (1 − π/4) 0.4² turned about r ≈ 5.09.
    expect(volumeOf(allowed) - volumeOf(stepped)).toBeCloseTo((1 - Math.PI / 4) * 0.16 * 2 * Math.PI * 5.0894, 2);
  });
  test('in a bore as well; an outer corner keeps nothing', () => {
    const cup = difference(box(0, 20, 0, 10), box(0, 10, 0, 6));
    const allowed = withCorners(cup, 0.4);
    expect(holds(allowed, 9.95, 5.95)).toBe(true);
    expect(volumeOf(withCorners(box(0, 10, 0, 5), 0.4))).toBeCloseTo(volumeOf(box(0, 10, 0, 5)), 9);
  });
});
