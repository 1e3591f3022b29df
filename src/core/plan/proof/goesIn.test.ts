import { planned, runOf, step } from '../../testing';
import { goesIn } from './goesIn';
import { box } from './section/contour';
import { union, type Section } from './section/section';
import type { WrittenSetup } from './written';

// The lathe's jaws are 25 long, and its spindle lets ⌀36 through.
const { run } = planned(runOf({ outside: [step(20, 40)] }));

const setup = (kind: string): WrittenSetup => ({
  number: 1,
  end: 'front',
  facing: 0,
  holding: { kind, grip: 'stock', diameter: 40, from: 10, to: 30 },
  workStop: { means: 'spindle-stop' },
  operations: [],
});

const faultsOf = (metal: Section, kind = '3-jaw') =>
  goesIn(setup(kind), metal, run).map(({ code, z, diameter, amount }) => [code, z, diameter, amount]);

test('work wider than the spindle ends between the jaws', () => {
  expect(faultsOf(box(0, 35, 0, 20))).toEqual([]);
  // 5 of it behind the jaws, which end at 35.
  expect(faultsOf(box(0, 40, 0, 20))).toEqual([['meets-chuck', 35, 40, 5]]);
});

test('what is no wider goes on through the spindle', () => {
  expect(faultsOf(box(0, 80, 0, 18))).toEqual([]);
  expect(faultsOf(union(box(0, 30, 0, 20), box(30, 80, 0, 15)))).toEqual([]);
});

test('a dog carries work that no chuck is about', () => {
  expect(faultsOf(box(0, 80, 0, 20), 'between-centres')).toEqual([]);
});
