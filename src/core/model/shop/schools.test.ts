import type { RunFile } from '../../read/runFile';
import { only, operationsOf, planned, runOf, step } from '../../testing';
import { houseQuestions } from './houseRules';
import { startValues } from './startValues';

const fromBar = { way: 'from-bar' as const };
const kindsOf = (file: RunFile) => planned(file).setups[0]?.operations.map(({ kind }) => kind) ?? [];

test('every question has both schools with their reasons, and the house holds one of them', () => {
  for (const { rule, schools } of houseQuestions) {
    expect(schools.map(({ value }) => value)).toContain(startValues.houseRules[rule]);
    expect(schools.length).toBeGreaterThan(1);
    expect(schools.every(({ because }) => because.length > 20)).toBe(true);
  }
  expect(Object.keys(startValues.houseRules).sort()).toEqual(houseQuestions.map(({ rule }) => rule).sort());
});

describe('the parted face', () => {
  const pin = (rules: RunFile['rules'] = {}, back = 0.5) =>
    runOf({ outside: [step(12, 10), step(16, 14, { chamfers: { back } })] }, { ...fromBar, rules });

  test('left as parted, a plain piece is done in one holding: part in, break the back edge, part off', () => {
    const plan = planned(pin({ nib: 'as-parted' }));
    expect(plan.setups).toHaveLength(1);
    expect(plan.stock.backFacing).toBe(0);
    expect(kindsOf(pin({ nib: 'as-parted' })).slice(-4)).toEqual(['part-in', 'chamfer', 'deburr', 'part-off']);
    // The leg of 0.5 and 0.5 more, from ⌀16: to ⌀14. The gap begins at the part's 24.
    const blade = plan.stock.blade?.width ?? 0;
    expect(only(pin({ nib: 'as-parted' }), 'part-in')).toMatchObject({ from: 24, to: 24 + blade, diameter: 14 });
    // From the edge towards the free end, so that its stop is 0.5 before it.
    const chamfer = only(pin({ nib: 'as-parted' }), 'chamfer');
    expect(chamfer).toMatchObject({ from: 24, to: 23.5 });
    expect(chamfer.stop.settings[0]?.setting.value).toBe(23.5);
    const off = only(pin({ nib: 'as-parted' }), 'part-off');
    expect(off.byHand).toEqual([{ name: 'file the nib off', minutes: 0.3 }]);
    expect(off.cautions.some(({ text }) => text.includes('A file has a handle'))).toBe(true);
    expect(off.checks).toMatchObject([{ what: 'length over all' }]);
  });

  test('faced afterwards, it is turned round', () => {
    expect(planned(pin()).setups).toHaveLength(2);
    expect(operationsOf(pin()).map(({ kind }) => kind)).not.toContain('part-in');
  });

  test('what must be done from the back still is: a hole, a larger step', () => {
    const bores = [{ from: 'back' as const, shape: 'drill' as const, diameter: 5, depth: 6 }];
    const drilled = runOf({ outside: [step(16, 24)], bores }, { ...fromBar, rules: { nib: 'as-parted' } });
    expect(planned(drilled).setups).toHaveLength(2);
    const waisted = runOf({ outside: [step(16, 14), step(12, 10)] }, { ...fromBar, rules: { nib: 'as-parted' } });
    expect(planned(waisted).setups).toHaveLength(2);
  });

  test('with a hole through it too: parted off over a rod, the mouth behind broken off the lathe', () => {
    const bores = [{ from: 'front' as const, shape: 'drill' as const, diameter: 8, depth: 'through' as const }];
    const ring = runOf({ outside: [step(16, 10)], bores }, { ...fromBar, rules: { nib: 'as-parted' } });
    const { setups, edges, proof } = planned(ring);
    expect(setups).toHaveLength(1);
    const parted = only(ring, 'part-off');
    expect(parted.hand.terms).toContainEqual(
      expect.objectContaining({ name: 'break the mouth behind, off the lathe' }),
    );
    const behind = edges.find(({ z, inside }) => inside && z > 9.9);
    expect(behind?.brokenBy).toBe(parted.number);
    expect(proof.faults).toEqual([]);
  });

  test('the same from the run’s own allowance: nothing left behind', () => {
    const file = runOf({ outside: [step(16, 24)] }, { ...fromBar, allowances: { backFacing: 0 } });
    expect(planned(file).setups).toHaveLength(1);
  });
});

