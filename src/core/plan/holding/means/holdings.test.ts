import type { RunFile } from '../../../read/runFile';
import type { HoleFile } from '../../../read/runFile';
import { planned, plannedAsUsual, problemsOf, runOf, step } from '../../../testing';
import { holdingKinds } from '.';
import type { Surface } from './holding';

const second = (file: RunFile) => {
  const found = planned(file).setups[1]?.setup;
  if (!found) throw new Error('there is no second set-up');
  return found;
};
const fromBar = { way: 'from-bar' as const };
const reamed: HoleFile[] = [
  { from: 'front', shape: 'ream', diameter: { size: 10, fit: 'H7' }, depth: 'through', name: 'bore' },
];

describe('what the second side is held by', () => {
  test('a ring too short for an easy grip is turned on a mandrel in its bore, and all of its outside is free', () => {
    // 9 long: jaws could have 9 − 2 = 7 of ⌀30, and 0.25 · 30 = 7.5 are easy. In the bore 0.7 · 10 = 7 are enough.
    const ring = (length: number) => runOf({ outside: [step('30 h8', length)], bores: reamed }, fromBar);
    const { holding, stickOut, features } = second(ring(9));
    expect(holding).toMatchObject({ kind: 'mandrel', grip: 'part.bores[0]', diameter: 10, inside: 7, from: 9, to: 9 });
    // Face to where the bore is held, and 0.3 to face: 9 − 7 + 0.3.
    expect(stickOut.value).toBeCloseTo(2.3, 9);
    expect(features).toEqual([]);
    // 7 long, the bore offers 5: a step of soft jaws takes the rim, which wants 2; 2.5 long, 1 clear, it offers 1.5.
    expect(second(ring(7)).holding).toMatchObject({ kind: 'soft-jaws', grip: 'part.outside[0]', seated: true });
    expect(problemsOf(ring(2.5))[0]?.message).toContain('long enough');
  });

  test('a mandrel is not in a hole that the second side works in', () => {
    const sunk: HoleFile[] = [...reamed, { from: 'back', shape: 'countersink', mouth: 12, included: 90 }];
    const file = runOf({ outside: [step('30 h8', 9)], bores: sunk }, fromBar);
    expect(second(file).holding.kind).toBe('soft-jaws');
  });

  test('run-out to the bore of 0.015 asks for the mandrel, of 0.03 a collet does', () => {
    const tied = (limit: number) =>
      second(
        runOf(
          {
            outside: [step(20, 20, { name: 'body' }), step(16, 12, { name: 'seat' })],
            bores: reamed,
            runout: [{ of: 'seat', to: 'bore', limit }],
          },
          fromBar,
        ),
      );
    expect(tied(0.015).holding).toMatchObject({ kind: 'mandrel', runOut: 0.01 });
    expect(tied(0.015).reasons).toContainEqual({
      rule: 'SAME-SETUP',
      because: expect.stringContaining('on an expanding mandrel it is 0.01 mm'),
    });
    expect(tied(0.03).holding.kind).toBe('collet');
  });

  test('a knurl is held in soft sheet, a thread in a collet or by its own kind; neither where a plain diameter is', () => {
    const knurl = { kind: 'knurl' as const, at: 0, length: 14, pattern: 'diamond' as const, pitch: 0.8 };
    expect(second(runOf({ outside: [step(20, 14)], details: [knurl] }, fromBar)).holding.kind).toBe('sleeve');
    const thread = { kind: 'thread' as const, at: 0, length: 16, designation: 'M14x1' };
    const threaded = (outside: RunFile['part']['outside']) =>
      second(runOf({ outside, details: [thread] }, fromBar)).holding;
    const [, usual] = plannedAsUsual(runOf({ outside: [step(14, 16), step(20, 6)], details: [thread] })).setups;
    expect(usual?.setup.holding).toMatchObject({ kind: 'collet', grip: 'part.outside[0]' });
    // Of four by a plain diameter, two of them standing clear, a collet holds as well and leaves less standing out.
    expect(threaded([step(14, 16), step(20, 6)])).toMatchObject({ kind: 'collet', grip: 'part.outside[1]' });
    expect(threaded([step(14, 16), step(20, 12)])).toMatchObject({ grip: 'part.outside[1]' });
  });

  test('beside a groove: the longer free stretch is held; across it only where neither side is long enough', () => {
    const groove = { kind: 'groove' as const, at: 12, width: 3, bottom: 16 };
    const { holding } = second(runOf({ outside: [step(20, 40)], details: [groove] }, fromBar));
    // 15 to 40 of the front is 0 to 25 of the back, 2 of it clear.
    expect(holding).toMatchObject({ from: 2, to: 25 });
    // 5 and 14 − 7 − 2 = 5 beside it are too short, both together are not: the jaws reach across.
    const middle = { kind: 'groove' as const, at: 5, width: 2, bottom: 18 };
    expect(second(runOf({ outside: [step(20, 14)], details: [middle] }, fromBar)).holding).toMatchObject({
      from: 2,
      to: 14,
    });
  });

  test('of several means the quicker over the batch: jaws for a few, bored soft jaws for many', () => {
    // Three jaws 6 + 0.6 N, soft jaws 12 + 0.4 N: they are even at 30 pieces.
    const kindFor = (quantity: number) =>
      second(runOf({ outside: [step(34, 30)] }, { ...fromBar, quantity })).holding.kind;
    expect(kindFor(29)).toBe('3-jaw');
    expect(kindFor(31)).toBe('soft-jaws');
  });

  test('a wall that gives way is never held in jaws bare', () => {
    const tube: HoleFile[] = [{ from: 'front', shape: 'bore', diameter: 31, depth: 22, bottom: 'flat' }];
    const { holding } = second(runOf({ outside: [step(34, 30)], bores: tube }, fromBar));
    expect(holding.kind).not.toBe('3-jaw');
  });
});

test('never bare: a thread, a knurl, a fit, a thin wall; never a jaw on a flat', () => {
  const plain: Surface = {
    path: 'part.outside[0]',
    name: 'body',
    on: '⌀20',
    diameter: 20,
    from: 0,
    end: 20,
    gaps: 0,
    close: false,
    inside: false,
    fit: false,
    thread: false,
    knurl: false,
    thin: false,
  };
  const holding = (more: Partial<Surface>) =>
    holdingKinds.filter(({ against }) => against({ ...plain, ...more }) === undefined).map(({ kind }) => kind);
  expect(holding({})).toEqual(['3-jaw', '4-jaw', 'collet', 'soft-jaws', 'split-bush']);
  expect(holding({ fit: true })).toEqual(['collet', 'soft-jaws', 'split-bush']);
  expect(holding({ thread: true })).toEqual(['collet', 'split-bush', 'threaded-holder']);
  expect(holding({ knurl: true })).toEqual(['sleeve']);
  expect(holding({ thin: true })).toEqual(['collet', 'soft-jaws', 'split-bush']);
  expect(holding({ flats: 6 })).toEqual(['3-jaw']);
  expect(holding({ flats: 4 })).toEqual(['4-jaw']);
  expect(holding({ flats: 2 })).toEqual([]);
  expect(holding({ inside: true })).toEqual(['mandrel']);
});
