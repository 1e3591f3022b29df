import { workTime } from '@/core/schedule/hours';
import { dayScale } from './dayScale';

/** Monday and Tuesday from 7 to 15, then two days of nothing. */
const time = workTime([
  { from: 420, to: 900 },
  { from: 1440 + 420, to: 1440 + 900 },
]);
const scale = dayScale([time], '2026-12-03', 4, 200, 2);

test('days with work share the room, and a night is as wide as nothing', () => {
  expect(scale.days.map(({ x, width }) => [x, width])).toEqual([
    [0, 100],
    [100, 100],
    [200, 14],
    [214, 14],
  ]);
  // Half of the hours from 7 to 15 are over at 11.
  expect(scale.x(660)).toBe(50);
  expect([scale.x(900), scale.x(1440 + 420), scale.x(0)]).toEqual([100, 100, 0]);
  expect(scale.x(Infinity)).toBe(228);
});

test('a place is the moment that is drawn there', () => {
  for (const at of [430, 660, 1440 + 500]) expect(scale.at(scale.x(at))).toBeCloseTo(at, 9);
});
