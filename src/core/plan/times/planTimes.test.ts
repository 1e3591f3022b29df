import { gaugeFor } from '../../model/shop/gauge';
import type { Machine } from '../../model/shop/machine';
import { startValues } from '../../model/shop/startValues';
import { example, planned, runOf, step } from '../../testing';

const lathe = startValues.machines[0] as Machine;
const pin = planned(
  runOf({ outside: [step('6 h9', 12, { chamfers: { front: 0.5 } }), step(10, 8)] }, { quantity: 40, way: 'from-bar' }),
);
const operation = (kind: string) => {
  const found = pin.setups
    .flatMap(({ operations }) => operations)
    .find((timedOperation) => timedOperation.kind === kind);
  if (!found) throw new Error(kind);
  return found;
};
const elements = (kind: string) =>
  Object.fromEntries(operation(kind).hand.terms.map(({ name, value }) => [name, Number(value.toFixed(4))]));

describe('hand elements from what changes between two operations', () => {
  test('facing after parting, around the corner: the tool, the speed, the station; the blade was fed by hand', () => {
    expect(elements('face')).toEqual({
      'change tool in the post': 0.15,
      'change speed': 0.1,
      'come to the read-out, 1 ×': 0.12,
      'move the stop to its station': 0.05,
      // ⌀10 · 0.3 is 0.0236 cm³, 0.1 min for 15.
      'clear 0.0 cm³ of swarf': 0.0002,
    });
  });

  test('roughing with the tool that faced: no change of tool or speed, two passes to come to', () => {
    const { passes } = operation('turn-rough');
    expect(elements('turn-rough')).toMatchObject({
      [`come to the read-out, ${passes.length} ×`]: 0.12 * passes.length,
      'change feed': 0.08,
    });
    expect(elements('turn-rough')).not.toHaveProperty('change tool in the post');
  });

  test('a fitted diameter is measured on every piece, a general length on every fifth', () => {
    // 6 h9 is 30 µm: a fifth is 6, so the micrometer.
    expect(elements('turn-finish')).toMatchObject({
      'micrometer: ⌀6': 0.3,
      'caliper: length 12 mm, every 5th piece': 0.03,
    });
  });
});

test('a piece: cutting and handling of both set-ups and an eighth or so on top, by hand', () => {
  const sum = pin.setups
    .flatMap(({ operations, loading }) => [
      loading.value,
      ...operations.flatMap(({ cutting, hand }) => [cutting.value, hand.value]),
    ])
    .reduce((a, b) => a + b, 0);
  expect(pin.times.piece.value).toBeCloseTo(sum * 1.12, 9);
  expect(pin.times.cutting.value + pin.times.hand.value).toBeCloseTo(sum, 9);
});

test('setting up from the bar: read 5, collet 2, tools, stops, touching off', () => {
  const [first, second] = pin.setups;
  // Four tools in the post, four stations and the bar stop: 5 + 2 + 4 + 5 + 4 · 0.3.
  expect(first?.setting.terms.map(({ name, value }) => [name, Number(value.toFixed(2))])).toEqual([
    ['fetch and read', 5],
    ['make ready to hold in a collet', 2],
    ['4 tools on height', 4],
    ['stop of the work set', 1],
    ['4 × stop set', 4],
    ['4 tools touched off', 1.2],
  ]);
  // The collet of the bar is in already. One tool, its stop and the spindle stop: 1 + 2 + 0.3.
  expect(second?.setting.value).toBeCloseTo(3.3, 9);
});

test('the batch: setting up, forty pieces, a bar loaded, the first-off inspected', () => {
  const { setup, piece, batch, firstOff } = pin.times;
  expect(batch.value).toBeCloseTo(setup.value + 40 * piece.value + 0.25 + firstOff.value, 9);
  // Micrometer on ⌀6, caliper on 12 and on the length over all.
  expect(firstOff.value).toBeCloseTo(0.3 + 0.15 + 0.15, 9);
});

test('blanks are sawn, loaded and unloaded, twice', () => {
  const names = planned(runOf({ outside: [step(14, 20), step(23, 15)] }, { way: 'sawn-blanks' })).setups.map(
    ({ loading }) => loading.terms.map(({ name }) => name),
  );
  expect(names).toEqual([
    ['saw the blank', 'load in a collet', 'unload and wipe'],
    ['load in a collet', 'unload and wipe'],
  ]);
});

