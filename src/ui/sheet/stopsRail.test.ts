import { blocksOf } from './StopsLane';
import type { Pin } from '@/core/plan/stops/planStops';
import { stopsRail } from './stopsRail';

const pins = (many: number) => ({ pins: Array.from({ length: many }, () => ({}) as Pin), crossStops: [] });

test('few pins stand side by side, many with their words upright in a higher lane', () => {
  expect(stopsRail(pins(1), 904)).toMatchObject({ crowded: false, gap: 74 });
  // 904 − 208 is 696: twelve pins have 63 each, thirteen 58.
  expect(stopsRail(pins(12), 904).crowded).toBe(false);
  const many = stopsRail(pins(13), 904);
  expect(many.crowded).toBe(true);
  expect(many.height).toBeGreaterThan(stopsRail(pins(12), 904).height);
  expect(many.gap * 12).toBeLessThanOrEqual(696);
});

test('what stops the cross-slide has a rail of its own below the others', () => {
  const stop = { place: 1, diameter: 12, operations: ['turn'], spread: 0.04 };
  const across = stopsRail({ ...pins(3), crossStops: [stop] }, 904);
  expect(across.height).toBeGreaterThan(stopsRail(pins(3), 904).height);
  expect(across.across).toBeGreaterThan(across.rail + 25);
});

test('blocks stand beside their pin, each as long as its share, the first next to it; a feeler alone has all the room', () => {
  // 10 and 5 over 36 px: 24 and 12, to the left from 100.
  expect(blocksOf({ spacers: [10, 5] }, 100, 36)).toEqual([
    { x: 76, width: 24 },
    { x: 64, width: 12 },
  ]);
  expect(blocksOf({ feeler: 0.1 }, 100, 30)).toEqual([{ x: 70, width: 30 }]);
  expect(blocksOf({}, 100, 36)).toEqual([]);
});
