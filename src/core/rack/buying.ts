import { parseLength } from '../model/units/length';
import type { Material } from '../model/shop/material';
import { sectionKey, shortOf, type Section, type Shortage } from './rack';

/** What is to be bought of one section: so many bars of the length that it is sold in. Lengths mm. */
export interface ToBuy {
  section: Section;
  short: number;
  bars: number;
  /** Undefined where no list of the material sells it: then it is asked for by its length. */
  barLength: number | undefined;
  /** Runs that wait for it. */
  runs: number[];
}

/** The length that a section is sold in, by the lists of its material, mm. */
function barLengthOf({ material, form, condition }: Section, materials: readonly Material[]): number | undefined {
  const lists = materials.find(({ id }) => id === material)?.bars ?? [];
  const list =
    lists.find((one) => one.form === form && one.condition === condition) ?? lists.find((one) => one.form === form);
  const length = list && parseLength(list.barLength, list.units);
  return length?.ok ? length.value : undefined;
}

/** What is short as whole bars, the most wanted first. */
export const buyingList = (short: readonly Shortage[], materials: readonly Material[]): ToBuy[] =>
  [...short]
    .sort((a, b) => shortOf(b) - shortOf(a) || sectionKey(a.section).localeCompare(sectionKey(b.section)))
    .map((shortage): ToBuy => {
      const barLength = barLengthOf(shortage.section, materials);
      const wanted = shortOf(shortage);
      return {
        section: shortage.section,
        short: wanted,
        bars: barLength === undefined ? 0 : Math.ceil(wanted / barLength - 1e-9),
        barLength,
        runs: shortage.runs,
      };
    });
