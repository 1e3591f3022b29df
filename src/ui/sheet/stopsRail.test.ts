import { blocksOf } from './StopsLane';
import { stopsRail } from './stopsRail';

test('few pins stand side by side, many with their words upright in a higher lane', () => {
  expect(stopsRail(1, 904)).toMatchObject({ crowded: false, gap: 74 });
  // 904 − 208 is 696: twelve pins have 63 each, thirteen 58.
  expect(stopsRail(12, 904).crowded).toBe(false);
  const many = stopsRail(13, 904);
  expect(many.crowded).toBe(true);
  expect(many.height).toBeGreaterThan(stopsRail(12, 904).height);
  expect(many.gap * 12).toBeLessThanOrEqual(696);
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
