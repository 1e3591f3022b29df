import { runOf, step } from '../testing';
import { startValues } from '../model/shop/startValues';
import type { HoleFile } from './runFile';
import { readPart } from './readPart';
import { toolsToGet } from './toolsToGet';

function toGet(bores: HoleFile[], tools = startValues.tools) {
  const part = readPart(runOf({ outside: [step(60, 40)], bores }).part, 'mm');
  if (!part.ok) throw new Error(JSON.stringify(part.problems));
  return toolsToGet(part.value, tools, startValues.cutting).map(({ name }) => name);
}

const drilled = (diameter: number | string): HoleFile => ({ from: 'front', shape: 'drill', diameter, depth: 10 });

test('what the list has is not got', () => {
  expect(toGet([drilled(6), { from: 'front', shape: 'ream', diameter: '8 H7', depth: 10 }])).toEqual([]);
});

test('a drill that is not there, once for all its holes', () => {
  expect(toGet([drilled(15.7), { ...drilled(15.7), from: 'back' }])).toEqual(['drill ⌀15.7, to get']);
});

test('what is closer than a drill makes it, or far beyond the list, is not drilled', () => {
  expect(toGet([drilled('15.7 ±0.01')])).toEqual([]);
  // From half of 1 to a quarter over 25.4.
  expect(toGet([drilled(0.5)])).toEqual(['drill ⌀0.5, to get']);
  expect(toGet([drilled(0.4)])).toEqual([]);
  expect(toGet([drilled(40)])).toEqual([]);
});

test('a longer bar for a conical bore, of the stoutest that goes in at its small end, and at most six of its diameters', () => {
  const cone = (small: number, depth: number): HoleFile => ({ from: 'front', shape: 'cone', mouth: 12, small, depth });
  // ⌀5 goes in at 6.5 and the list's reaches 20: 24 is less than its 30. Into 6 only ⌀3 goes, and 18 is all it may.
  expect(toGet([cone(8, 24)])).toEqual(['long boring bar ⌀5, 25 deep, to get']);
  expect(toGet([cone(8, 18)])).toEqual([]);
  expect(toGet([cone(6, 24)])).toEqual([]);
});

test('a size in inches is got as it is', () => {
  const bore: HoleFile = { from: 'front', shape: 'ream', diameter: '3/8 in H7', depth: 10 };
  expect(toGet([bore])).toEqual(['reamer ⌀9.525, to get']);
});

test('a drill for a reamer that none of the list leaves enough and not too much for: ⌀12 less 0.2 to 0.4', () => {
  const reamed: HoleFile = { from: 'front', shape: 'ream', diameter: '12 H7', depth: 10 };
  // Of 11.5, 29/64″ (11.509) and 15/32″ (11.906) none lies in 11.6 to 11.8.
  expect(toGet([reamed])).toEqual(['drill ⌀11.8, to get']);
});

test('a shop without tools of a kind is not made to get some', () => {
  const without = startValues.tools.filter(({ does }) => !does.includes('drill'));
  expect(toGet([drilled(15.7)], without)).toEqual([]);
});

test('a hole that the drills of its size are too short for wants a long one, by steps of 5, to 25 of its diameters', () => {
  // The drill of ⌀6 has 25 + 7 · 6 = 67 of flute; 80 deep and half of ⌀6 for its point are 83.
  const deep = (diameter: number, depth: number): HoleFile => ({ from: 'front', shape: 'drill', diameter, depth });
  const inLong = (bores: HoleFile[]) => {
    const part = readPart(runOf({ outside: [step(30, 100)], bores }).part, 'mm');
    if (!part.ok) throw new Error(JSON.stringify(part.problems));
    return toolsToGet(part.value, startValues.tools, startValues.cutting).map(({ name, flute }) => [name, flute]);
  };
  expect(inLong([deep(6, 60)])).toEqual([]);
  expect(inLong([deep(6, 80)])).toEqual([['long drill ⌀6, flute 85, to get', 85]]);
  // 25 · 3 = 75 is less than 80 and its point.
  expect(inLong([deep(3, 80)])).toEqual([]);
  const reamed: HoleFile = { from: 'front', shape: 'ream', diameter: '8 H7', depth: 90 };
  // With the drill that it follows, 0.2 under it.
  expect(inLong([reamed]).map(([name]) => name)).toEqual([
    'long drill ⌀7.8, flute 95, to get',
    'long reamer ⌀8, flute 95, to get',
  ]);
});

