import { startValues } from '../../model/shop/startValues';
import type { Shop } from '../../model/shop/shop';
import type { RunFile } from '../../read/runFile';
import { only, planned, runOf, step } from '../../testing';

const onMachine = (machine: object): Shop => ({
  ...startValues,
  machines: startValues.machines.map((each) => ({ ...each, ...machine })),
});

const operationOf = (file: RunFile, kind: string, shop: Shop = startValues) => {
  const found = planned(file, shop)
    .setups.flatMap(({ operations }) => operations)
    .find((operation) => operation.kind === kind);
  if (!found) throw new Error(`no ${kind}`);
  return found;
};

const cone = runOf({ outside: [{ shape: 'cone', from: 10, to: 14, length: 20 }, step(20, 10)] });

test('a cone by the compound: 40 turns a minute of 2.5 mm are 100, so at 1600 rev/min 0.062 instead of 0.08', () => {
  const taper = operationOf(cone, 'taper');
  expect(taper.compound).toBeDefined();
  expect(taper.speed.value * taper.feed.value).toBeLessThanOrEqual(100);
  expect(taper.speed.value * (taper.feed.value + 0.001)).toBeGreaterThan(100);
  const geared = operationOf(cone, 'taper', onMachine({ compoundDial: { travel: 5, divisions: 100 } }));
  expect(geared.feed.value).toBe(0.08);
});

test('a reamer keeps its feed and turns slower; a tap draws itself, and nobody winds it', () => {
  const file = runOf({
    outside: [step(20, 24)],
    bores: [
      { from: 'front', shape: 'ream', diameter: '8 H7', depth: 'through' },
      { from: 'back', shape: 'tap', designation: 'M12', depth: 8 },
    ],
  });
  const ream = only(file, 'ream');
  expect(ream.feed.value).toBeCloseTo(2.5 * 0.025 * 8.0075, 9);
  expect(ream.speed.value).toBe(250);
  expect(only(file, 'tap').feed.value).toBe(1.75);
});

test('a shoulder without a trip: 250 mm a minute by power, and the last millimetre at 60 by hand', () => {
  const file = runOf({ outside: [step(10, 20), step(20, 10)] });
  const rough = operationOf(file, 'turn-rough');
  expect(rough.speed.value * rough.feed.value).toBeLessThanOrEqual(250);
  const [pass] = rough.passes;
  const way = pass?.way.reduce((sum, { value }) => sum + value, 0) ?? 0;
  expect(pass?.minutes.value).toBeCloseTo((way - 1) / (rough.speed.value * rough.feed.value) + 1 / 60, 9);
  const tripped = operationOf(file, 'turn-rough', onMachine({ trips: true }));
  expect(tripped.speed.value * tripped.feed.value).toBe(400);
  // Nothing stands at the end of a piece: power goes on past it.
  const end = operationOf(runOf({ outside: [step('13 h9', 20)] }, { stock: { size: 16 } }), 'turn-rough');
  expect(end.speed.value * end.feed.value).toBe(400);
});
