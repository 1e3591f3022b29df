import { planned, runOf, step } from '../testing';
import { costOfRun } from '../plan/cost/runCost';
import { reallyCost } from './really';

describe('reallyCost', () => {
  const plan = planned(runOf({ outside: [step(12, 30)] }, { quantity: 10, way: 'from-bar' }));
  const { material, edges, order, batch } = costOfRun(plan);
  const { machineHour } = plan.run.shop.rates;
  const { value: stocked } = plan.stock.toMake;

  it('is the minutes that were pressed at the rate of an hour, and the rest as it was reckoned', () => {
    // Two hours for all ten: two rates, and material, edges and ordering as planned.
    const cost = reallyCost(plan, 120, { good: 10, toMake: 10, at: undefined });
    expect(cost.batch.really).toBeCloseTo(2 * machineHour + material.value + edges.value + order.value, 9);
    expect(cost.batch.reckoned).toBeCloseTo(batch.value, 9);
    expect(cost.piece?.really).toBeCloseTo(cost.batch.really / 10, 9);
    expect([cost.isWhole, cost.paid, cost.earned]).toEqual([true, undefined, undefined]);
  });

  it('has the stock of what took the place of scrap beyond the spares', () => {
    const really = (toMake: number) =>
      reallyCost(plan, 0, { good: 10, toMake, at: undefined }).shares.find(({ name }) => name === 'material')?.really;
    expect(really(stocked)).toBeCloseTo(material.value, 9);
    expect(really(2 * stocked)).toBeCloseTo(2 * material.value, 9);
  });

  it('sets beside it what the good pieces are paid with, of those that were ordered', () => {
    const accepted = { quantity: 10, each: 5, on: '2026-11-30' };
    const at = { piece: 9, setup: 1, operation: 'face' };
    expect(reallyCost(plan, 60, { good: 8, toMake: 10, at }, accepted)).toMatchObject({ paid: 40, isWhole: false });
    const whole = reallyCost(plan, 60, { good: 11, toMake: 11, at: undefined }, accepted);
    expect(whole.paid).toBe(50);
    expect(whole.earned).toBeCloseTo(50 - whole.batch.really, 9);
  });

  it('says nothing of a piece before one is good', () => {
    const at = { piece: 1, setup: 1, operation: 'face' };
    expect(reallyCost(plan, 60, { good: 0, toMake: 10, at }).piece).toBeUndefined();
  });
});
