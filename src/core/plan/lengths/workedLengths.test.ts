import fc from 'fast-check';
import { example, planned, runOf, step } from '../../testing';
import { shareOut } from './share';

describe('sharing out what the drawing allows', () => {
  test('what is used up stays, the others grow on: 0.01, 0.01, 0.19', () => {
    const shares = shareOut(3, [
      { of: [1], most: 0.05 },
      { of: [0, 1], most: 0.02 },
      { of: [1, 2], most: 0.2 },
    ]);
    expect(shares.map((share) => Number(share.toFixed(6)))).toEqual([0.01, 0.01, 0.19]);
  });

  test('a budget of nothing gives nothing; what no budget names is free', () => {
    expect(shareOut(2, [{ of: [0], most: -0.1 }])).toEqual([0, Infinity]);
  });

  test('no budget is passed, and every share is stopped by one that is used up', () => {
    const budget = fc.record({
      of: fc.uniqueArray(fc.nat(5), { minLength: 1, maxLength: 4 }),
      most: fc.integer({ min: 1, max: 90 }),
    });
    fc.assert(
      fc.property(fc.array(budget, { minLength: 1, maxLength: 8 }), (budgets) => {
        const shares = shareOut(6, budgets);
        const used = (of: readonly number[]) => of.reduce((sum, error) => sum + (shares[error] ?? 0), 0);
        for (const { of, most } of budgets) expect(used(of)).toBeLessThanOrEqual(most + 1e-6);
        shares.forEach((share, error) => {
          if (share === Infinity) return expect(budgets.some(({ of }) => of.includes(error))).toBe(false);
          expect(budgets.some(({ of, most }) => of.includes(error) && used(of) > most - 1e-6)).toBe(true);
        });
      }),
    );
  });
});