describe('stops', () => {
  test('operations that end at one place share a pin; the close length goes by the indicator, the others by stations', () => {
    const pins = planned(example('sensor-spacer')).setups[0]?.pins ?? [];
    // 9 (0, +0.05) leaves 0.0167 of spread: 0.01 of the indicator at the face and at the shoulder, 0.0141 together; a station has 0.04.
    expect(pins.map(({ letter, means, place, setting }) => [letter, means, place, Number(setting.toFixed(2))])).toEqual(
      [
        ['A', 'indicator', undefined, 0],
        ['B', 'station', 1, 0.5],
        ['C', 'mark', undefined, 3.15],
        ['D', 'station', 2, 8.9],
        ['E', 'indicator', undefined, 9.03],
        ['F', 'station', 3, 24.8],
        ['G', 'mark', undefined, 27.84],
      ],
    );
    expect(pins.find(({ letter }) => letter === 'F')?.operations).toEqual([
      'turn-rough:part.outside[1]',
      'turn-finish:part.outside[1]',
      'part-off',
    ]);
    expect(pins.filter(({ fine }) => fine).map(({ letter }) => letter)).toEqual(['E']);
  });

  test('without stations: a figure that is read takes 0.2, the dial 0.15 and its turns, a stop set each time half a minute', () => {
    const { carriageDial, indicator, ...bare } = { ...lathe, stations: 0 };
    void indicator;
    const atChamfer = (machine: Machine) =>
      planned({ ...example('sensor-spacer'), machine })
        .setups[0]?.operations.find(({ kind }) => kind === 'chamfer')
        ?.hand.terms.map(({ name, value }) => [name, value]);
    expect(atChamfer(bare)).toContainEqual(['carriage to the figure of the read-out', 0.2]);
    expect(atChamfer({ ...bare, presets: 5 })).toContainEqual(['carriage to its preset', 0.12]);
    const dialled = { ...bare, readOut: 'none' as const, ...(carriageDial ? { carriageDial } : {}) };
    expect(atChamfer(dialled)).toContainEqual(['carriage by its dial', 0.15 + (0.02 * 0.5) / 20]);
    expect(atChamfer({ ...bare, readOut: 'none' })).toContainEqual(['set the stop each time', 0.5]);
  });

  test('a machine with nothing but dials: the face by its dial, a length that two of them leave too open measured and cut to', () => {
    const { indicator, ...dials } = { ...lathe, stations: 0, readOut: 'none' as const };
    void indicator;
    const plan = planned(runOf({ outside: [step('6 h9', 12), step(10, 8)] }, { machine: dials, way: 'from-bar' }));
    // A division is 0.1: twice that, √2 · 0.1 = 0.141, of the 0.4 / 3 that 12 ± 0.2 leaves.
    const at = (setting: number) => plan.setups[0]?.pins.find((pin) => Math.abs(pin.setting - setting) < 1e-6)?.means;
    expect([at(0), at(12)]).toEqual(['dial', 'measured']);
    expect(plan.times.piece.value).toBeGreaterThan(pin.times.piece.value);
  });

  test('the bar stop is the stick-out; the spindle stop is what is in the jaws and behind', () => {
    const [first, second] = planned(example('sensor-spacer')).setups;
    expect(first?.workStop).toMatchObject({ means: 'bar-stop', setting: { value: expect.closeTo(30.1, 9) } });
    expect(second?.workStop).toMatchObject({ means: 'spindle-stop', setting: { value: expect.closeTo(20, 9) } });
  });
});

describe('gauges', () => {
  const size = (width: number) => ({ nominal: 10, lower: -width, upper: 0, aim: 10, from: 'limits' as const });
  const chosen = (measures: 'outside' | 'inside' | 'length', width: number) => {
    const gauge = gaugeFor({ what: '', measures, size: size(width) }, startValues.gauges);
    return [gauge?.name, gauge?.fineEnough];
  };

  test.each([
    ['outside', 0.2, 'caliper', true],
    ['outside', 0.15, 'caliper', true],
    ['outside', 0.149, 'micrometer', true],
    ['outside', 0.025, 'micrometer', true],
    ['outside', 0.02, 'micrometer', false],
    ['inside', 0.1, 'bore gauge', true],
    ['inside', 0.02, 'bore gauge', false],
    ['length', 0.05, 'depth micrometer', true],
  ] as const)('%s within %d mm: %s', (measures, width, name, fine) => {
    expect(chosen(measures, width)).toEqual([name, fine]);
  });

  test('none that measures it is none', () => {
    expect(gaugeFor({ what: '', measures: 'inside', size: size(1) }, [])).toBeUndefined();
  });
});
