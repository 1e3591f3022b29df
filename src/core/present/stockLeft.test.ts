import { planned, runOf, step } from '../testing';
import { stockBeyond } from './stockLeft';

describe('stockBeyond', () => {
  // Ten and one spare from the bar: nothing is told while the spare covers what is scrap.
  const plan = planned(runOf({ outside: [step(12, 30)] }, { quantity: 10, way: 'from-bar' }));
  const [toMake, perBar, each] = [plan.stock.toMake.value, plan.stock.piecesPerBar.value, plan.stock.each.value];

  it('says nothing while the spares cover what is scrap', () => {
    expect(stockBeyond(plan, { toMake })).toBeUndefined();
  });

  it('says the length of what is more, within the bars as long as they have it', () => {
    expect(toMake + 2).toBeLessThan(perBar);
    expect(stockBeyond(plan, { toMake: toMake + 2 })).toBe(
      `2 pieces more than the stock was reckoned for: ${(2 * each).toFixed(2)} mm more, within its bars`,
    );
  });

  it('asks for another bar where they have not', () => {
    const bars = plan.stock.bars.value;
    expect(stockBeyond(plan, { toMake: bars * perBar + 1 })).toMatch(/mm more, and 1 bar more$/);
  });
});
