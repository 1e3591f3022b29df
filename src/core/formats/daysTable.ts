import type { DaysAnswer } from '../schedule/answer';
import { clockOf, dayAfter, type DaysFile } from '../schedule/days';
import { partNamed } from '../schedule/fromRuns';
import type { RunToMake } from '../schedule/runToMake';
import { DAY } from '../schedule/hours';
import { sayPart } from '../schedule/parts';
import { figure, type Cell } from './table';

const HEAD = ['lathe', 'number', 'name', 'part', 'quantity', 'from', 'until', 'delivered', 'promised', 'kept_of_100'];

/** A moment as tables have it: 2026-12-04 07:30. @param at minutes from the midnight that `today` began with */
function momentOf(today: string, at: number): string {
  if (at === Infinity) return '';
  return `${dayAfter(today, Math.floor(Math.round(at) / DAY))} ${clockOf(Math.round(at) % DAY)}`;
}

/** The order of the days, a row a run or part of one, lathe by lathe (docs/run-file.md). @param nameOf a lathe by its id */
export const daysTable = (
  { placed, promised }: Pick<DaysAnswer, 'placed' | 'promised'>,
  runs: readonly RunToMake[],
  days: DaysFile,
  today: string,
  nameOf: (lathe: string) => string,
): Cell[][] => [
  HEAD,
  ...placed
    .toSorted((a, b) => nameOf(a.lathe).localeCompare(nameOf(b.lathe)) || a.start - b.start)
    .map(({ job, run: of, lathe, start, made, delivered }): Cell[] => {
      const { run, part } = partNamed(job, runs, days) ?? {};
      const kept = run?.due ? promised.find((one) => one.run === of)?.kept : undefined;
      return [
        nameOf(lathe),
        run?.number ?? '',
        run?.name ?? '',
        run && part ? sayPart(part, run.quantity) : '',
        figure(run?.quantity),
        momentOf(today, start),
        momentOf(today, made),
        momentOf(today, delivered).slice(0, 10),
        run?.due ?? '',
        figure(kept === undefined ? undefined : 100 * kept, 0),
      ];
    }),
];
