import type { FamilyStops } from '@/core/ask/familyStops';
import { formatLength } from '@/core/model/units/length';
import { sayMinutes } from '@/core/model/units/show';
import type { Plan } from '@/core/plan/plan';
import { pinWords } from '@/core/present/stop';

/** One set of stops for several runs, for people. */
export function describeFamily(plans: readonly Plan[], { apart, together, gap, setups }: FamilyStops): string {
  return [
    `One set of stops for ${plans.map(({ run }) => run.part.number).join(', ')}, each set-up made for all of them before the next`,
    `${sayMinutes(together)} over all batches${gap > 0.05 ? `, at most ${sayMinutes(gap)} over the least` : ''}; set anew for each run ${sayMinutes(apart)}`,
    ...setups.flatMap(({ number, readied, pins }) => [
      '',
      `Set-up ${number}: ${readied.map(({ name }) => name).join(', ')}`,
      ...plans.flatMap(({ run: { part, units } }, run) =>
        (pins[run] ?? []).map(
          (pin) =>
            `  ${part.number.padEnd(14)} ${pin.letter.padEnd(3)}${formatLength(pin.setting, units, true).padStart(9)}  ${pinWords(pin, units)}`,
        ),
      ),
    ]),
  ].join('\n');
}

/** The same as data; lengths in mm. */
export const familyData = (plans: readonly Plan[], { apart, together, gap, setups, overrules }: FamilyStops) => ({
  apart,
  together,
  gap,
  setups: setups.map(({ number, pins }) => ({
    number,
    runs: plans.map(({ run }, index) => ({
      part: run.part.number,
      stops: (pins[index] ?? []).map(({ letter, means, place, setting, spacers, feeler }) => ({
        letter,
        means,
        place,
        setting,
        spacers,
        feeler,
      })),
    })),
  })),
  overrules: plans.map(({ run }, index) => ({ part: run.part.number, overrules: overrules[index] ?? [] })),
});
