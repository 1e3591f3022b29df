import fc from 'fast-check';
import { planned, runOf, step } from '../testing';
import { keptBetween, runsThatShare, sayKept, settingOf, type HeldBy, type Setting } from './runsThatShare';

const collet = (diameter: number): HeldBy => ({
  kind: 'collet',
  diameter,
  words: 'in a collet',
  on: `⌀${diameter}`,
  change: 5,
});
const setting = (begins: HeldBy, ends: HeldBy, ...stays: [string, number][]): Setting => ({
  machine: 'a',
  begins,
  ends,
  stays: stays.map(([what, minutes]) => ({ of: what.startsWith('wheels') ? 'wheels' : 'tool', what, minutes })),
});

test('by hand: a collet of one size stays, a tool stays on height, wheels stay on', () => {
  const one = setting(collet(12), collet(12), ['roughing tool', 2], ['wheels 20, 25, 40', 15]);
  const other = setting(collet(12), collet(10), ['roughing tool', 2], ['blade', 2], ['wheels 20, 25, 40', 15]);
  expect(keptBetween(one, other).reduce((sum, { minutes }) => sum + minutes, 0)).toBe(5 + 2 + 15);
  expect(sayKept(keptBetween(one, other))).toBe('in a collet, on ⌀12; wheels 20, 25, 40; 1 tool');
  // The other way about its collet of 10 comes out again.
  expect(keptBetween(other, one).reduce((sum, { minutes }) => sum + minutes, 0)).toBe(2 + 15);
  expect(keptBetween({ ...one, machine: 'b' }, other)).toEqual([]);
});

test('three runs in a row: what saves most first, none twice, and none round to itself', () => {
  const [a, b, c] = [
    setting(collet(12), collet(12), ['wheels', 15]),
    setting(collet(12), collet(10), ['wheels', 15]),
    setting(collet(10), collet(8), ['blade', 2]),
  ];
  const rows = runsThatShare([
    { id: 'a', setting: a as Setting },
    { id: 'b', setting: b as Setting },
    { id: 'c', setting: c as Setting },
  ]);
  expect(rows.map(({ first, then, saves }) => [first, then, saves])).toEqual([
    ['a', 'b', 20],
    ['b', 'c', 5],
  ]);
});

test('each run has one before and one after it at most, in rows that end', () => {
  const some = fc.record({
    begins: fc.constantFrom(8, 10, 12),
    ends: fc.constantFrom(8, 10, 12),
    tools: fc.uniqueArray(fc.nat(4)),
  });
  fc.assert(
    fc.property(fc.array(some, { maxLength: 8 }), (runs) => {
      const rows = runsThatShare(
        runs.map(({ begins, ends, tools }, id) => ({
          id,
          setting: setting(collet(begins), collet(ends), ...tools.map((tool): [string, number] => [`tool ${tool}`, 2])),
        })),
      );
      for (const key of ['first', 'then'] as const) expect(new Set(rows.map((row) => row[key])).size).toBe(rows.length);
      for (const { first } of rows) {
        let [at, steps]: [number | undefined, number] = [first, 0];
        while (at !== undefined && steps <= runs.length) {
          at = rows.find((row) => row.first === at)?.then;
          steps += 1;
        }
        expect(steps).toBeLessThanOrEqual(runs.length);
      }
    }),
  );
});

test('of a plan: its collet, its tools in the post each once', () => {
  const found = settingOf(
    planned(runOf({ outside: [step(12, 18), step(20, 8)] }, { way: 'from-bar', firstEnd: 'front' })),
  );
  expect(found?.begins).toMatchObject({ kind: 'collet', diameter: 20 });
  expect(found?.stays.map(({ what }) => what)).toEqual(
    expect.arrayContaining(['roughing tool, r 0.8', 'finishing tool, r 0.4']),
  );
  expect(new Set(found?.stays.map(({ what }) => what)).size).toBe(found?.stays.length);
});