describe('what is got rather than left out', () => {
  const gotFor = (part: Parameters<typeof runOf>[0]) => {
    const read = readPart(runOf(part).part, 'mm');
    if (!read.ok) throw new Error(JSON.stringify(read.problems));
    return toolsToGet(read.value, startValues.tools, startValues.cutting).map(({ name }) => name);
  };
  const bored = (diameter: string, length: number) =>
    gotFor({ outside: [step(30, length)], bores: [{ from: 'front', shape: 'bore', diameter, depth: 'through' }] });

  test('a longer boring bar, by steps of 5, to six of its diameters', () => {
    // Into ⌀12 goes the bar of ⌀8, 32 deep. 20 and 12 for what is drilled past are 32; 31 and 12 are 43; of 37 and 12, which is more
    // than is ever cut behind a bore, it goes 6 · 8; 48 it does not.
    expect(bored('12 H7', 20)).toEqual([]);
    expect(bored('12 H7', 31)).toEqual(['long boring bar ⌀8, 45 deep, to get']);
    expect(bored('12 H7', 37)).toEqual(['long boring bar ⌀8, 48 deep, to get']);
    expect(bored('12 H7', 48)).toEqual([]);
  });

  test('a drill for a core hole: 18 − 1.5 = 16.5, at most 0.22 · 1.5 over it, and the list has 16 and 17', () => {
    const tapped = (designation: string) =>
      gotFor({ outside: [step(30, 40)], bores: [{ from: 'front', shape: 'tap', designation, depth: 12 }] });
    expect(tapped('M18x1.5')).toEqual(['tap M18x1.5, to get', 'drill ⌀16.5, to get']);
    expect(tapped('M8')).toEqual([]);
  });

  describe('a die for a thread that ends against metal, to the size that the house has dies for', () => {
    const threaded = (designation: string, from: 'front' | 'back', size: number, length: number) => {
      const [thin, head] = [step(size, length), step(30, 8)];
      const at = from === 'front' ? 0 : 8 + length - 10;
      return gotFor({
        outside: from === 'front' ? [thin, head] : [head, thin],
        details: [{ kind: 'thread', at, length: 10, designation }],
      });
    };
    test.each([
      // Two pitches of 1.5 are 3: of 12 are 2 left behind 10, of 13 as much as it wants.
      ['M12x1.5', 'front', 12, 12, ['die M12x1.5, to get']],
      ['M12x1.5', 'back', 12, 12, ['die M12x1.5, to get']],
      ['M12x1.5', 'front', 12, 13, []],
      // One of the list, and one that is cut on the lathe: ⌀30 stands 8.92 over its core, so that 1.7 beside the tip and 0.375 of it go in 2.
      ['M12', 'front', 12, 12, []],
      ['M14x1.5', 'front', 14, 12, ['threading tool 60° ground to 1.7 beside its tip, to get']],
    ] as const)('%s from the %s, on %d × %d', (designation, from, size, length, expected) =>
      expect(threaded(designation, from, size, length)).toEqual(expected),
    );
  });

  test('a long reamer comes with its drill as long: 96 and 12 beyond it, their points and up to the next 5', () => {
    const sleeve = {
      outside: [step(10, 90), step(16, 6)],
      bores: [{ from: 'front' as const, shape: 'ream' as const, diameter: '5 H7', depth: 'through' }],
    };
    // A reamer of 5 is left 0.2 at least.
    expect(gotFor(sleeve)).toEqual(['long drill ⌀4.8, flute 115, to get', 'long reamer ⌀5, flute 115, to get']);
  });

  test('a threading tool whose side goes into a relief, 0.1 off what is larger, where the house has no die so large', () => {
    const bolt = (designation: string, size: number, relief: number) =>
      gotFor({
        outside: [step(size, 12 + relief), step(30, 8)],
        details: [
          { kind: 'thread', at: 0, length: 12, designation },
          { kind: 'groove', at: 12, width: relief, bottom: size - 2.2 },
        ],
      }).filter((name) => name.startsWith('thread'));
    const ground = (to: number) => [`threading tool 60° ground to ${to} beside its tip, to get`];
    // The one of the list stands 2 ahead of its tip.
    expect(bolt('M16x1', 16, 2.1)).toEqual([]);
    expect(bolt('M16x1', 16, 2)).toEqual(ground(1.9));
    // A pitch of relief is enough where the last turn is by hand: its middle half of 1.5 reaches to 1.125.
    expect(bolt('M20x1.5', 20, 1.5)).toEqual(ground(1.4));
    expect(bolt('M20x1.5', 20, 1.1)).toEqual([]);
    // Up to 12 there are dies.
    expect(bolt('M10x1', 10, 2)).toEqual([]);
    // No relief: ⌀30 stands 15 − 8.147 = 6.853 over the core of M18x1.5, whose flank slants 3.957. In a quarter of a turn by hand
    // it goes on 0.375: of 2 behind the thread one of 1.7 takes 1.7 + 0.375 · (1 − 1.7 / 3.957) = 1.91, one of 1.8 would 2.0046.
    const plain = (behind: number) =>
      gotFor({
        outside: [step(18, 12 + behind), step(30, 8)],
        details: [{ kind: 'thread', at: 0, length: 12, designation: 'M18x1.5' }],
      });
    expect(plain(2)).toEqual(ground(1.7));
    expect(plain(1.4)).toEqual([]);
  });
});
