import { drawTrain } from './gearTrain';

test('a compound train: what meshes touches, what shares a stud has its centre, and all of it is as wide as was asked', () => {
  // In teeth: centres at 0, (20 + 60) / 2 = 40, and (30 + 50) / 2 = 40 on; from −10 to 80 + 25 = 105.
  const { wheels, width, height } = drawTrain(
    { drivers: [20, 30], driven: [60, 50], idlers: [], pitch: 1, error: 0 },
    230,
  );
  expect(width).toBe(230);
  // 230 / 115 = 2 px a tooth; the largest is 60.
  expect(height).toBe(120);
  expect(wheels.map(({ x, r, on }) => [x, r, on])).toEqual([
    [20, 20, 'spindle'],
    [100, 60, 'stud'],
    [100, 30, 'stud'],
    [180, 50, 'leadscrew'],
  ]);
});

test('an idler stands between', () => {
  const { wheels } = drawTrain({ drivers: [20], driven: [40], idlers: [30], pitch: 1, error: 0 }, 90);
  expect(wheels.map(({ x, on }) => [x, on])).toEqual([
    [10, 'spindle'],
    [35, 'idler'],
    [70, 'leadscrew'],
  ]);
});
