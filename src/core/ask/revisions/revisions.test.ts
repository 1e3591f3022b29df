import { drawBoth } from '../../drawing/drawBoth';
import { partInUnits } from '../../formats/partInUnits';
import type { PartFile, RunFile } from '../../read/runFile';
import { readPart } from '../../read/readPart';
import { startValues } from '../../model/shop/startValues';
import { example, freeLevers, planned, runOf, step } from '../../testing';
import { compareParts } from './compareParts';
import { comparePlans } from './comparePlans';
import { compareRuns } from './compareRuns';

const mm = (part: Partial<PartFile>) => ({ part: runOf(part).part, units: 'mm' as const });
const changesOf = (before: Partial<PartFile>, after: Partial<PartFile>) =>
  compareParts(mm(before), mm(after)).changes.map(({ where, what, before: a, after: b }) => [where, what, a, b]);

describe('in the drawing', () => {
  const outside = [step('14 h8', 9, { name: 'spigot' }), step(26, 13)];

  test('a figure that changed, by its name and both its values', () => {
    expect(changesOf({ outside }, { outside: [step('14 h8', '9.5 +0.05'), step(26, 13)] })).toEqual([
      ['Step 1', 'Length', '9', '9.5 +0.05'],
      ['Step 1', 'Name', 'spigot', undefined],
    ]);
  });

  test('the same figure written otherwise is no change', () => {
    const written = [step({ size: '14 mm', fit: 'h8' }, '9.0', { name: 'spigot' }), step('26.0', '13 mm')];
    expect(changesOf({ outside }, { outside: written })).toEqual([]);
  });

  test('a step put in is one new line, and those behind it are the ones they were', () => {
    const more = [outside[0], step(20, 2), outside[1]].filter((file) => file !== undefined);
    expect(changesOf({ outside }, { outside: more })).toEqual([['Step 2', '', undefined, '20; 2']]);
    expect([...compareParts(mm({ outside }), mm({ outside: more })).paths]).toEqual([
      ['part.outside[0]', 'part.outside[0]'],
      ['part.outside[2]', 'part.outside[1]'],
    ]);
  });

  test('head, details, holes, chamfers and run-out', () => {
    const hole = { from: 'front' as const, shape: 'drill' as const, diameter: 6, depth: 'through' };
    const before = { outside, bores: [hole], runout: [{ of: 'spigot', to: 'bore', limit: 0.03 }], revision: 'A' };
    const after = {
      outside: [{ ...outside[0], chamfers: { front: 0.5 } } as (typeof outside)[number], step(26, 13)],
      bores: [{ ...hole, diameter: 6.5 }],
      details: [{ kind: 'groove' as const, at: 12, width: 2, bottom: 24 }],
      runout: [{ of: 'spigot', to: 'bore', limit: 0.02 }],
      revision: 'B',
    };
    expect(changesOf(before, after)).toEqual([
      ['Part', 'Revision', 'A', 'B'],
      ['Step 1 (spigot)', 'Chamfer front', undefined, '0.5'],
      ['Detail 1', '', undefined, 'groove 12; 2; 24'],
      ['Hole 1', 'Diameter', '6', '6.5'],
      ['Run-out', 'spigot to bore', '0.03', '0.02'],
    ]);
  });

  test('one side in inches: lengths are told with their units, and equal ones are equal', () => {
    const inch = { part: runOf({ outside: [step('1/2', 1)] }).part, units: 'in' as const };
    const { changes } = compareParts(mm({ outside: [step(12.7, 30)] }), inch);
    expect(changes.map(({ what, before, after }) => [what, before, after])).toEqual([['Length', '30 mm', '1 in']]);
  });
});

