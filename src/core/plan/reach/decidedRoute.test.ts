import { example, planned, runOf, step, problemsOf } from '../../testing';
import type { RunFile } from '../../read/runFile';
import type { Overrule } from '../../model/overrule';

/** A stud of ⌀10 and ⌀16 in brass, which a bar gives in two set-ups. */
const stud = (...overrules: Overrule[]): RunFile =>
  runOf({ outside: [step(10, 12), step(16, 14)] }, { quantity: 20, overrules });

const setupsOf = (file: RunFile) => planned(file).setups.map(({ setup }) => setup);

describe('what is left on a blank', () => {
  test('a spigot: so long as was decided, and the blank is longer by it', () => {
    const { stock, overrules } = planned({ ...stud({ leave: 'spigot', length: 9 }), way: 'sawn-blanks' });
    expect(stock.spigot).toBe(9);
    expect(stock.each.terms).toContainEqual(expect.objectContaining({ value: 9 }));
    expect(overrules).toMatchObject([{ state: 'kept' }]);
  });

  test('without a length it is as long as the hold needs', () => {
    const { stock } = planned({ ...stud({ leave: 'spigot' }), way: 'sawn-blanks' });
    expect(stock.spigot).toBeGreaterThan(0);
  });

  test('nothing: a part that is given a spigot where it is open is refused', () => {
    const flange = (overrules: Overrule[]) =>
      runOf({ outside: [step('13 h8', 20), step(60, 2.5)] }, { quantity: 8, overrules });
    expect(planned(flange([])).stock.spigot).toBeGreaterThan(0);
    expect(problemsOf(flange([{ leave: 'none' }]))).not.toEqual([]);
  });
});

describe('the number of set-ups', () => {
  test('three: its end is faced and centred before it is drawn out', () => {
    const slender = {
      ...runOf({ outside: [step(12, 90), step(16, 10)] }, { quantity: 4 }),
      overrules: [{ setups: 3 }],
    };
    const setups = setupsOf(slender);
    expect(setups).toHaveLength(3);
    expect(planned(slender).overrules).toMatchObject([{ state: 'kept' }]);
  });

  test('one that there is no route for is told, and the plan is made all the same', () => {
    const { overrules, setups, warnings } = planned(stud({ setups: 4 }));
    expect(setups.length).toBeLessThan(4);
    expect(overrules).toMatchObject([{ state: 'cannot' }]);
    expect(warnings.join()).toContain('No route in 4 set-ups was found');
  });
});

describe('which set-up makes a feature', () => {
  test('a through hole in the second', () => {
    const collar = example('mast-collar');
    const bore = planned(collar).run.part.holes[0]?.path ?? 'part.bores[0]';
    const { setups, overrules } = planned({ ...collar, overrules: [{ feature: bore, setup: 2 }] });
    expect(setups[1]?.operations.some(({ feature }) => feature === bore)).toBe(true);
    expect(overrules).toMatchObject([{ state: 'kept' }]);
  });

  test('one that does not reach it is told', () => {
    const { overrules } = planned(stud({ feature: 'part.outside[0]', setup: 4 }));
    expect(overrules).toMatchObject([{ state: 'cannot' }]);
  });
});

test.each<[string, object, string]>([
  ['no set-up', { setups: 0 }, 'overrules[0].setups'],
  ['half a set-up', { setups: 1.5 }, 'overrules[0].setups'],
  ['something that nothing leaves on', { leave: 'tail' }, 'overrules[0].leave'],
  ['a length of nothing left on', { leave: 'none', length: 4 }, 'overrules[0].length'],
  ['a feature without an end or a set-up', { feature: 'part.outside[0]' }, 'overrules[0].end'],
  ['a feature with both', { feature: 'part.outside[0]', setup: 1, end: 'front' }, 'overrules[0].end'],
])('%s is refused', (_, overrule, path) => {
  const [problem] = problemsOf({ ...stud(), overrules: [overrule] });
  expect(problem?.path).toBe(path);
});
