import { only, planned, runOf, step } from '../../testing';
import type { HoleFile, RunFile } from '../../read/runFile';

const bored = (diameter: number | string, depth: number, outside = step(40, 25), more: HoleFile[] = []): RunFile =>
  runOf({
    outside: [outside],
    bores: [...more, { from: 'front', shape: 'bore', diameter, depth, bottom: 'flat' }],
  });

/** Passes of the bore, those of its floor and those of its wall. */
function passesOf(file: RunFile) {
  const { passes, tool } = only(file, 'bore');
  const isFloor = ({ note = '' }: (typeof passes)[number]) => note.includes('floor');
  return { tool: tool.id, floor: passes.filter(isFloor), wall: passes.filter((pass) => !isFloor(pass)) };
}

test('wide and shallow it is faced outwards down to its floor, and only the finish is left on its wall', () => {
  // ⌀30, 5 deep. By the wall: ⌀18 leaves 12 layers of 0.5 a side. By the floor: 10 layers of 0.5.
  const { floor, wall } = passesOf(bored(30, 5));
  expect(floor).toHaveLength(10);
  expect(floor.map(({ depth }) => depth)).toEqual(floor.map(() => 0.5));
  // 0.15 a side for the finish, on its aim of 30.
  expect(floor.map(({ on }) => on)).toEqual(floor.map(() => 29.7));
  // What is dialled is the depth of each layer.
  expect(floor.map(({ diameter, z }) => [diameter, z])).toEqual(floor.map((_, index) => [undefined, (index + 1) / 2]));
  expect(wall.map(({ depth }) => Number(depth.toFixed(6)))).toEqual([0.15]);
});

test('narrow and deep its floor is faced as wide as the drill was, and its wall is bored', () => {
  const { floor, wall } = passesOf(bored(22.6, 20));
  // Each layer goes outwards, from beside the cone, and a little up the wall.
  for (const { path, z = 0 } of floor) {
    const feeds = path.filter(({ by }) => by === undefined);
    expect(feeds.at(-2)).toMatchObject({ z });
    expect(feeds.at(-1)?.z).toBeLessThan(z);
  }
  expect(floor.at(-1)?.z).toBeCloseTo(20, 9);
  expect(wall.at(-1)?.diameter).toBeCloseTo(22.6, 9);
});

test('no layer is deeper than the end of the bar lies behind its edge', () => {
  const file = bored(30, 5);
  const plan = planned(file);
  const { barEnd } = plan.run.shop.bodies;
  expect(Math.max(...passesOf(file).floor.map(({ depth }) => depth))).toBeLessThanOrEqual(barEnd);
});

test('over a hole that goes on, the edge only goes to that hole, and nothing is faced out', () => {
  const { floor, tool } = passesOf(
    bored('14 H8', 8, step(24, 20), [{ from: 'front', shape: 'drill', diameter: 10, depth: 'through' }]),
  );
  expect([floor.length, tool]).toEqual([0, 'boring-bar-8']);
});

test('wide and shallow over a hole that goes on, it is faced outwards from that hole', () => {
  const through: HoleFile = { from: 'front', shape: 'drill', diameter: 6, depth: 'through' };
  // From ⌀6 to ⌀29.7, 3 deep. By the wall: 11.85 a side, 24 cuts of 0.5. By the floor: 6 layers of 0.5.
  const { floor, wall } = passesOf(bored(30, 3, step(40, 20), [through]));
  expect(floor.map(({ depth, on }) => [depth, on])).toEqual(floor.map(() => [0.5, 29.7]));
  expect([floor.length, wall.length]).toEqual([6, 1]);
});

test('where the drill leaves too little room for the back of the bar, the hole is opened above its cone first', () => {
  // 36 deep only the bars of 12 and 16 go: 13.5 and 18 behind their edge, and no drill is wider than 25.4.
  const file = bored(30.6, 36, step(50, 45));
  const { passes } = only(file, 'bore');
  const [first] = passes;
  expect(first?.note).toContain('room for the back of the bar');
  const opened = passes.filter(({ note }) => note === first?.note);
  expect(opened.at(-1)?.diameter).toBeCloseTo(27, 9);
  expect(opened.every(({ z = 0 }) => z < 36)).toBe(true);
  expect(planned(file).proof.faults).toEqual([]);
});

test.each([
  ['wide and shallow', bored(30, 5)],
  ['narrow and deep', bored(22.6, 20)],
  ['a close one', bored('16 H7', 8)],
  ['small', bored(12.6, 13, step(20, 20))],
])('%s: the proof bears it out', (_, file) => {
  expect(planned(file).proof.faults).toEqual([]);
});