describe('what it does to the plan', () => {
  const withLength = (length: number): RunFile =>
    runOf({ outside: [step(8, length), step(12, 10)] }, { way: 'from-bar' });

  test('a shoulder 1.5 further back moves its own stop and the part-off by 1.5, and the pitch with them', () => {
    const [before, after] = [planned(withLength(18)), planned(withLength(19.5))];
    const { stock, stops, time } = comparePlans(before, after, new Map());
    const moved = stops.map(({ what, before: a, after: b }) => [what, Number(b) - Number(a)] as const);
    expect(moved.map(([what]) => what)).toEqual(
      expect.arrayContaining(['Set-up 1 · Finish ⌀8', 'Set-up 1 · Part off']),
    );
    for (const [, by] of moved) expect(by).toBeCloseTo(1.5, 9);
    const pitch = stock.find(({ what }) => what === 'Length taken by a piece');
    expect(Number(pitch?.after) - Number(pitch?.before)).toBeCloseTo(1.5, 9);
    const piece = time.find(({ what }) => what === 'A piece');
    expect(Number(piece?.after)).toBeGreaterThan(Number(piece?.before));
  });

  test('nothing changed: no stop is told, and every figure says so', () => {
    const plan = planned(withLength(18));
    const { stock, held, stops, cuts, time } = comparePlans(plan, plan, new Map());
    expect([held, stops, cuts]).toEqual([[], [], []]);
    expect([...stock, ...time].filter(({ changed }) => changed)).toEqual([]);
  });

  test('how it is held, and how it cuts, where that is otherwise: the set-up, the operation, before and after', () => {
    const file = withLength(18);
    const finish = 'turn-finish:part.outside[0]';
    const [before, after] = [
      planned(file, freeLevers),
      planned(
        {
          ...file,
          overrules: [
            { operation: finish, cut: { feed: 0.05, nose: 0.8 } },
            { setup: 1, stickOut: 60 },
          ],
        },
        freeLevers,
      ),
    ];
    const { held, cuts } = comparePlans(before, after, new Map());
    expect(held).toEqual([expect.objectContaining({ what: 'Set-up 1, standing out', unit: 'mm', after: 60 })]);
    expect(cuts.map(({ what, after: now }) => [what, now])).toEqual([
      ['Set-up 1 · Finish ⌀8, feed', 0.05],
      ['Set-up 1 · Finish ⌀8, tool', expect.stringContaining('nose 0.8')],
    ]);
    // What only one side has is no cut that changed.
    const longer = planned(withLength(19.5), freeLevers);
    expect(comparePlans(before, longer, new Map()).cuts).toEqual([]);
  });

  test('an operation that came has only the one side', () => {
    const outside = [step(8, 18, { chamfers: { front: 0.5 } }), step(12, 10)];
    const more = runOf({ outside }, { way: planned(withLength(18)).way });
    const { stops } = comparePlans(planned(withLength(18)), planned(more), new Map());
    expect(stops).toEqual([expect.objectContaining({ what: expect.stringContaining('Chamfer'), changed: true })]);
    expect(stops[0]).not.toHaveProperty('before');
  });
});

test('the pivot pin: a larger head wants a larger bar, and the drawing shows what came and what changed', () => {
  const [before, after] = [example('pivot-pin'), example('pivot-pin.rev-b')];
  const compared = compareRuns(before, { ...before, part: after.part }, startValues);
  expect(compared.plan?.stock[0]).toMatchObject({ before: '⌀10 drawn', after: '⌀12 drawn', changed: true });
  const { parts, paths } = compared;
  if (!parts.before || !parts.after) throw new Error('both can be drawn');
  const drawn = drawBoth(parts.before, parts.after, 'mm', { width: 600, height: 400, textHeight: 12 }, paths);
  const texts = [...drawn.written].map((mark) => mark.kind === 'text' && mark.text);
  // The pivot is still 6 h7; its length, the head, the edge and the length over all are new.
  expect(texts.sort()).toEqual(['0.3 × 45°', '19.5', '22.5', '3', '⌀11'].sort());
});

test('a side that cannot be planned says why, and the drawing is compared all the same', () => {
  const good = runOf({ outside: [step(8, 18)] });
  const bad = runOf({ outside: [step(8, 18)], bores: [{ from: 'front', shape: 'drill', diameter: 9, depth: 5 }] });
  const compared = compareRuns(good, bad, startValues);
  expect(compared.plan).toBeUndefined();
  expect(compared.problems.before).toEqual([]);
  expect(compared.problems.after[0]?.path).toContain('part.bores[0]');
  expect(compared.drawing).toHaveLength(1);
});

test('a part in mm for a run in inches is the same part', () => {
  const { part } = example('gland-body');
  const inInches = partInUnits(part, 'mm', 'in');
  const [found, other] = [readPart(part, 'mm'), readPart(inInches, 'in')];
  if (!found.ok || !other.ok) throw new Error(JSON.stringify([found, other]));
  expect(other.value.length).toBeCloseTo(found.value.length, 9);
  expect(other.value.steps.map(({ diameter }) => diameter)).toEqual(found.value.steps.map(({ diameter }) => diameter));
  expect(other.value.features.map(({ z0, z1 }) => [z0, z1])).toEqual(
    found.value.features.map(({ z0, z1 }) => [z0, z1]),
  );
});
