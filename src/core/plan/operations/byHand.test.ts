import { example, freeLevers, only, operationsOf, planned, plannedAsUsual, runOf, step } from '../../testing';

const fromBar = { way: 'from-bar' as const };

describe('edges', () => {
  const stepped = runOf({ outside: [step(12, 10), step(20, 15)] }, fromBar);

  test('a stepped pin: two at the front before the part-off, the back one, right before the jaws, when it is turned round', () => {
    const [first, second] = operationsOf(stepped).filter(({ kind }) => kind === 'deburr');
    expect(first).toMatchObject({ end: 'front', does: ['⌀12 at 0 mm', '⌀20 at 10 mm'] });
    expect(second).toMatchObject({ end: 'back', does: ['⌀20 at 0 mm, off the lathe'] });
    const kinds = planned(stepped).setups[0]?.operations.map(({ kind }) => kind) ?? [];
    expect(kinds.slice(-2)).toEqual(['deburr', 'part-off']);
  });

  test('two edges take 0.3 min and the change of speed 0.1; no tool of the machine is changed, no stop set', () => {
    // Its lever stands where that is least to move; without minutes for moving it, at the most.
    expect(only(stepped, 'deburr').hand.value).toBeCloseTo(2 * 0.15 + 0.1, 9);
    const found = plannedAsUsual(stepped, 'from-bar', freeLevers).setups[0]?.operations.find(
      ({ kind }) => kind === 'deburr',
    );
    // 75 m/min over ⌀20 would be 1193 rev/min: at most 300, and the machine has 250.
    expect(found).toMatchObject({ speed: { value: 250 }, cutting: { value: 0 }, stop: { means: 'none' } });
  });

  test('what a chamfer breaks is in no list; what it leaves is broken or told', () => {
    const chamfered = runOf({
      outside: [step(12, 10, { chamfers: { front: 0.5, back: '' } }), step(20, 15)],
      bores: [
        { from: 'front', shape: 'drill', diameter: 4, depth: 'through' },
        { from: 'front', shape: 'counterbore', diameter: 7, depth: 4 },
      ],
    });
    const { edges } = planned(chamfered);
    expect(edges.map(({ z, r, inside, brokenBy }) => [z, 2 * r, inside, brokenBy !== undefined])).toEqual([
      [10, 20, false, true],
      [25, 20, false, true],
      // The mouth at the back; the step inside, where no hand gets; the mouth of the counterbore.
      [25, 4, true, true],
      [4, 4, true, false],
      [0, 7, true, true],
    ]);
  });

  test('an edge beside what the bar brought is broken once, when it is first there', () => {
    // The collar of ⌀18 is the bar: its edge at the body is broken from the front, the other from the back.
    const does = operationsOf(example('vane-spindle')).flatMap(({ kind, does: candidate }) =>
      kind === 'deburr' ? candidate : [],
    );
    expect(does).toEqual(['⌀12 at 16 mm', '⌀18 at 38 mm, off the lathe', '⌀18 at 14 mm, off the lathe']);
  });

  test('every edge of every example is broken, but for those inside', () => {
    for (const name of ['sensor-spacer', 'gland-body', 'wind-shaft', 'vane-spindle', 'cup-arm-hub', 'pivot-pin'])
      expect([name, planned(example(name)).edges.filter(({ inside, brokenBy }) => !inside && !brokenBy)]).toEqual([
        name,
        [],
      ]);
  });
});

describe('the measuring hold', () => {
  const fitted = runOf({ outside: [step('12 h7', 10), step(20, 15)] }, fromBar);

  test('before the part-off, what is held closely and nothing else, every fifth piece, the spindle stopped', () => {
    const found = only(fitted, 'inspect');
    expect(found.checks.map(({ what, every, gauge }) => [what, every, gauge?.name])).toEqual([
      // h7 of 12 is 18 µm: a fifth is 3.6, and the micrometer repeats to 5, too coarse.
      ['⌀12', 5, 'micrometer'],
    ]);
    expect(found.speed.value).toBe(0);
    expect(found.hand.value).toBeCloseTo(0.3 / 5, 9);
    // That it is too coarse is said where the diameter is cut, and not again here.
    expect(found.warnings).toEqual([]);
    expect(only(fitted, 'turn-finish').warnings.join()).toContain('No gauge is fine enough');
    expect(found.reasons.map(({ rule }) => rule)).toContain('GATE');
    const kinds = planned(fitted).setups[0]?.operations.map(({ kind }) => kind) ?? [];
    expect(kinds.slice(-2)).toEqual(['inspect', 'part-off']);
  });

  test('nothing held closely: no hold; the inspection of the first-off counts a size once', () => {
    expect(operationsOf(runOf({ outside: [step(12, 10)] })).map(({ kind }) => kind)).not.toContain('inspect');
    // ⌀12 h7 by micrometer 0.3; two lengths by caliper, 0.15 each; ⌀20 is the bar.
    expect(planned(fitted).times.firstOff.value).toBeCloseTo(0.3 + 2 * 0.15, 9);
  });
});

test('an edge nearer to the jaws than 20, where no hand comes, is broken off the lathe', () => {
  // From the bar ⌀12 × 40 before ⌀20 × 10: the blade parts at 50.3, the jaws begin a little behind it.
  const { setups } = planned(
    runOf({ material: 'brass-cw614n', outside: [step(12, 40), step(20, 10)] }, { way: 'from-bar', firstEnd: 'front' }),
  );
  const [first] = setups;
  const jaws = first?.setup.holding.from ?? 0;
  expect(jaws).toBeGreaterThan(50);
  expect(jaws).toBeLessThan(60);
  const told = first?.operations.find(({ kind }) => kind === 'deburr')?.does ?? [];
  expect(told).toContain('⌀12 at 0 mm');
  expect(told).toContain('⌀20 at 40 mm, off the lathe');
});
