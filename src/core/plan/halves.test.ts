import type { RunFile } from '../read/runFile';
import { startValues } from '../model/shop/startValues';
import { planned, problemsOf, runOf, step } from '../testing';

/** A cast post as it arrives, skimmed all along: nothing of it is left to hold by, and nothing may be left on. */
const post = (part: object = {}, run: object = {}): RunFile =>
  runOf(
    { material: 'mild-steel', outside: [step('40 -0.1/0', 60)], ...part },
    {
      quantity: 6,
      stock: { form: 'piece', outside: [{ shape: 'cylinder', diameter: 43, length: 61 }], ahead: 0.5 },
      ...run,
    },
  );

describe('a cylinder that no holding leaves whole', () => {
  const plan = planned(post(), startValues);
  const { setups, proof, skeleton, risks } = plan;

  test('is turned half from each side, and proved', () => {
    expect(setups.map(({ setup }) => setup.end)).toEqual(['front', 'back']);
    for (const { operations } of setups)
      expect(
        operations.filter(({ kind, feature }) => kind === 'turn-finish' && feature === 'part.outside[0]'),
      ).toHaveLength(1);
    expect(setups[1]?.setup.holding.grip).toBe('part.outside[0]');
    expect(proof.faults).toEqual([]);
    expect(plan.doubts.filter(({ rule }) => rule === 'NO-OPERATION')).toEqual([]);
    expect(skeleton.halves).toBe(true);
  });

  test('either half is its own: the cuts meet at 30, and the second stays clear of the jaws', () => {
    const [first, second] = setups.map(({ setup }) => setup);
    expect(first?.part.steps.map(({ zTo }) => zTo)).toEqual([30, 60]);
    expect(second?.holding.from).toBeGreaterThan(30 + startValues.allowances.overrun);
  });

  test('the mark between them is told, and weighs like a soft rule', () => {
    expect(risks).toContainEqual({
      price: 'softRule',
      minutes: 0.5,
      because: expect.stringContaining('half from each side'),
    });
    expect(setups[1]?.setup.cautions.map(({ text }) => text).join()).toContain('dial it true on that half');
  });
});

test('blanks with nothing left on are, too; with a spigot allowed, the mark is weighed against it', () => {
  const blanks = { stock: { form: 'round', size: 45 }, way: 'sawn-blanks' };
  const bare = planned(post({}, { ...blanks, allowances: { spigot: 'none', centreEnd: 'none' } }), startValues, {});
  expect(bare.skeleton).toMatchObject({ halves: true, spigot: false });
  expect(bare.proof.passed).toBe(true);
  const free = planned(post({}, blanks), startValues, {});
  expect(free.worth).toBeLessThanOrEqual(bare.worth + 1e-9);
});

test('the cuts meet beside a groove that lies in the middle, by hand: 27 less 2 of room', () => {
  const grooved = post({ details: [{ kind: 'groove', at: 27, width: 6, bottom: 36 }] });
  const { setups, proof } = planned(grooved, startValues);
  expect(setups[0]?.setup.part.steps[0]?.zTo).toBeCloseTo(27 - startValues.allowances.toolClearance, 9);
  expect(setups[1]?.operations.some(({ kind }) => kind === 'groove')).toBe(true);
  expect(proof.faults).toEqual([]);
});

test('its length over all is measured as the drawing has it: 60 within ±0.3 of the general tolerance, whatever its halves', () => {
  const { setups } = planned(post(), startValues);
  const checks = setups.flatMap(({ operations }) => operations.flatMap((operation) => operation.checks));
  const [overAll] = checks.filter(({ what }) => what === 'length over all');
  expect(overAll?.size).toMatchObject({ nominal: 60, lower: -0.3, upper: 0.3, aim: 60 });
});

test('what must run true to a bore is not cut in two', () => {
  const tied = post({
    outside: [step('40 -0.1/0', 60, { name: 'body' })],
    bores: [{ from: 'front', shape: 'drill', diameter: 5, depth: 'through' }],
    runout: [{ of: 'body', to: 'bore', limit: 0.01 }],
  });
  expect(problemsOf(tied)[0]?.message).toMatch(/to hold by/);
});

test('not where its limits are closer than the second holding is true: a seal sleeve of h6, 16 apart, soft jaws to 30', () => {
  const sleeve = runOf(
    {
      material: 'stainless-304',
      outside: [step('40 h6', 30)],
      bores: [{ from: 'front', shape: 'bore', diameter: '30 H7', depth: 'through' }],
    },
    { quantity: 5 },
  );
  const { skeleton, setups, proof } = planned(sleeve, startValues, {});
  expect(skeleton.halves).toBeUndefined();
  const finishing = setups.filter(({ operations }) => operations.some(({ kind }) => kind === 'turn-finish'));
  expect(finishing).toHaveLength(1);
  expect(proof.faults).toEqual([]);
});
