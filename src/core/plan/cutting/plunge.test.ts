import fc from 'fast-check';
import type { RunFile } from '../../read/runFile';
import { startValues } from '../../model/shop/startValues';
import type { Shop } from '../../model/shop/shop';
import { planned, runOf, step } from '../../testing';
import { cuttingForce, cuttingPower } from './force';
import { gripAt } from './grip';
import { motorOf } from './limitsOn';
import { plungeWithin } from './plunge';
import { cuttingSpeed } from './speed';

const collar = (more: Partial<RunFile> = {}): RunFile =>
  runOf(
    {
      material: 'mild-steel',
      outside: [step(24, 20), step(32, 10)],
      details: [{ kind: 'groove', at: 8, width: 3, bottom: 20 }],
    },
    { way: 'from-bar', ...more },
  );
const withCutting = (more: Partial<Shop['cutting']>): Shop => ({
  ...startValues,
  cutting: { ...startValues.cutting, ...more },
});
const weak: Shop = {
  ...startValues,
  machines: startValues.machines.map((machine) => ({ ...machine, motorKilowatts: 0.06 })),
};
const cutOf = (kind: string, shop: Shop = startValues, file = collar()) => {
  const operation = planned(file, shop)
    .setups.flatMap(({ operations }) => operations)
    .find((one) => one.kind === kind);
  if (!operation) throw new Error(`no ${kind}`);
  return operation;
};

describe('an edge that goes straight in', () => {
  test('its force is that of its whole width: 1500 · f^(1 − 0.22) · 3, and bends the work where it stands', () => {
    const operation = cutOf('groove');
    const [pass] = operation.passes;
    expect(pass?.wide).toBe(3);
    expect(pass?.load?.force?.value).toBeCloseTo(1500 * operation.feed.value ** 0.78 * 3, 6);
    expect(pass?.load?.power.value).toBeCloseTo(
      ((pass?.load?.force?.value ?? 0) * operation.achieved.value) / 60_000,
      9,
    );
    const { setup } = planned(collar()).setups[0] as { setup: { holding: { from: number } } };
    expect(pass?.load?.bends?.terms.find(({ symbol }) => symbol === 'L')?.value).toBeCloseTo(setup.holding.from - 8, 9);
    expect(pass?.limitedBy).toBe('shape');
  });

  test('a motor too weak for it turns it more slowly, and says so', () => {
    const [strong, slow] = [cutOf('part-off'), cutOf('part-off', weak)];
    expect(slow.speed.value).toBeLessThan(strong.speed.value);
    expect(slow.passes[0]?.limitedBy).toBe('power');
    expect(slow.passes[0]?.load?.power.value ?? 9).toBeLessThanOrEqual(0.06 * 0.75);
    expect(slow.warnings.join()).toMatch(/^Held back: the motor gives no more/);
    expect(strong.warnings.join()).not.toContain('Held back');
  });

  test('a holding that would slip is fed more lightly', () => {
    const light = cutOf('part-off', withCutting({ gripForce: { '3-jaw': 1500 } }));
    expect(light.feed.value).toBeLessThan(cutOf('part-off').feed.value);
    expect(light.passes[0]?.limitedBy).toBe('holding');
    expect(light.warnings.join()).toMatch(/Held back: more force could turn the work .* A narrower edge helps most/);
  });

  test('fed as it was decided it is not held back, and what is too much is told', () => {
    const file = collar({ overrules: [{ operation: 'part-off', cut: { feed: 0.06 } }] });
    const operation = cutOf('part-off', withCutting({ gripForce: { '3-jaw': 1500 } }), file);
    expect(operation.feed.value).toBe(0.06);
    expect(operation.passes[0]?.limitedBy).toBe('shape');
    expect(operation.warnings.join()).not.toContain('Held back');
    // By hand: the width that the grip takes is in proportion to its force.
    const [, force, grip, wide] =
      /(\d+) N on .* takes (\d+): an edge of (\d\.?\d*) mm/.exec(operation.warnings.join()) ?? [];
    expect(Number(wide)).toBeCloseTo(((operation.passes[0]?.wide ?? 0) * Number(grip)) / Number(force), 1);
  });

  test('within motor and holding whatever the width, and never above the usual', () => {
    const setup = planned(collar()).setups[0]?.setup;
    if (!setup) throw new Error('it has a set-up');
    const { kc, m } = setup.run.shop.material.force;
    fc.assert(
      fc.property(
        fc.double({ min: 0.5, max: 60, noNaN: true }),
        fc.double({ min: 5, max: 80, noNaN: true }),
        (wide, on) => {
          const usual = { feed: 0.05, speed: 800 };
          const held = plungeWithin(wide, on, 0, usual, setup);
          const { feed, speed } = held ?? usual;
          expect(feed).toBeLessThanOrEqual(usual.feed);
          expect(speed).toBeLessThanOrEqual(usual.speed);
          const cut = { kc, m, feed, depth: wide, approachAngle: 90 };
          if (feed > 0.001) expect(cuttingForce(cut)).toBeLessThanOrEqual(gripAt(on, 0, setup) * (1 + 1e-6));
          if (speed > (setup.run.shop.machine.speeds[0] ?? 0))
            expect(cuttingPower(cut, cuttingSpeed(speed, on))).toBeLessThanOrEqual(motorOf(setup) * (1 + 1e-9));
        },
      ),
    );
  });
});

describe('what was decided and is too much', () => {
  test('over the motor it says which speed is within it, over the grip what helps', () => {
    const file = collar({
      overrules: [{ operation: 'turn-rough:part.outside[0]', cut: { depth: 5, speed: 1120, feed: 0.3 } }],
    });
    const weakly = withCutting({ gripForce: { ...startValues.cutting.gripForce, '3-jaw': 5000 } });
    const operation = planned(file, weakly).setups[0]?.operations.find(
      ({ key }) => key === 'turn-rough:part.outside[0]',
    );
    const warnings = operation?.warnings ?? [];
    const told = warnings.join(' ');
    expect(told).toMatch(/kW, and the motor gives 1\.13: \d+ rev\/min is within it; so is a cut of \d\.?\d* mm/);
    // By hand: force goes with depth, so the depth that the grip takes is in proportion.
    const [, force, grip, most] = /(\d+) N on .* takes (\d+): a cut of (\d\.?\d*) mm is within it/.exec(told) ?? [];
    const depth = operation?.passes[0]?.depth ?? 0;
    expect(Number(most)).toBeCloseTo((depth * Number(grip)) / Number(force), 1);
  });
});

describe('a holding has a speed of its own', () => {
  test('four jaws are never run faster than 1200: 1120 of the list, and the working says why', () => {
    const file = collar({ overrules: [{ setup: 1, holding: { kind: '4-jaw' } }] });
    const thin = { ...file, part: { ...file.part, material: 'brass-cw614n' } };
    const operation = cutOf('turn-finish', startValues, thin);
    expect(operation.speed.value).toBe(1120);
    expect(operation.speed.note).toMatch(
      /in a four-jaw chuck .*nothing is never run faster|never run faster than 1200/,
    );
    expect(cutOf('turn-finish', withCutting({ holdingSpeed: {} }), thin).speed.value).toBeGreaterThan(1120);
  });
});
