import type { DaysFile } from './days';

/** Five days a week with a break, from which a shop that has said nothing begins. */
const USUAL = '07:00-12:00 12:30-15:30';
const week = (day: string) => [...Array.from({ length: 5 }, () => day), '', ''];

/** Four of five, two hours, some pieces for a lathe that has to be looked after, and what an order of a tool takes. */
export const START_TRYING = { sureFrom: 0.8, overtime: 120, between: 5, toolDays: 3 };

/** Days to begin with: somebody at every lathe from Monday to Friday; to be put right by the shop. */
export const startDays = (lathes: readonly string[]): DaysFile => ({
  format: 'shingle-days/1',
  people: lathes.map((lathe, index) => ({
    name: `turner ${index + 1}`,
    hours: week(USUAL),
    away: [],
    stands: week(lathe),
  })),
  closed: [],
  service: [],
  runs: [],
  order: [],
  ...START_TRYING,
});
