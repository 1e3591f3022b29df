import fc from 'fast-check';
import { startValues } from '../../model/shop/startValues';
import { example, planned } from '../../testing';
import { economicSpeed, edgesOf, lifeAt } from './edgeLife';
import { costOfRun } from './runCost';

const carbide = { life: 20, exponent: 0.25, cost: 3.5, change: 1.5 };

test('Taylor: at the speed of the table 20 min, twice as fast a sixteenth of that', () => {
  expect(lifeAt(100, 100, carbide)).toBe(20);
  // (1/2)^(1/0.25) = 1/16.
  expect(lifeAt(200, 100, carbide)).toBeCloseTo(1.25, 9);
});

test('the speed that costs least: 3.5 at 45 an hour are 4.667 min, so an edge lasts 3 · 6.167 = 18.5', () => {
  // 100 · (20 / 18.5)^0.25 = 101.97.
  expect(economicSpeed(100, carbide, 45)).toBeCloseTo(101.968, 3);
});

test('no other speed makes a piece cheaper: minutes, changes and edges over a speed that varies', () => {
  // A cut of a length takes c/v minutes; of an edge it takes that by its life.
  const cost = (speed: number) => {
    const minutes = 1000 / speed;
    return (minutes * 45) / 60 + (minutes / lifeAt(speed, 100, carbide)) * (carbide.cost + (carbide.change * 45) / 60);
  };
  const best = cost(economicSpeed(100, carbide, 45));
  fc.assert(
    fc.property(fc.double({ min: 20, max: 400, noNaN: true }), (speed) => {
      expect(cost(speed)).toBeGreaterThanOrEqual(best - 1e-9);
    }),
  );
});

test('edges of a batch: minutes that each tool cuts by the minutes that it lasts, and twice the pieces take twice', () => {
  const plan = planned(example('sensor-spacer'));
  const used = edgesOf(plan);
  expect(used.length).toBeGreaterThan(2);
  for (const { tool, edges, money } of used) {
    const found = plan.setups.flatMap(({ operations }) => operations).filter((one) => one.tool.id === tool.id);
    const share = found.reduce((total, { cutting, achieved, kind }) => {
      const table = plan.run.shop.material.speed[tool.edge] * (startValues.cutting.speedFactor[kind] ?? 1);
      const { life, exponent } = startValues.edges[tool.edge];
      return total + cutting.value / (life * (table / achieved.value) ** (1 / exponent));
    }, 0);
    expect(edges.value).toBeCloseTo(share * plan.stock.toMake.value, 9);
    expect(money).toBeCloseTo(edges.value * startValues.edges[tool.edge].cost, 9);
  }
});

test('a piece of forty: bars, hours at 45, edges and an order of 12, less the offcut that goes back', () => {
  const plan = planned(example('pivot-pin'));
  const cost = costOfRun(plan);
  const { stock, times, run } = plan;
  const back = stock.leftOver.value >= startValues.allowances.offcutFrom ? stock.leftOver.value : 0;
  const material = stock.cost.material.value * (1 - back / (stock.bars.value * stock.barLength));
  expect(cost.material.value).toBeCloseTo(material, 9);
  expect(cost.labour.value).toBeCloseTo((times.batch.value * 45) / 60, 9);
  expect(cost.batch.value).toBeCloseTo(
    material + (times.batch.value * 45) / 60 + cost.edges.value + stock.cost.order.value,
    9,
  );
  expect(cost.piece.value).toBeCloseTo(cost.batch.value / run.quantity, 9);
});
