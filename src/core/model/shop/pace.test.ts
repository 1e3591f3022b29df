import { planned, runOf, step } from '../../testing';
import type { Machine } from './machine';
import { startValues } from './startValues';

const lathe = startValues.machines[0] as Machine;
const at = (pace?: Machine['pace']) =>
  planned(
    runOf(
      { material: 'mild-steel', outside: [step('14 h8', 30), step(22, 10)] },
      { way: 'from-bar', quantity: 20, machine: { ...lathe, ...(pace ? { pace } : {}) } },
    ),
  );
const roughOf = (plan: ReturnType<typeof at>) => {
  const found = plan.setups[0]?.operations.find(({ kind }) => kind === 'turn-rough');
  if (!found) throw new Error('it is roughed');
  return found;
};

test('a careful machine takes half the depth, by hand: 3.757 a side in six of 0.626 where three of 1.252 are usual', () => {
  expect(roughOf(at()).passes.map(({ depth }) => depth.toFixed(3))).toEqual(['1.252', '1.252', '1.252']);
  const careful = roughOf(at('careful')).passes;
  expect(careful.length).toBeGreaterThanOrEqual(6);
  expect(Math.max(...careful.map(({ depth }) => depth))).toBeLessThanOrEqual(0.75);
});

test('what is done by hand takes a quarter longer there, and 0.85 of it on a brisk one', () => {
  const [usual, careful, brisk] = [at('usual'), at('careful'), at('brisk')];
  const pull = (plan: ReturnType<typeof at>) => plan.setups[0]?.loading.terms[0]?.value ?? 0;
  expect(pull(careful)).toBeCloseTo(1.25 * pull(usual), 9);
  expect(pull(brisk)).toBeCloseTo(0.85 * pull(usual), 9);
  expect(careful.times.piece.value).toBeGreaterThan(usual.times.piece.value);
  expect(brisk.times.piece.value).toBeLessThan(usual.times.piece.value);
  expect(usual.times).toEqual(at().times);
});
