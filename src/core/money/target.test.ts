import { planned, runOf, step } from '../testing';
import { costOfRun } from '../plan/cost/runCost';
import { wantedFor } from './target';

const plan = planned(runOf({ outside: [step('12 h8', 14), step(20, 14)] }, { quantity: 60, way: 'from-bar' }));
const cost = costOfRun(plan);

test('a price that is met says by how much', () => {
  expect(wantedFor(cost.piece.value + 1, plan, cost)).toEqual([expect.stringContaining('1.00 less')]);
});

test('a third of what is paid once less: so many minutes of a piece at 45 an hour, or half as many pieces more', () => {
  // Of what is paid once two thirds may stay: over 60 · 3 / 2 pieces.
  const less = cost.setupShare.value / 3;
  const price = cost.piece.value - less;
  const [piece, , quantity] = wantedFor(price, plan, cost);
  expect(piece).toContain(`${(plan.times.piece.value - (less * 60) / 45).toFixed(1)} min instead of`);
  expect(quantity).toContain('90 pieces instead of 60');
});

test('a price below what every piece costs by itself is not met by any quantity', () => {
  expect(wantedFor(0.01, plan, cost).join(' ')).toMatch(/no piece is quick enough.*no quantity is large enough/);
});
