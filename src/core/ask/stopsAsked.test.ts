import { startValues } from '../model/shop/startValues';
import type { Machine } from '../model/shop/shop';
import { example, planned, runOf, step } from '../testing';
import { nextBestStops, oneMore, orderSavesAtMost } from './stopsAsked';

const [lathe] = startValues.machines as [Machine];

/** A stud from the bar, forty of it, with screws, a read-out, and nothing else. */
const onScrews = (stations: number, quantity = 40) => {
  const { indicator, carriageDial, spacers, feelers, ...bare } = lathe;
  void [indicator, carriageDial, spacers, feelers];
  return planned(
    runOf(
      { outside: [step(12, 18), step(20, 8)] },
      { way: 'from-bar', quantity, firstEnd: 'front', machine: { ...bare, stations } },
    ),
  ).setups;
};

test('by hand: the part-off by the read-out instead of its screw takes 40 · (0.20 − 0.05) more, less a minute to set it', () => {
  const next = nextBestStops(onScrews(4)).get('part-off');
  expect(next?.means).toBe('read-out');
  expect(next?.minutes).toBeCloseTo(40 * 0.15 - 1, 9);
});

test('one screw more: of three that four places share it saves what the read-out takes more, of four nothing', () => {
  const [first] = oneMore(onScrews(3));
  expect(first?.what).toBe('station');
  // Less than 40 · 0.15 − 1 where a wrong stop would weigh there.
  expect(first?.saves).toBeGreaterThan(40 * 0.15 - 1 - 0.5);
  expect(first?.saves).toBeLessThanOrEqual(40 * 0.15 - 1 + 1e-9);
  expect(oneMore(onScrews(4)).map(({ what }) => what)).not.toContain('station');
});

test('one spacer more: on a single screw it brings one place from the read-out to the screw, 40 · (0.20 − 0.10)', () => {
  const spacer = oneMore(onScrews(1)).find(({ what }) => what.startsWith('spacer of'));
  // A wrong one may weigh there, half a minute at most.
  expect(spacer?.saves).toBeGreaterThan(4 - 0.5);
  expect(spacer?.saves).toBeLessThanOrEqual(4 + 1e-9);
});

test('where an order comes to every place but once none saves on stops; to one twice, at most what one use of it takes', () => {
  // A stud: faced, roughed, finished and parted, each at its own place.
  expect(orderSavesAtMost(onScrews(4))).toBe(0);
  // A spacer that is faced, bored and chamfered at its front comes back to places where it was.
  const { setups, run } = planned(example('sensor-spacer'));
  const again = setups.flatMap(({ pins, operations }) =>
    pins.flatMap(({ operations: keys, axis, use, spoils = 0 }) => {
      const line = operations.flatMap(({ key }) =>
        pins.filter((pin) => pin.axis === axis && pin.operations.includes(key)),
      );
      const visits = line.filter((at, index) => at.operations === keys && line.at(index - 1) !== at).length;
      // Each use and what a wrong stop weighs at it.
      return visits > 1 ? [((visits - 1) * use.minutes + (spoils * (visits - 1)) / visits) * run.quantity] : [];
    }),
  );
  expect(orderSavesAtMost(setups)).toBeLessThanOrEqual(again.reduce((sum, minutes) => sum + minutes, 0) + 1e-6);
});
