import { stopsRail } from './StopsLane';

test('few pins stand side by side, many with their words upright in a higher lane', () => {
  expect(stopsRail(1, 904)).toMatchObject({ crowded: false, gap: 74 });
  // 904 − 208 is 696: twelve pins have 63 each, thirteen 58.
  expect(stopsRail(12, 904).crowded).toBe(false);
  const many = stopsRail(13, 904);
  expect(many.crowded).toBe(true);
  expect(many.height).toBeGreaterThan(stopsRail(12, 904).height);
  expect(many.gap * 12).toBeLessThanOrEqual(696);
});
