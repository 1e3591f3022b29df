import { startValues } from '../model/shop/startValues';
import type { Machine } from '../model/shop/shop';
import { planned, runOf, step } from '../testing';
import { kitOf } from './kit';

const [lathe] = startValues.machines as [Machine];

// A stud ⌀12 × 18 on ⌀20 × 8 from the bar, with a thread in inches on what is no wheel here, forty of it.
const stud = (machine: Partial<Machine> = {}) =>
  kitOf(
    planned(
      runOf(
        {
          material: 'mild-steel',
          outside: [{ shape: 'cylinder', diameter: 15.875, length: 30, name: 'screw' }, step(30, 8)],
          details: [
            { kind: 'chamfer', at: 0, size: 2 },
            { kind: 'groove', at: 24, width: 6, bottom: 13 },
            { kind: 'thread', at: 0, length: 24, designation: '5/8-18' },
          ],
          mates: [{ of: 'screw', name: 'the nut' }],
        },
        { way: 'from-bar', quantity: 40, firstEnd: 'front', machine: { ...lathe, ...machine } },
      ),
    ),
  );
const said = (kit: ReturnType<typeof kitOf>) =>
  kit.map(({ for: use, what, has }) => `${use}: ${what}${has === true ? '' : ` (${has})`}`);

test('stock, hold, tools each once, wheels with the one that is to get first, gauges, mate and fluid', () => {
  // 25.4 / 18 / 3 = 0.47037 = 20 · 127 / 60 · 90; the wheel of 127 is not there.
  const kit = said(stud({ leadscrew: { pitch: 3, gears: [20, 60, 90] } }));
  expect(kit[0]).toMatch(/^stock: 1 × ⌀3[0-2] drawn$/);
  expect(kit).toContain('hold: three-jaw chuck');
  expect(kit.filter((line) => line.startsWith('cut: finishing tool'))).toHaveLength(1);
  expect(kit.filter((line) => line.startsWith('thread'))).toEqual([
    'thread: wheel of 127 teeth (false)',
    'thread: wheel of 20 teeth',
    'thread: wheel of 60 teeth',
    'thread: wheel of 90 teeth',
  ]);
  expect(kit).toContain('measure: the nut, to try it on');
  expect(kit).toContain('stop: paper of 0.10 mm, measured');
  expect(kit.at(-1)).toBe('fluid: oil');
  expect(new Set(kit).size).toBe(kit.length);
});

test('without a read-out screws are set by gauge blocks', () => {
  expect(said(stud({ readOut: 'none' }))).toContain('stop: gauge blocks');
  expect(said(stud())).not.toContain('stop: gauge blocks');
});

test('jaws that are bored for what they hold are to make', () => {
  const pin = runOf(
    { outside: [step(12, 18), step(20, 8), step(14, 12)] },
    { way: 'sawn-blanks', overrules: [{ setup: 2, holding: { kind: 'soft-jaws' } }] },
  );
  expect(said(kitOf(planned(pin)))).toContainEqual(expect.stringMatching(/^hold: soft jaws, bored to .*\(to make\)$/));
});
