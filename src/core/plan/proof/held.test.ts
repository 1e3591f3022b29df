import { planned, runOf, step } from '../../testing';
import { held } from './held';
import { box } from './section/contour';
import { difference, union, type Section } from './section/section';
import type { WrittenOperation, WrittenSetup } from './written';

const { run } = planned(runOf({ outside: [step(20, 40)] }));

/** Held from 40 on, worked from 0; a turning tool goes along all of it. */
const setup = (holding: Partial<WrittenSetup['holding']> = {}): WrittenSetup => ({
  number: 2,
  end: 'front',
  facing: 0,
  holding: { kind: '3-jaw', grip: 'stock', diameter: 20, from: 40, to: 60, ...holding },
  workStop: { means: 'spindle-stop' },
  operations: [],
});
const turning: WrittenOperation = {
  number: 10,
  kind: 'turn-rough',
  name: 'Rough',
  feature: 'part.outside[0]',
  tool: 'rougher',
  passes: [
    {
      depth: 1,
      path: [
        { z: 0, r: 12, by: 'rapid' },
        { z: 0, r: 9 },
        { z: 38, r: 9 },
      ],
    },
  ],
};
/** The same along another radius. */
const along = (r: number): WrittenOperation => ({
  ...turning,
  passes: [
    {
      depth: 1,
      path: [
        { z: 0, r },
        { z: 38, r },
      ],
    },
  ],
});
const codes = (
  metal: Section,
  { holding, operation = turning }: { holding?: Partial<WrittenSetup['holding']>; operation?: WrittenOperation } = {},
) => held(setup(holding), operation, metal, { run, form: 'round', earlier: new Set() }).map(({ code }) => code);

const bar = box(0, 60, 0, 10);

test('a bar of ⌀20, 40 out of 20: within four times both', () => {
  expect(codes(bar)).toEqual([]);
});

test('out of less than a quarter of what stands out it tips; pushed along it does not', () => {
  // 40 out of 6 is 6.7 times.
  expect(codes(bar, { holding: { to: 46 } })).toEqual(['tips']);
  expect(codes(bar, { holding: { to: 50 } })).toEqual([]);
  const drill = { ...turning, kind: 'drill', tool: 'drill-5' };
  expect(codes(bar, { holding: { to: 46 }, operation: drill })).toEqual([]);
});

test('a shoulder on a step of the jaws squares it like a grip of half its diameter, where one is there', () => {
  // Held by 4 of ⌀20 alone it may be 16 out; on a step as by 10, 40 out.
  const short = { to: 44, kind: 'soft-jaws' };
  const stepped = union(box(0, 44, 0, 10), box(44, 60, 0, 6));
  expect(codes(stepped, { holding: short })).toEqual(['tips']);
  expect(codes(stepped, { holding: { ...short, seated: true } })).toEqual([]);
  // What a plan says does not make a shoulder: here the bar goes on behind, there it is 0.5 wide.
  expect(codes(bar, { holding: { ...short, seated: true } })).toEqual(['tips']);
  const narrow = union(box(0, 44, 0, 10), box(44, 60, 0, 9.5));
  expect(codes(narrow, { holding: { ...short, seated: true } })).toEqual(['tips']);
  // ⌀16, 40 out, is more than 4 · 8.
  const slim = union(box(0, 44, 0, 8), box(44, 60, 0, 4));
  expect(codes(slim, { holding: { ...short, diameter: 16, seated: true }, operation: along(7) })).toEqual(['tips']);
});

test('slender by what it is at that moment, not by what it was', () => {
  // ⌀10 over the 20 at the free end: ∫ s²/I from there is (20³/3)/5⁴ + ((40³ − 20³)/3)/10⁴ = 4.267 + 1.867 (by 4/π): an
  // even bar of r = (21333/6.133)^¼ = 7.68 bends as much; 40 is 2.6 of its diameters.
  const stepped = union(box(0, 20, 0, 5), box(20, 60, 0, 10));
  expect(codes(stepped, { operation: along(4) })).toEqual([]);
  // ⌀6 over 35: (35³/3)/81 = 176.4 and ((40³ − 35³)/3)/10⁴ = 0.704: r = 3.31, and 40 is six of its diameters.
  const thin = union(box(0, 35, 0, 3), box(35, 60, 0, 10));
  expect(codes(thin, { operation: along(2) })).toEqual(['slender']);
  expect(codes(difference(thin, box(0, 5, 0, 1)), { operation: { ...along(2), centre: true } })).toEqual([]);
  // An edge at ⌀18 comes in over the ⌀6 and first meets metal at 35: 5 from the jaws it pushes.
  expect(codes(thin)).toEqual([]);
});

test('a centre is there when something drilled its hole', () => {
  const centred = { ...turning, centre: true };
  expect(codes(bar, { operation: centred })).toEqual(['no-centre']);
  expect(codes(difference(bar, box(0, 4, 0, 1.5)), { operation: centred })).toEqual([]);
});

test('what is gripped is where it is said to be, and stands the jaws', () => {
  expect(codes(bar, { holding: { diameter: 18 } })).toEqual(['nothing-gripped']);
  // A wall of 1 is 5 % of ⌀20; a tenth is asked for.
  const tube = difference(bar, box(-1, 61, 0, 9));
  expect(codes(tube)).toContain('grips-wall');
  expect(codes(tube, { holding: { kind: 'collet' } })).not.toContain('grips-wall');
  expect(codes(difference(bar, box(-1, 61, 0, 7)))).not.toContain('grips-wall');
});

test('a fixed rest out at the end carries it; beside the jaws it does not', () => {
  // 40 out of 6 tips.
  const short = { to: 46 };
  const withRest = (from: number) =>
    held({ ...setup(short), rest: { kind: 'fixed', from, to: from + 10 } }, turning, bar, {
      run,
      form: 'round',
      earlier: new Set(),
    }).map(({ code }) => code);
  expect(withRest(3)).toEqual([]);
  expect(withRest(30)).toEqual(['tips']);
});
