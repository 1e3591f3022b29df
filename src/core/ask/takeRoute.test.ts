import { startValues } from '../model/shop/startValues';
import { example, planned, runOf, step } from '../testing';
import type { RunFile } from '../read/runFile';
import { canTake, takeRoute } from './takeRoute';

/** Runs whose usual routes are not sound, so that others were tried. */
const slender = runOf({ outside: [step(12, 90), step(16, 10)] }, { quantity: 4 });
const threaded = runOf(
  {
    outside: [step(12, 120)],
    details: [0, 95].map((at) => ({ kind: 'thread' as const, at, length: 25, designation: 'M12' })),
  },
  { quantity: 20 },
);
const searched: [string, RunFile][] = [
  ['a flange with a spigot', runOf({ outside: [step('13 h8', 20), step(60, 4)] }, { quantity: 8 })],
  ['slender work', slender],
  ['a groove in a face', example('parts/36-face-groove.small')],
  ['a pin of three steps', example('parts/08-three-step-pin.awkward')],
  ['a rod with a thread at both ends', threaded],
];

test('there are routes to take in these', () => {
  const others = searched.flatMap(([, file]) =>
    planned(file, startValues, { until: 'settled' }).route.runnersUp.filter(canTake),
  );
  expect(others.length).toBeGreaterThan(5);
});

test.each(searched)('%s: every other route that could be is taken by one press', (_, file) => {
  const plan = planned(file, startValues, { until: 'settled' });
  const others = plan.route.runnersUp.filter(canTake);
  for (const other of others) {
    const taken = planned(takeRoute(file, plan, other));
    expect(taken.overrules.filter(({ state }) => state === 'cannot')).toEqual([]);
    expect(taken.times.batch.value).toBeCloseTo(other.batchMinutes ?? 0, 6);
  }
});

test.each(['wind-shaft', 'parts/35-skimmed-cylinder.usual'])(
  '%s: centred first, an end that goes last, half from each side: each comes as it was compared',
  (name) => {
    const file = example(name);
    const plan = planned(file, startValues, {});
    const others = plan.route.runnersUp.filter(canTake);
    expect(others.some(({ skeleton }) => skeleton.centred)).toBe(true);
    for (const other of others) {
      const taken = planned(takeRoute(file, plan, other), startValues, {});
      expect(taken.overrules.filter(({ state }) => state === 'cannot')).toEqual([]);
      expect(taken.times.batch.value).toBeCloseTo(other.batchMinutes ?? 0, 6);
    }
  },
);

test('what the run decided beside it stays, and a route that was taken before is let go', () => {
  const file = { ...slender, overrules: [{ setups: 3 }, { skip: 'deburr:1' }] };
  const plan = planned(file);
  const skeleton = { way: 'sawn-blanks', spigot: true, centred: false, dearer: 0 } as const;
  const { overrules = [] } = takeRoute(file, plan, { skeleton, because: 'slower', setups: 2 });
  expect(overrules).toContainEqual({ skip: 'deburr:1' });
  expect(overrules).toContainEqual({ leave: 'spigot' });
  expect(overrules).not.toContainEqual({ setups: 3 });
});

test('in inches the bar and the room are in inches', () => {
  const file = runOf({ outside: [step('0.4', '0.8')] }, { units: 'in', quantity: 5 });
  const plan = planned({ ...file, part: { ...file.part, material: 'brass-cw614n' } });
  const { stock } = plan;
  const skeleton = { way: 'from-bar', spigot: false, centred: false, dearer: 1, clearance: 25.4 } as const;
  const taken = takeRoute(file, plan, { skeleton, because: 'slower', setups: plan.setups.length, bar: stock });
  expect(taken.allowances?.jawClearance).toBe(1);
  expect(taken.stock).toMatchObject({ form: 'round', size: Number((stock.size / 25.4).toFixed(6)) });
});
