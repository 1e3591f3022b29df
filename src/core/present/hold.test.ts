import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { example, planned, runOf, step } from '../testing';
import { slipAt, tipAt } from '../plan/cutting/grip';
import { holdOf } from './hold';

const EXAMPLES = readdirSync(join(__dirname, '../../../examples'))
  .filter((name) => name.endsWith('.json'))
  .map((name) => name.replace('.json', ''));

test('by hand: a collet of 15 000 N and 0.15 bears 1 125 N, and 12 mm of it 28.8 N·m', () => {
  const pin = runOf({ outside: [step(8, 10), step(16, 14)] }, { way: 'sawn-blanks', firstEnd: 'front' });
  const [, second] = planned(pin).setups;
  if (!second) throw new Error('it has two');
  const { gripLength, slip, tipping } = holdOf(second);
  expect(second.setup.holding.kind).toBe('collet');
  // 0.15 · 15 000 / 2, and 0.64 · 15 000 · g / 2 / 2.
  expect(slip?.bears.value).toBeCloseTo(1125, 9);
  expect(tipping?.bears.value).toBeCloseTo((0.64 * 15000 * gripLength) / 4 / 1000, 9);
});

test('the share that is told is the one that limits the cut: force over the force at which it slips, or tips', () => {
  for (const name of ['sensor-spacer', 'vane-spindle', 'mast-collar'])
    for (const set of planned(example(name)).setups) {
      const { slip, tipping } = holdOf(set);
      const forced = set.operations.filter(({ passes }) => passes.some(({ load }) => load?.force && !load.torque));
      const shares = forced.flatMap(({ on, passes }) =>
        passes.flatMap(({ load }) => (load?.force ? [load.force.value / slipAt(on, set.setup)] : [])),
      );
      if (slip) expect(slip.asks.value / slip.bears.value).toBeGreaterThanOrEqual(Math.max(...shares) - 1e-9);
      const by = set.operations.find(({ number }) => number === tipping?.operation);
      if (!tipping || !by) continue;
      const most = Math.max(...by.passes.map(({ load }) => load?.force?.value ?? 0));
      const alone = { ...set.setup, supported: false };
      expect(tipping.asks.value / tipping.bears.value).toBeCloseTo(
        most / tipAt(by.on, Math.min(by.from, by.to), alone),
        9,
      );
    }
});

test('no example asks more of its hold than that bears', () => {
  for (const name of EXAMPLES)
    for (const set of planned(example(name)).setups) {
      const { slip, tipping } = holdOf(set);
      for (const strain of [slip, tipping])
        if (strain)
          expect([name, strain.name, strain.asks.value <= strain.bears.value + 1e-6]).toEqual([
            name,
            strain.name,
            true,
          ]);
    }
});
