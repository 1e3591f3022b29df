import { choicesOf } from '../../ask/choices';
import type { StopOverrule } from '../../model/overrule';
import { startValues } from '../../model/shop/startValues';
import { planned, runOf, step } from '../../testing';
import type { RunFile } from '../../read/runFile';
import { pinOf } from './planStops';

/** A stud ⌀12 × 18 on ⌀20 × 8 from the bar, forty of it; its shoulder as close as is asked. */
const stud = (stops: StopOverrule[] = [], width = 0.4): RunFile =>
  runOf(
    {
      outside: [
        { shape: 'cylinder', diameter: 12, length: { size: 18, limits: [-width / 2, width / 2] } },
        step(20, 8),
      ],
    },
    { way: 'from-bar', quantity: 40, firstEnd: 'front', overrules: stops },
  );
const FINISH = 'turn-finish:part.outside[0]';

/** By what the finish of the shoulder is stopped, what became of the overrules, and the minutes of the batch. */
function stopped(file: RunFile) {
  const { setups, overrules, times } = planned(file);
  const pin = setups.map((setup) => pinOf(setup, FINISH)).find((found) => found !== undefined);
  return {
    pin,
    told: overrules.map(({ state, breaks }) => [state, ...breaks.map(({ because }) => because)]),
    batch: times.batch.value,
  };
}

test('a finish that went to a station is read off where that was decided, and the batch is as much longer', () => {
  const [usual, asked] = [stopped(stud()), stopped(stud([{ operation: FINISH, stop: { means: 'read-out' } }]))];
  expect(usual.pin?.means).toBe('station');
  expect(asked.pin?.means).toBe('read-out');
  expect(asked.told).toEqual([['kept']]);
  // 0.20 for 0.05 at each of forty, and 12 % on that for what no element covers; less a minute for the screw.
  expect(asked.batch - usual.batch).toBeCloseTo(40 * 0.15 * 1.12 - 1, 6);
});

test('with a spacer that is named it is brought to the station that this leaves', () => {
  const { pin, told } = stopped(stud([{ operation: FINISH, stop: { means: 'station', spacers: [10] } }]));
  // No other place is 10 deeper than the shoulder at 18: a screw is set at 28 for it.
  expect(told).toEqual([['kept']]);
  expect(pin).toMatchObject({ means: 'station', spacers: [10] });
});

test('what no machine has, or this place not, is told and not followed', () => {
  expect(stopped(stud([{ operation: FINISH, stop: { means: 'magnet' } }])).told[0]?.[1]).toMatch(
    /^No means is called “magnet”; there are station, preset/,
  );
  expect(stopped(stud([{ operation: FINISH, stop: { means: 'preset' } }])).told).toEqual([
    ['cannot', 'Nothing of this machine that is “preset” serves this place.'],
  ]);
});

test('a stop set each time spreads over 0.1: a shoulder of ±0.02 does not hold with it', () => {
  const { told, pin } = stopped(stud([{ operation: FINISH, stop: { means: 'each-time' } }], 0.04));
  expect(told[0]?.[0]).toBe('cannot');
  expect(told[0]?.[1]).toMatch(/a length would not keep its limits/);
  expect(pin?.means).not.toBe('each-time');
});

test('stations are numbered from the free end: another number is told', () => {
  const first = stopped(stud([{ operation: FINISH, stop: { means: 'station', station: 1 } }]));
  const place = first.pin?.place ?? 0;
  expect(first.told[0]?.[1]).toBe(`It is station ${place}, not 1: they are numbered from the free end.`);
  expect(stopped(stud([{ operation: FINISH, stop: { means: 'station', station: place } }])).told).toEqual([['kept']]);
});

test('asked for, every means is there with its price, and the one that is planned is the least', () => {
  const choices = choicesOf(stud(), startValues, { stop: FINISH });
  expect(choices.map(({ id }) => id)).toEqual(expect.arrayContaining(['station', 'read-out', 'each-time', 'measured']));
  const now = choices.find(({ planned: isPlanned }) => isPlanned);
  expect(now?.id).toBe('station');
  for (const { batchMinutes, problem } of choices)
    if (problem === undefined) expect(batchMinutes).toBeGreaterThanOrEqual((now?.batchMinutes ?? Infinity) - 1e-6);
});
