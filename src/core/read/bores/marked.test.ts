import { criticalDimensions } from '../../model/part/critical';
import { doubtsOf, only, planned, problemsOf, runOf, step } from '../../testing';
import type { HoleFile } from '../runFile';
import { readPart } from '../readPart';

const withHole = (hole: HoleFile) => runOf({ outside: [step(24, 40)], bores: [hole] });
const drilled = { from: 'front', shape: 'drill', diameter: 6, depth: 20 } as const;

const matters = (hole: HoleFile): [string, string[]][] => {
  const part = readPart(withHole(hole).part, 'mm');
  if (!part.ok) throw new Error(JSON.stringify(part.problems));
  return criticalDimensions(part.value, 'mm').map(({ path, because }) => [path, because]);
};

test('a hole that is marked matters, by the reason that the drawing gives', () => {
  expect(matters(drilled)).toEqual([]);
  expect(matters({ ...drilled, critical: true })).toEqual([['part.bores[0]', ['marked on the drawing']]]);
  expect(matters({ ...drilled, why: 'the jet of the burner' })).toEqual([['part.bores[0]', ['the jet of the burner']]]);
});

test('a tapped hole of the left hand is named so, and wants a tap of its own; its class is in its name', () => {
  const left = withHole({ from: 'front', shape: 'tap', designation: 'M8', depth: 12, hand: 'left', class: '6H' });
  expect(only(left, 'tap')).toMatchObject({
    name: 'Tap M8 LH-6H',
    tool: { name: 'tap M8 LH-6H, to get', hand: 'left', toGet: true },
  });
  expect(doubtsOf(left)).toEqual([]);
  const right = withHole({ from: 'front', shape: 'tap', designation: 'M8', depth: 12, hand: 'right' });
  expect(only(right, 'tap').tool.name).toBe('tap M8');
});

test('an outside thread of the left hand is cut from its relief outwards; no die of the right hand serves it', () => {
  const file = runOf({
    outside: [step(10, 20), step(16, 8)],
    details: [
      { kind: 'groove', at: 16, width: 4, bottom: 8 },
      { kind: 'thread', at: 0, length: 16, designation: 'M10', hand: 'left', class: '6g' },
    ],
  });
  const thread = planned(file)
    .setups.flatMap(({ operations }) => operations)
    .find(({ makes }) => makes?.includes('part.details[1]'));
  expect(thread).toMatchObject({ kind: 'thread', name: 'Thread M10 LH-6g' });
  expect(thread?.does?.join()).toContain('Left-hand');
});

test('a class that is none is refused with its place', () => {
  const file = withHole({ from: 'front', shape: 'tap', designation: 'M8', depth: 12, class: '6g' as '6H' });
  expect(problemsOf(file)[0]?.path).toBe('part.bores[0].class');
});
