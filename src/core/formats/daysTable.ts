import type { DaysAnswer } from '../schedule/answer';
import { dayAfter } from '../schedule/days';
import type { RunToMake } from '../schedule/fromRuns';
import { DAY } from '../schedule/hours';
import { figure, type Cell } from './table';

const HEAD = ['lathe', 'number', 'name', 'quantity', 'from', 'until', 'delivered', 'promised', 'kept_of_100'];

/** A moment as tables have it: 2026-12-04 07:30. @param at minutes from the midnight that `today` began with */
function momentOf(today: string, at: number): string {
  if (at === Infinity) return '';
  const minute = Math.round(at) % DAY;
  const two = (value: number) => String(value).padStart(2, '0');
  return `${dayAfter(today, Math.floor(Math.round(at) / DAY))} ${two(Math.floor(minute / 60))}:${two(minute % 60)}`;
}

/** The order of the days, a row a run, lathe by lathe (docs/run-file.md). @param nameOf a lathe by its id */
export const daysTable = (
  { placed, promised }: Pick<DaysAnswer, 'placed' | 'promised'>,
  runs: readonly Pick<RunToMake, 'id' | 'number' | 'name' | 'quantity' | 'due'>[],
  today: string,
  nameOf: (lathe: string) => string,
): Cell[][] => [
  HEAD,
  ...placed
    .toSorted((a, b) => nameOf(a.lathe).localeCompare(nameOf(b.lathe)) || a.start - b.start)
    .map(({ job, lathe, start, made, delivered }): Cell[] => {
      const run = runs.find(({ id }) => id === job);
      const kept = run?.due ? promised.find((one) => one.job === job)?.kept : undefined;
      return [
        nameOf(lathe),
        run?.number ?? '',
        run?.name ?? '',
        figure(run?.quantity),
        momentOf(today, start),
        momentOf(today, made),
        momentOf(today, delivered).slice(0, 10),
        run?.due ?? '',
        figure(kept === undefined ? undefined : 100 * kept, 0),
      ];
    }),
];
