import { csvParse } from 'd3-dsv';
import { startValues } from '../model/shop/startValues';
import type { Machine } from '../model/shop/shop';
import { planned, runOf, step } from '../testing';
import { stopsCsv } from './stopsCsv';

const [lathe] = startValues.machines as [Machine];

test('the presets of a stud, a row each, with what a comma in a name does not break', () => {
  const { indicator, carriageDial, ...bare } = lathe;
  void [indicator, carriageDial];
  const { setups } = planned(
    runOf(
      { outside: [step(12, 18), step(20, 8)] },
      { way: 'from-bar', quantity: 40, firstEnd: 'front', machine: { ...bare, stations: 0, presets: 6 } },
    ),
  );
  const rows = csvParse(stopsCsv(setups)).filter(({ setup }) => setup === '1');
  // Face, roughed 0.1 before the shoulder, finished, and parted with the left edge 26 + 0.3 + 2 deep.
  expect(rows.map(({ means, place, setting }) => [means, place, setting])).toEqual([
    ['preset', '1', '0.000'],
    ['preset', '2', '17.900'],
    ['preset', '3', '18.000'],
    ['preset', '4', '28.300'],
  ]);
  expect(rows[2]?.tools).toBe('finishing tool, r 0.4');
});
