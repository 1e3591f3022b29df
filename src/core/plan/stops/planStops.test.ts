import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { startValues } from '../../model/shop/startValues';
import type { Machine } from '../../model/shop/shop';
import { example, planned, runOf, step } from '../../testing';
import { chooseStops } from './choose/choose';
import { serveOf, type Place, type StopProblem } from './choose/problem';
import { demandsOf } from './demand';
import type { CutSetup } from '../cuts/planCuts';

const [lathe] = startValues.machines as [Machine];

/** A place that is read off in 0.2, and by a station in 0.05, forty times. */
const placeAt = (setting: number, deepest: number, spoilsFrom = Infinity): Place => ({
  setting,
  own: [{ minutes: 8, spread: 0.02 }],
  deepest,
  spoilsFrom,
  spoilMinutes: 1.5,
});
const stationsAt = (places: readonly Place[], stations: number): StopProblem => ({
  places,
  facilities: places.map(({ setting }, at) => ({
    kind: 'station',
    setting,
    hard: true,
    ready: 1,
    serves: places.map((_, place) => (place === at ? { minutes: 2, spread: 0.04 } : undefined)),
  })),
  limits: { station: stations },
});
const meansIn = (problem: StopProblem) => {
  const chosen = chooseStops([problem], []);
  const [allocation] = chosen?.allocations ?? [];
  if (!chosen || !allocation) throw new Error('each place is read off at least');
  return {
    minutes: chosen.minutes,
    by: problem.places.map((_, place) => (serveOf(problem, allocation, place).minutes === 2 ? 'station' : 'read off')),
  };
};

test('by hand: two stations save 8 − 2 each less a minute to set; with one of them the other is read off', () => {
  const two = [placeAt(5, 100), placeAt(20, 100)];
  expect(meansIn(stationsAt(two, 2))).toEqual({ minutes: 6, by: ['station', 'station'] });
  expect(meansIn(stationsAt(two, 1))).toEqual({ minutes: 11, by: ['station', 'read off'] });
});

test('a tool that would meet the jaws at the other station is not brought to a station beside it', () => {
  // To 15 the tool of the first is clear; on the station at 20 it would be in the jaws.
  const near = stationsAt([placeAt(5, 15), placeAt(20, 100)], 2);
  expect(meansIn(near)).toEqual({ minutes: 11, by: ['station', 'read off'] });
});

test('into the work it is weighed: 1.5 more, and still less than reading off; where it weighs more than that it is read off', () => {
  const spoils = (minutes: number) =>
    meansIn(stationsAt([{ ...placeAt(5, 100, 5), spoilMinutes: minutes }, placeAt(20, 100)], 2));
  expect(spoils(1.5)).toEqual({ minutes: 7.5, by: ['station', 'station'] });
  expect(spoils(5.5)).toEqual({ minutes: 11, by: ['station', 'read off'] });
});

test('roughing runs to the shoulder by the stop of the finish and a feeler: one station and one setting less', () => {
  const run = runOf(
    { outside: [step(12, 18), step(20, 8)] },
    { way: 'from-bar', quantity: 40, machine: { ...lathe, stations: 2 } },
  );
  const pins = planned(run).setups.flatMap((setup) => setup.pins);
  const at = (setting: number) => pins.find((pin) => Math.abs(pin.setting - setting) < 1e-6);
  const [rough, finish] = [at(17.9), at(18)];
  expect(finish).toMatchObject({ means: 'station' });
  expect(rough).toMatchObject({ means: 'station', place: finish?.place, feeler: 0.1, use: { minutes: 0.05 + 0.05 } });
  // Twice 0.02 of the station and 0.005 of the feeler.
  expect(rough?.spread).toBeCloseTo(0.05, 9);
});

test('three shoulders on one station: two spacers of those on hand, or one that is made when that pays', () => {
  const shaft = (quantity: number, machine: Partial<Machine> = {}) =>
    planned(
      runOf(
        { outside: [step(8, 10), step(12, 10), step(16, 10), step(20, 8)] },
        {
          way: 'from-bar',
          quantity,
          firstEnd: 'front',
          machine: { ...lathe, stations: 1, readOut: 'none', presets: 0, ...machine },
        },
      ),
    ).setups.flatMap(({ pins }) => pins);
  const laid = shaft(40).filter(({ spacers }) => spacers);
  expect(laid.length).toBeGreaterThan(0);
  for (const { spacers = [], made } of laid)
    if (!made) for (const length of spacers) expect(lathe.spacers).toContain(length);
  // Eight minutes for a spacer are nothing over 2 000 pieces.
  const { indicator, carriageDial, ...bare } = lathe;
  void [indicator, carriageDial];
  const many = planned(
    runOf(
      { outside: [step(8, 10.7), step(12, 10.6), step(16, 10), step(20, 8)] },
      { way: 'from-bar', quantity: 2000, firstEnd: 'front', machine: { ...bare, stations: 1, readOut: 'none' } },
    ),
  );
  expect(many.setups.flatMap(({ pins }) => pins).some(({ made }) => made)).toBe(true);
  expect(many.setups.flatMap(({ readied }) => readied)).toContainEqual({ name: 'spacer made', minutes: 8 });
});

const runs = readdirSync(join(__dirname, '../../../../examples'))
  .filter((file) => file.endsWith('.json'))
  .map((file) => file.replace('.json', ''));

test.each(runs)(
  '%s: on no station does another one, or a spacer forgotten, let its tool into what holds the work',
  (name) => {
    const plan = planned(example(name));
    for (const { setup, operations, pins, start, order, broken, overruled } of plan.setups) {
      const cut: CutSetup = { setup, operations, cuts: operations, reasons: [], start, order, broken, overruled };
      const onStations = pins.filter(({ means }) => means === 'station');
      // Where a pin is laid back by its stack, the station itself stands deeper.
      const standsAt = ({ setting, spacers = [], feeler = 0 }: (typeof pins)[number]) =>
        setting + feeler + spacers.reduce((sum, length) => sum + length, 0);
      const deepest = Math.max(...onStations.map(standsAt));
      expect(new Set(onStations.map(({ place }) => place)).size).toBeLessThanOrEqual(setup.run.shop.machine.stations);
      for (const demand of demandsOf(cut))
        if (onStations.some(({ operations: keys }) => demand.cuts.some(({ key }) => keys.includes(key))))
          expect(deepest).toBeLessThanOrEqual(demand.deepest + 0.02);
    }
  },
);
