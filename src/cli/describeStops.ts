import { nextBestStops, oneMore, orderSavesAtMost } from '@/core/ask/stopsAsked';
import { sayMinutes } from '@/core/model/units/show';
import { formatLength } from '@/core/model/units/length';
import type { NextBest } from '@/core/plan/stops/nextBest';
import type { PlannedSetup } from '@/core/plan/times/planTimes';
import type { Plan } from '@/core/plan/plan';
import { settingSheet } from '@/core/present/settingSheet';
import { sayCrossStop } from '@/core/present/operation';
import { otherWords, pinWords } from '@/core/present/stop';

/** How the machine is set for a set-up, a line a step. */
export const describeSetting = (planned: PlannedSetup): string[] =>
  settingSheet(planned).map(({ step, tool, what, over, text }) =>
    [`  ${String(step).padStart(2)}`, ...(tool ? [`${tool}:`] : []), what, text, ...(over ? [`over ${over}`] : [])]
      .filter((word) => word !== undefined)
      .join(' '),
  );

/** By what each place is come to, how closely that repeats, and what would be next best. */
const describePins = ({ pins, crossStops, setup }: PlannedSetup, next: ReadonlyMap<string, NextBest>): string[] => {
  const { units } = setup.run;
  const across = crossStops.map(
    (stop) =>
      `     ${`⌀${formatLength(stop.diameter, units, true)}`.padStart(9)}  ${sayCrossStop(stop)}, ±${formatLength(stop.spread / 2, units, true)} on the diameter`,
  );
  const along = pins.map((pin) => {
    const other = next.get(pin.operations[0] ?? '');
    const instead = other
      ? `; next best ${otherWords(other.means, pin.axis, other.with, units)}, ${sayMinutes(other.minutes)} more`
      : '';
    return `  ${pin.letter.padEnd(3)}${formatLength(pin.setting, units, true).padStart(9)}  ${pinWords(pin, units)}, ±${formatLength(pin.spread / 2, units, true)}${instead}`;
  });
  return [...along, ...across];
};

/** The setting sheet of a run alone, with why each stop is what it is and what one more would save. */
export function describeStops({ setups, run }: Plan): string {
  const next = nextBestStops(setups);
  return [
    `${run.part.number} ${run.part.name}, setting sheet for ${run.shop.machine.name}; lengths in ${run.units} from the face, towards the chuck`,
    ...setups.flatMap((planned) => [
      '',
      `Set-up ${planned.setup.number}`,
      ...describeSetting(planned),
      '  Stops, and what would be next best over the batch:',
      ...describePins(planned, next),
    ]),
    `\nAnother order of the operations could save at most ${sayMinutes(orderSavesAtMost(setups))} of the batch on stops.`,
    ...oneMore(setups).map(({ what, saves }) => `\nOne ${what} more would save ${sayMinutes(saves)} of this batch.`),
  ].join('\n');
}