describe('lengths as they are worked', () => {
  const outside = [step(10, ''), step(14, '', { name: 'seat' }), step(20, '')];
  const plan = (between: string) =>
    planned(
      runOf({
        outside,
        lengths: [
          { from: 'front', to: 'seat', size: '14 ±0.05' },
          { from: 1, to: 'seat', size: between },
          { from: 'seat', to: 'back', size: '8' },
        ],
      }),
    );

  test('a length between two shoulders is the difference of two stops; closer than a third of it two repeat to, it is measured', () => {
    // ±0.02 is 0.04 wide, a third 0.0133; two indicators come to √2 · 0.01 = 0.0141.
    const { lengths, doubts } = plan('5 ±0.02');
    expect(lengths.links.map(({ errors, measured }) => [errors, measured])).toEqual([
      [[2], expect.any(Boolean)],
      [[1, 2], true],
      [[2, 3], expect.any(Boolean)],
    ]);
    expect(lengths.links[1]?.resulting).toBeLessThanOrEqual(0.02);
    expect(lengths.faces.map(({ face, from, within }) => [face, from, Number(within.toFixed(6))])).toEqual([
      [1, 'front', 0.01],
      [2, 'front', 0.01],
      [3, 'front', 0.19],
    ]);
    expect(doubts).toEqual([]);
  });

  test('5 ±0.05 bears it', () => {
    expect(plan('5 ±0.05').doubts).toEqual([]);
  });

  test('what it comes to is the sum of what its stops repeat to, at most what the drawing leaves', () => {
    const { lengths, setups } = plan('5 ±0.05');
    const spread = (z: number) => {
      const pin = setups[0]?.pins.find(({ setting, axis }) => axis === 'carriage' && Math.abs(setting - z) < 0.001);
      return (pin?.spread ?? NaN) / 2;
    };
    // From the front: the shoulders stand at 9 and at 14.
    expect(lengths.links[1]?.resulting).toBeCloseTo(spread(9) + spread(14), 9);
    expect(lengths.links[1]?.resulting).toBeLessThanOrEqual(0.05);
  });

  test('lengths that leave a third no room are told', () => {
    const { doubts } = planned(
      runOf({
        outside: [step(10, ''), step(14, '', { name: 'seat' }), step(20, '8 ±0.1')],
        lengths: [
          { from: 'front', to: 'seat', size: '14 ±0.3' },
          { from: 1, to: 'seat', size: '5 +0.02/+0.01' },
          { from: 'front', to: 1, size: '9 ±0.001' },
        ],
      }),
    );
    expect(doubts.filter(({ rule }) => rule === 'CHAIN').map(({ path }) => path)).toContain('part.lengths[2]');
  });

  test('a shoulder of the second side is measured from the back, and the length over all stands in between', () => {
    // The seat is turned from the back: from the first shoulder to it stand step 1, the length over all and its own.
    const { lengths, setups } = planned(runOf({ outside: [step(12, 12), step(20, 6), step(14, 14)] }));
    expect(setups.map(({ setup }) => setup.end)).toEqual(['front', 'back']);
    expect(lengths.faces.map(({ face, from, distance }) => [face, from, distance])).toEqual([
      [1, 'front', 12],
      [2, 'back', 14],
      [3, 'front', 32],
    ]);
    expect(lengths.links.map(({ errors }) => errors)).toEqual([[1], [1, 2, 3], [2]]);
  });

  test('the stop goes to the middle that the whole chain has: 9.025 and 14.025', () => {
    const { setups } = planned(runOf({ outside: [step(10, '9 0/+0.05'), step(14, '5 ±0.1'), step(20, 8)] }));
    const stops = setups[0]?.operations.flatMap(({ kind, stop, tool }) =>
      kind === 'turn-finish' ? [Number(((stop.settings[0]?.setting.value ?? 0) - tool.offset).toFixed(4))] : [],
    );
    expect(stops).toEqual(expect.arrayContaining([9.025, 14.025]));
  });

  test('a place with limits is worked like a shoulder: to its face, and to itself', () => {
    // Brass ⌀20: everything from the front. The groove counts from the shoulder at 12: two stops, 2 · 0.02.
    const grooved = (at: string) =>
      planned(
        runOf({
          outside: [step(14, 12, { name: 'neck' }), step(19, 20)],
          details: [{ kind: 'groove', at, datum: 'neck', width: 2, bottom: 16 }],
        }),
      );
    const { lengths, doubts } = grooved('8 ±0.03');
    // ±0.03 is 0.06 wide, a third 0.02: two indicators come to 0.0141 together, two stations, at √2 · 0.04, do not.
    expect(lengths.places).toMatchObject([{ face: 1, errors: [1] }]);
    expect(lengths.places[0]?.allowed).toBeCloseTo(0.03, 9);
    expect(lengths.places[0]?.resulting).toBeLessThanOrEqual(0.02);
    expect(doubts).toEqual([]);
    expect(grooved('8 ±0.05').doubts).toEqual([]);
    // The shoulder shares the closer of its limits with the groove: half of 0.03 each.
    expect(lengths.faces.find(({ face }) => face === 1)?.within).toBeCloseTo(0.015, 9);
  });

  test('the blade goes to the middle of the limits of its place: 12.05 + 8.1 + 2', () => {
    const { setups } = planned(
      runOf({
        outside: [step(14, '12 0/+0.1', { name: 'neck' }), step(19, 20)],
        details: [{ kind: 'groove', at: '8 0/+0.2', datum: 'neck', width: 2, bottom: 16 }],
      }),
    );
    const cut = setups[0]?.operations.find(({ kind }) => kind === 'groove');
    const left = cut?.stop.settings.find(({ edge }) => edge === 'left');
    expect((left?.setting.value ?? 0) - (cut?.tool.offset ?? 0)).toBeCloseTo(22.15, 9);
    expect(cut?.checks.at(-1)).toMatchObject({ what: 'place of the groove 8 mm', size: { lower: 0, upper: 0.2 } });
  });

  test('the demo parts: every length of every drawing is borne', () => {
    for (const name of ['sensor-spacer', 'vane-spindle', 'mast-collar', 'pivot-pin', 'gland-body'])
      expect([name, planned(example(name)).doubts.filter(({ rule }) => rule === 'CHAIN')]).toEqual([name, []]);
  });
});
