import { startValues } from '../model/shop/startValues';
import type { Shop } from '../model/shop/shop';
import { example, planned } from '../testing';
import { costOfRun } from './cost/runCost';

/** A shop that takes the cheaper of two good routes. */
const cheaper: Shop = { ...startValues, houseRules: { ...startValues.houseRules, worth: 'money' } };

test.each(['parts/06-flanged-bush.awkward'])(
  '%s: the quicker route costs more, and the house says which of the two is taken',
  (name) => {
    const [quick, cheap] = [startValues, cheaper].map((shop) => planned(example(name), shop, {}));
    if (!quick || !cheap) throw new Error('both are planned');
    expect(quick.times.batch.value).toBeLessThan(cheap.times.batch.value);
    expect(costOfRun(quick).batch.value).toBeGreaterThan(costOfRun(cheap).batch.value);
    expect(cheap.route.runnersUp.map(({ because }) => because)).toContain('dearer');
  },
);

test('in minutes a route is worth its batch and its risks; in money what it costs at the price of an hour, and its risks', () => {
  const file = example('mast-collar');
  const quick = planned(file, startValues, {});
  const weighed = quick.risks.reduce((sum, { minutes }) => sum + minutes, 0);
  expect(quick.worth).toBeCloseTo(quick.times.batch.value + quick.run.quantity * weighed, 9);
  const cheap = planned(file, cheaper, {});
  const minutes = (60 * costOfRun(cheap).batch.value) / cheaper.rates.machineHour;
  const risks = cheap.risks.reduce((sum, risk) => sum + risk.minutes, 0);
  expect(cheap.worth).toBeCloseTo(minutes + cheap.run.quantity * risks, 9);
});
