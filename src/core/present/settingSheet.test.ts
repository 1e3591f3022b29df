import { startValues } from '../model/shop/startValues';
import type { Machine } from '../model/shop/shop';
import { planned, runOf, step } from '../testing';
import { settingSheet } from './settingSheet';

const [lathe] = startValues.machines as [Machine];

/** A stud ⌀12 × 18 on ⌀20 × 8 from the bar, forty of it, on a machine: its first set-up as a list of lines. */
const sheetOn = (machine: Partial<Machine>) => {
  const { indicator, carriageDial, spacers, feelers, ...bare } = lathe;
  void [indicator, carriageDial, spacers, feelers];
  const run = runOf(
    { outside: [step(12, 18), step(20, 8)] },
    { way: 'from-bar', quantity: 40, firstEnd: 'front', machine: { ...bare, ...machine } },
  );
  const [first] = planned(run).setups;
  if (!first) throw new Error('there is a first set-up');
  return settingSheet(first).map(({ tool, what, over, text }) => [tool, what, text, over].filter(Boolean).join(' | '));
};

// By hand: 0.3 before the face, 26, 0.3 behind, the blade 2 and 5 of room are 33.6; stations at nought, 17.9 and 18, and for the
// left edge of the blade at 26 + 0.3 + 2; the deepest is set first, so that the carriage comes to each from the same side.
test('four screws and a read-out', () => {
  expect(sheetOn({})).toEqual([
    'bar stop to | 33.60',
    'roughing tool, r 0.8 | exactly on height',
    // The bar is ⌀20 or the next over it, its middle is reached, and 1 is to spare.
    'parting blade 2 wide | exactly on height, square to the axis, out 11.00',
    'roughing tool, r 0.8 | master: clean the face up, leave the carriage there, the read-out to | 0.00',
    'finishing tool, r 0.4 | touch the face | −0.10 | paper 0.10',
    'parting blade 2 wide | touch the face, its left edge | −0.10 | paper 0.10',
    'roughing tool, r 0.8; finishing tool, r 0.4 | with each clean up with a light cut, measure, enter the diameter that it is; then cut the rest',
    'station 4: screw against the carriage | 28.300',
    'station 3: screw against the carriage | 18.000',
    'station 2: screw against the carriage | 17.900',
    'station 1: screw against the carriage | 0.000',
    'A, B, C: a wrong station or a spacer forgotten cuts into the work; the first piece by hand up to each',
  ]);
});

test('three screws, feelers and no read-out: by blocks from the face, and roughing by a feeler before the shoulder', () => {
  const lines = sheetOn({ stations: 3, readOut: 'none', feelers: [0.1] });
  expect(lines).toContain(
    'station 2: screw against the carriage; C with a feeler 0.10 | 18.000 | a stack of blocks from the face'.replace(
      'C',
      'B',
    ),
  );
  expect(lines).toContain(
    'roughing tool, r 0.8 | master: clean the face up, leave the carriage there, the dial of the carriage to | 0.00',
  );
});

test('presets only: each with its figure', () => {
  const lines = sheetOn({ stations: 0, presets: 6 });
  expect(lines.filter((line) => line.startsWith('preset'))).toEqual([
    'preset 1, A | 0.000',
    'preset 2, B | 17.900',
    'preset 3, C | 18.000',
    'preset 4, D | 28.300',
  ]);
});

test('nothing but dials: its nought at the face, and what is proved on the first piece', () => {
  const lines = sheetOn({ stations: 0, readOut: 'none', carriageDial: { travel: 20, divisions: 200 } });
  expect(lines).toContain('dial of the carriage to nought at the face | 0.000');
  expect(lines.at(-1)).toMatch(/^prove C on the first piece, measured and cut to \| 18.000$/);
});

test('a thread in inches: the wheels that cut it, by the wheel of 127 exact, half-nuts shut; with no such wheel one that is to get', () => {
  // 18 to the inch on a leadscrew of 3: 25.4 / 18 / 3 = 0.470370 = 20 · 127 / 60 · 90.
  const stud = (gears: number[]) => {
    const run = runOf(
      {
        outside: [step(15.875, 30), step(24, 8)],
        details: [
          { kind: 'chamfer', at: 0, size: 2 },
          { kind: 'groove', at: 24, width: 6, bottom: 13 },
          { kind: 'thread', at: 0, length: 24, designation: '5/8-18' },
        ],
      },
      { way: 'from-bar', quantity: 40, firstEnd: 'front', machine: { ...lathe, leadscrew: { pitch: 3, gears } } },
    );
    const found = planned(run).setups.find(({ operations }) => operations.some(({ kind }) => kind === 'thread'));
    if (!found) throw new Error('it is cut');
    return settingSheet(found).flatMap(({ what }) => (what.startsWith('Thread') ? [what] : []));
  };
  expect(stud([20, 60, 90, 127])).toEqual([
    'Thread 5/8-18: wheels 20, 60 + 127 on one stud, 90, exact; half-nuts stay shut, the spindle runs back; a scratch, and its pitch measured',
  ]);
  expect(stud([20, 60, 90])[0]).toMatch(/the wheel of 127 is to get$/);
});
