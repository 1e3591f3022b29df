import { lengthDigits } from '../model/units/length';
import type { PlannedSetup } from '../plan/times/planTimes';
import { tableText } from './table';

const HEAD = ['setup', 'stop', 'axis', 'means', 'place', 'setting', 'spacers', 'feeler', 'tools', 'operations'];

/**
 * Every stop of a run, a row each, for a read-out that takes its presets from a file (docs/run-file.md). Lengths in the units of
 * the run, from the face towards what holds the work; of the cross-slide the diameter.
 */
export const stopsCsv = (setups: readonly PlannedSetup[]): string =>
  tableText([
    HEAD,
    ...setups.flatMap(({ setup, pins, crossStops, operations }) => {
      const { units } = setup.run;
      const length = (mm: number) => lengthDigits(mm, units, true);
      const servedBy = (keys: readonly string[]) => {
        const here = operations.filter(({ key }) => keys.includes(key));
        const tools = [...new Set(here.map(({ tool }) => tool.name))].join('; ');
        return [tools, here.map(({ number }) => number).join(' ')];
      };
      const across = crossStops.map((stop) => [
        String(setup.number),
        '',
        'cross-slide',
        'stop',
        String(stop.place),
        length(stop.diameter),
        '',
        '',
        ...servedBy(stop.operations),
      ]);
      const along = pins.map((pin) => {
        return [
          String(setup.number),
          pin.letter,
          pin.axis,
          pin.means,
          pin.place === undefined ? '' : String(pin.place),
          length(pin.setting),
          (pin.spacers ?? []).map(length).join(' + '),
          pin.feeler === undefined ? '' : length(pin.feeler),
          ...servedBy(pin.operations),
        ];
      });
      return [...along, ...across];
    }),
  ]);
