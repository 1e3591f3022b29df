import { usual } from '../skeleton';
import type { RunFile } from '../../read/runFile';
import type { Plan } from '../plan';
import { startValues } from '../../model/shop/startValues';
import type { Shop } from '../../model/shop/shop';
import { planned, runOf, step } from '../../testing';
import { centredBends, freeEndBends } from './deflection';
import { cuttingForce, cuttingPower } from './force';

const machine = (more: Partial<Shop['machines'][number]>): Shop => ({
  ...startValues,
  machines: startValues.machines.map((candidate) => ({ ...candidate, ...more })),
});
const named = (plan: Plan, key: string) => {
  const operation = plan.setups.flatMap(({ operations }) => operations).find((one) => one.key === key);
  if (!operation) throw new Error(`no ${key}`);
  return operation;
};

describe('facing', () => {
  // A sawn blank: its face is knocked until it is round, and 1 mm comes off it.
  const file = runOf(
    { material: 'mild-steel', outside: [step(28, 30), step(34, 20)] },
    { way: 'sawn-blanks', allowances: { frontFacing: 2, backFacing: 2 } },
  );

  test('no deeper than the material stands, where nothing else holds it', () => {
    const operation = named(planned(file), 'face:front');
    // 2 mm are more than the 1.5 of steel.
    expect(operation.passes.map(({ depth, limitedBy }) => [depth, limitedBy])).toEqual([
      [1, 'material'],
      [1, 'material'],
    ]);
  });

  test('a weaker motor takes it within what it gives, the quickest that there is by trying all', () => {
    const shop = machine({ motorKilowatts: 0.2 });
    const operation = named(planned(file, shop), 'face:front');
    const { feeds, speeds, efficiency } = shop.machines[0] as Shop['machines'][number];
    const strong = named(planned(file), 'face:front');
    const [pass] = operation.passes;
    const way = pass?.way.reduce((total, { value }) => total + value, 0) ?? 0;
    let quickest = Infinity;
    for (const feed of feeds.filter((one) => one <= strong.feed.value))
      for (const speed of speeds.filter((one) => one <= strong.speed.value))
        for (let passes = 2; passes < 20; passes += 1) {
          const cut = { kc: 1500, m: 0.22, feed, depth: 2 / passes, approachAngle: 90 };
          if (cuttingPower(cut, (Math.PI * operation.on * speed) / 1000) > 0.2 * efficiency + 1e-9) continue;
          quickest = Math.min(quickest, passes * (way / (feed * speed) + shop.handMinutes.approach));
          break;
        }
    expect(operation.cutting.value + operation.passes.length * shop.handMinutes.approach).toBeCloseTo(quickest, 9);
    expect(operation.passes.map(({ limitedBy }) => limitedBy)).toContain('power');
    expect(operation.warnings.join()).toContain('the motor gives no more');
  });

  test('it pushes along the work: force and power, and nothing gives way', () => {
    const [pass] = named(planned(file), 'face:front').passes;
    expect(pass?.load?.force?.value).toBeGreaterThan(0);
    expect(pass?.load?.bends).toBeUndefined();
  });
});

describe('a cone', () => {
  const file = (length: number): RunFile =>
    runOf(
      {
        material: 'mild-steel',
        outside: [{ shape: 'cone', from: 8, to: 16, length }, step(20, 12)],
      },
      { way: 'from-bar' },
    );
  const cone = (shop: Shop, length = 20) => named(planned(file(length), shop), 'taper:part.outside[0]');

  test('is cut as deep as the material allows, and its last is the finish', () => {
    const limits = cone(startValues).passes.map(({ limitedBy }) => limitedBy);
    expect(limits.at(-1)).toBe('finish');
    expect(new Set(limits.slice(0, -1))).toEqual(new Set(['material']));
  });

  test('a weak motor divides it more finely, and each pass is within what it gives', () => {
    const weak = cone(machine({ motorKilowatts: 0.3 }));
    expect(weak.passes.length).toBeGreaterThan(cone(startValues).passes.length);
    expect(weak.passes[0]?.limitedBy).toBe('power');
    for (const { load } of weak.passes) expect(load?.power.value ?? 9).toBeLessThanOrEqual(0.3 * 0.75 + 1e-9);
  });

  test('a grip that gives way holds it back as well', () => {
    const cutting = { ...startValues.cutting, gripForce: { '3-jaw': 2500, collet: 2500 } };
    expect(cone({ ...startValues, cutting }).passes[0]?.limitedBy).toBe('holding');
  });
});

describe('a rest bears on the work', () => {
  const rod = runOf(
    { material: 'mild-steel', outside: [step(12, 140), step(16, 20)] },
    { way: 'from-bar', allowances: { jawClearance: 25 } },
  );
  const finish = (kind: 'follow' | 'fixed') => {
    const plan = planned(rod, machine({ rests: [{ kind, from: 6, upTo: 40, width: 20 }] }), {
      only: [usual('from-bar')],
    });
    expect(plan.setups[0]?.setup.rest?.kind).toBe(kind);
    return { setup: plan.setups[0]?.setup, load: named(plan, 'turn-finish:part.outside[0]').passes[0]?.load };
  };
  const put = (load: ReturnType<typeof finish>['load'], symbol: string) =>
    load?.bends?.terms.find((term) => term.symbol === symbol)?.value ?? NaN;

  test('one that follows leaves its own width free: F L³ / (3 E I)', () => {
    const { load } = finish('follow');
    expect(put(load, 'L')).toBe(20);
    expect(load?.bends?.value).toBeCloseTo(freeEndBends(0.4 * put(load, 'F'), 20, put(load, 'd'), 210_000), 12);
  });

  test('one that stands halves the length under the centre: 7 F L³ / (768 E I)', () => {
    const { load, setup } = finish('fixed');
    expect(put(load, 'L')).toBeCloseTo(((setup?.holding.from ?? 0) + (setup?.facing ?? 0)) / 2, 9);
    expect(load?.bends?.value).toBeCloseTo(
      centredBends(0.4 * put(load, 'F'), put(load, 'L'), put(load, 'd'), 210_000),
      12,
    );
  });
});

test('every cut of a plan says its force, by the chip that it takes', () => {
  const plan = planned(
    runOf({ material: 'mild-steel', outside: [step(14, 20), step(18, 10)] }, { way: 'from-bar', quantity: 5 }),
  );
  const cuts = plan.setups.flatMap(({ operations }) => operations).filter(({ cutting }) => cutting.value > 0);
  for (const { kind, passes } of cuts)
    for (const { load, depth } of passes)
      if (depth > 0) expect([kind, (load?.force?.value ?? 0) > 0]).toEqual([kind, true]);
  const face = cuts.find(({ kind }) => kind === 'face');
  const cut = { kc: 1500, m: 0.22, feed: face?.feed.value ?? 0, depth: face?.passes[0]?.depth ?? 0, approachAngle: 90 };
  expect(face?.passes[0]?.load?.force?.value).toBeCloseTo(cuttingForce(cut), 9);
});