test('hole or outside first', () => {
  const file = (holeFirst: 'hole' | 'outside') =>
    runOf(
      { outside: [step(12, 10), step(20, 14)], bores: [{ from: 'front', shape: 'drill', diameter: 5, depth: 12 }] },
      { ...fromBar, rules: { holeFirst } },
    );
  const place = (runFile: RunFile) => [kindsOf(runFile).indexOf('drill'), kindsOf(runFile).indexOf('turn-rough')];
  const [drill, rough] = place(file('hole'));
  expect(drill).toBeLessThan(rough ?? 0);
  const [later, before] = place(file('outside'));
  expect(later).toBeGreaterThan(before ?? 0);
});

test('finish each feature as it is reached: the rule of all roughing first is not asked', () => {
  const file = (roughing: 'all-first' | 'by-feature') =>
    runOf({ outside: [step(12, 10), step(16, 10), step(20, 10)] }, { ...fromBar, rules: { roughing } });
  const reasons = (runFile: RunFile) =>
    operationsOf(runFile).flatMap(({ reasons: mine }) => mine.map(({ rule }) => rule));
  expect(reasons(file('all-first'))).toContain('ROUGH-ALL-FIRST');
  expect(reasons(file('by-feature'))).not.toContain('ROUGH-ALL-FIRST');
});

test('little is left to the reamer or more, 0.2 or 0.4 for ⌀8: 7.8 is drilled or 7.6', () => {
  const file = (reamAllowance: 'small' | 'large') =>
    runOf(
      {
        outside: [step(20, 24)],
        bores: [{ from: 'front', shape: 'ream', diameter: { size: 8, fit: 'H7' }, depth: 'through' }],
      },
      { rules: { reamAllowance } },
    );
  expect(only(file('small'), 'drill').diameter).toBe(7.8);
  expect(only(file('large'), 'drill').diameter).toBe(7.6);
});

test('a spring pass on fits: the last cut again without infeed', () => {
  const file = (springPass: 'measured' | 'on-fits') =>
    runOf({ outside: [step('12 h7', 10), step(16, 10)] }, { ...fromBar, rules: { springPass } });
  expect(only(file('measured'), 'turn-finish').passes).toHaveLength(2);
  const passes = only(file('on-fits'), 'turn-finish').passes;
  expect(passes.map(({ note }) => note)).toEqual(['half, then measure', 'the same again', 'again, without infeed']);
  expect(passes[2]?.depth).toBe(0);
  expect(passes[2]?.diameter).toBeCloseTo(passes[1]?.diameter ?? 0, 9);
});

test('fixed speeds: 560 for every cut, the limits of a kind still kept, 250 by hand', () => {
  const file = runOf({ outside: [step(12, 10), step(16, 10)] }, { ...fromBar, rules: { speed: 'fixed' } });
  expect(only(file, 'turn-finish').speed.value).toBe(560);
  expect(only(file, 'deburr').speed.value).toBe(250);
});

test('from the bar or from blanks by school, unless that cannot be', () => {
  const file = (stock: 'bar' | 'blanks', outside = [step(12, 10), step(16, 20)]) =>
    planned(runOf({ outside }, { rules: { stock } }));
  expect(file('bar').way).toBe('from-bar');
  expect(file('blanks').way).toBe('sawn-blanks');
  expect(file('blanks').chosenBecause.because).toBe('From sawn blanks: house rule.');
  // ⌀40 does not pass the spindle.
  expect(file('bar', [step(40, 30), step(50, 20)]).way).toBe('sawn-blanks');
});

test('a thread away from the chuck says how; a last length that is measured, at every piece', () => {
  const thread = { kind: 'thread' as const, at: 0, length: 8, designation: 'M16x1.5' };
  // Away from the chuck it begins in a relief down to its core, 16 − 2 · 0.92 = 14.16.
  const relief = { kind: 'groove' as const, at: 8, width: 3, bottom: 14 };
  const file = (rules: RunFile['rules']) =>
    runOf({ outside: [step(16, 14), step(24, 10)], details: [thread, relief] }, { ...fromBar, rules: rules ?? {} });
  expect(only(file({}), 'thread').does?.join()).not.toContain('spindle reversed');
  // d2 = 16 − 0.974 = 15.026; wires of 0.866: 15.026 + 2.598 − 1.299 = 16.325 (trade: Shop arithmetic).
  expect(only(file({}), 'thread').does?.join()).toContain('Over wires of ⌀0.866: 16.325 mm');
  expect(only(file({ threading: 'away' }), 'thread').does?.[0]).toContain('spindle reversed');
  const every = (rules: RunFile['rules']) =>
    operationsOf(file(rules))
      .flatMap(({ checks }) => checks)
      .find(({ what }) => what === 'length over all')?.every;
  expect(every({})).toBe(5);
  expect(every({ lastLength: 'measure' })).toBe(1);
});
