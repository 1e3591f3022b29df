import { startValues } from '../model/shop/startValues';
import { planned, runOf, step } from '../testing';
import { settingSheet } from './settingSheet';

type Part = Parameters<typeof runOf>[0];

/** The first set-up of a part from the bar on a lathe of the shop, as lines. */
function linesOn(machine: string, part: Part, quantity: number) {
  const run = runOf(part, { way: 'from-bar', quantity, firstEnd: 'front', machine });
  const [first] = planned(run).setups;
  if (!first) throw new Error('there is a first set-up');
  return settingSheet(first).map(({ tool, what, over, text }) => [tool, what, text, over].filter(Boolean).join(' | '));
}

/** What only sets tools up in the post is not compared here. */
const from = (lines: string[], start: RegExp) => lines.filter((line) => start.test(line));

// Written by hand from the drawing, the lathe and the shop's figures before the plan was looked at.
//
// Lathe D: ⌀12 × 18 on ⌀20 × 8 with a ⌀6 hole 15 deep. Before the face 0.3, 26, 0.3 behind, the blade 2 and 5 of room: 33.6. Eight
// figures are stored, so every place of the carriage has one: the face, 0.1 before the shoulder, the shoulder, and where the left edge
// of the blade goes, 26 + 0.3 + 2. The drill's tip goes 3 / tan 59° = 1.80 beyond 15.
// Letters go with the operations: B and C are the centre and the drill.
test('lathe D, figures stored: every length has its own, the hole goes by the quill’s stop', () => {
  const lines = linesOn(
    'gearbox-lathe-d',
    {
      outside: [step(12, 18), step(20, 8)],
      bores: [{ from: 'front', shape: 'drill', diameter: 6, depth: 15 }],
    },
    60,
  );
  expect(lines[0]).toBe('bar stop to | 33.60');
  expect(from(lines, /preset/)).toEqual([
    'preset 1, A | 0.000',
    'preset 2, D | 17.900',
    'preset 3, E | 18.000',
    'preset 4, F | 28.300',
  ]);
  expect(from(lines, /read-out to/)).toHaveLength(1);
  expect(from(lines, /touch the face/)).toEqual([
    'finishing tool, r 0.4 | touch the face | −0.10 | paper 0.10',
    'parting blade 2 wide | touch the face, its left edge | −0.10 | paper 0.10',
  ]);
  expect(from(lines, /⌀6.*its stop/)).toEqual([expect.stringMatching(/\| 16\.80/)]);
  expect(from(lines, /station|dial|indicator/)).toEqual([]);
});

// Lathe C: ⌀10 × 10, ⌀16 × 20, ⌀25 × 6, thirty of it. ⌀25 wants a reach of 13.5, the blade of 2 has 13, so 2.5; bar stop:
// 0.3 + 36 + 0.3 + 2.5 + 5 = 44.1. One screw: it stands at 30 and serves the shoulder there and, over a feeler of 0.1, the roughing
// before it. Face and shoulder at 10 both by the dial would spread √(0.1² + 0.1²) = 0.141, more than 0.4 / 3 that the length leaves, and
// set each time no less; from 30 to 10 no stack of 1, 2, 5, 10 does, so a spacer of 20 is made: 8 / 30 = 0.27 a piece, less than
// measuring each. (The first hand forgot the face in that chain, and wrote the dial.)
test('lathe C, one screw: it serves one shoulder, roughing by a feeler, the other over a spacer made for it, the rest goes by the dial', () => {
  const lines = linesOn('centre-lathe-c', { outside: [step(10, 10), step(16, 20), step(25, 6)] }, 30);
  expect(lines[0]).toBe('bar stop to | 44.10');
  expect(from(lines, /^station/)).toEqual([
    expect.stringMatching(
      /^station 1: screw against the carriage; \w with a spacer made to 20\.00; \w with a feeler 0\.10 \| 30\.000 \| a stack of blocks from the face$/,
    ),
  ]);
  expect(from(lines, /dial of the carriage to/)).toEqual([
    'roughing tool, r 0.8 | master: clean the face up, leave the carriage there, the dial of the carriage to | 0.00',
    'dial of the carriage to nought at the face | 0.000',
  ]);
  expect(from(lines, /touch the face/)).toEqual([
    'finishing tool, r 0.4 | touch the face | −0.10 | paper 0.10',
    'parting blade 2.5 wide | touch the face, its left edge | −0.10 | paper 0.10',
  ]);
  expect(from(lines, /preset|read-out|indicator/)).toEqual([]);
});

test('lathe B, nothing but dials in inches: its nought at the face; no screw, figure or indicator', () => {
  const lines = linesOn('bench-lathe-b', { outside: [step(10, 12), step(16, 6)] }, 20);
  // ⌀16 wants a reach of 9, which the blade of 1.5 has: 0.3 + 18 + 0.3 + 1.5 + 5.
  expect(lines[0]).toBe('bar stop to | 25.10');
  expect(from(lines, /dial of the carriage to nought/)).toHaveLength(1);
  expect(from(lines, /station|preset|read-out|indicator/)).toEqual([]);
  expect(startValues.machines.map(({ id }) => id)).toContain('bench-lathe-b');
});
