import type { OfRun } from './logDays';
import { logDays } from './logDays';

let seq = 0;
const happened = (at: string, run: number, more: object): OfRun =>
  ({ id: `e${(seq += 1)}`, device: 'a', seq, at, revision: 1, run, ...more }) as OfRun;

test('a day of the shop: run after run, steps and pieces by number, what is not usual in words', () => {
  const days = logDays([
    happened('2026-11-26T08:00:00', 7, { kind: 'done', piece: 1, operation: 'face:front' }),
    happened('2026-11-26T08:10:00', 7, { kind: 'done', piece: 2, operation: 'face:front' }),
    happened('2026-11-26T08:20:00', 7, { kind: 'scrap', piece: 2, reason: 'dropped' }),
    happened('2026-11-26T09:00:00', 8, {
      kind: 'sign',
      piece: 1,
      operation: 'turn-finish:part.outside[0]',
      sign: 'chatter',
    }),
    happened('2026-11-27T07:00:00', 7, { kind: 'note', text: 'new coolant' }),
  ]);
  expect(days.map(({ day }) => day)).toEqual(['2026-11-27', '2026-11-26']);
  const [, before] = days;
  expect(before?.runs.map(({ run, steps, pieces }) => [run, steps, pieces])).toEqual([
    [8, 0, 0],
    [7, 2, 2],
  ]);
  expect(before?.runs[1]?.happened.map(({ words }) => words)).toEqual(['scrap, dropped']);
  expect(before?.runs[0]?.happened[0]?.words).toBe('turn finish: it chatters');
});
