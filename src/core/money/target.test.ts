import { planned, runOf, step } from '../testing';
import { costOfRun } from './runCost';
import { wantedFor } from './target';

const plan = planned(runOf({ outside: [step('12 h8', 14), step(20, 14)] }, { quantity: 60, way: 'from-bar' }));
const cost = costOfRun(plan);

test('a price that is met says by how much', () => {
  expect(wantedFor(cost.piece.value + 1, plan, cost)).toEqual([expect.stringContaining('1.00 less')]);
});

test('thirty cents less: 0.4 minutes of a piece at 45 an hour, or so many more pieces', () => {
  const price = cost.piece.value - 0.3;
  const [piece, , quantity] = wantedFor(price, plan, cost);
  expect(piece).toContain(`${(plan.times.piece.value - 0.4).toFixed(1)} min instead of`);
  // What is paid once, by what a piece may still cost of it.
  const once = cost.setupShare.value * 60;
  const each = cost.piece.value - cost.setupShare.value;
  expect(quantity).toContain(`${Math.ceil(once / (price - each))} pieces instead of 60`);
});

test('a price below what every piece costs by itself is not met by any quantity', () => {
  expect(wantedFor(0.01, plan, cost).join(' ')).toMatch(/no piece is quick enough.*no quantity is large enough/);
});
