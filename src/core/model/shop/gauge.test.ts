import type { Gauge } from './shop';
import { gaugeFor } from './gauge';

const gauge = (name: string, repeats: number, minutes: number, more: Partial<Gauge> = {}): Gauge => ({
  name,
  repeats,
  minutes,
  measures: ['outside'],
  ...more,
});
const size = (nominal: number, width: number) => ({
  nominal,
  lower: -width,
  upper: 0,
  aim: nominal - width / 2,
  from: 'limits' as const,
});
const gauges = [gauge('caliper', 0.03, 0.15), gauge('micrometer', 0.005, 0.3, { from: 0, upTo: 25 })];
const chosen = (nominal: number, width: number) =>
  gaugeFor({ what: '', measures: 'outside', size: size(nominal, width) }, gauges);

test('the quickest that repeats to a fifth; one that does not reach the size is not asked', () => {
  // A fifth of 0.2 is 0.04: the caliper. Of 0.05 it is 0.01: the micrometer, up to 25.
  expect(chosen(20, 0.2)).toMatchObject({ name: 'caliper', fineEnough: true });
  expect(chosen(20, 0.05)).toMatchObject({ name: 'micrometer', fineEnough: true });
  expect(chosen(30, 0.05)).toMatchObject({ name: 'caliper', fineEnough: false });
  expect(gaugeFor({ what: '', measures: 'inside', size: size(20, 0.1) }, gauges)).toBeUndefined();
});
