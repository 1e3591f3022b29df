import { settingOf } from '../ask/runsThatShare';
import { learnedGroups, learnedPiece, runsFor, type LearnedRun } from '../lathe/learnFrom';
import { stepsOf } from '../lathe/steps';
import type { Shop, Spread } from '../model/shop/shop';
import { planFile, type Plan } from '../plan/plan';
import type { RunFile } from '../read/runFile';
import type { RunOnLathe } from './fromRuns';

/** How far pieces may be off when it is not learned: each part of their minutes as the shop has it for its kind. */
function plannedSpread({ times, run }: Plan): Spread {
  const { cutting, hand } = run.shop.spreads;
  const whole = times.cutting.value + times.hand.value;
  const share = whole > 0 ? times.cutting.value / whole : 0;
  const mix = (of: 'down' | 'up') => share * cutting[of] + (1 - share) * hand[of];
  return { down: mix('down'), up: mix('up') };
}

/** What the pieces of a plan take a piece, and by how much that may be off; of runs that were made where there are some. */
function pieceOf(plan: Plan, learned: readonly LearnedRun[]): { minutes: number; off: Spread; learned: boolean } {
  const { runs } = runsFor(plan.run.shop.machine.id, learned);
  if (runs.length === 0) return { minutes: plan.times.piece.value, off: plannedSpread(plan), learned: false };
  const groups = learnedGroups(
    plan,
    runs.map(({ says }) => says),
  );
  const { planned, expected, p10, p90 } = learnedPiece(plan, groups);
  // A triangle from nought to nought of its chance: a tenth of it lies beyond P90.
  const far = (p: number) => Math.abs(p / expected - 1) / (1 - Math.sqrt(0.2));
  return {
    minutes: plan.times.piece.value * (expected / planned),
    off: { down: Math.min(0.9, far(p10)), up: far(p90) },
    learned: true,
  };
}

function onLathe(plan: Plan, lathe: string, learned: readonly LearnedRun[]): RunOnLathe {
  const { times, setups, stock, run } = plan;
  const piece = pieceOf(plan, learned);
  const pieces = stock.toMake.value;
  const setting = settingOf(plan);
  const ratio = times.piece.value > 0 ? piece.minutes / times.piece.value : 1;
  const beside = times.batch.value - times.setup.value - run.quantity * times.piece.value;
  return {
    lathe,
    ready: times.setup.value,
    work: Math.max(0, beside) + run.quantity * piece.minutes,
    steps: pieces * stepsOf(plan).reduce((count, steps) => count + steps.length, 0),
    ...(setting ? { setting } : {}),
    off: { setup: run.shop.spreads.setup, pieces: piece.off },
    learned: piece.learned,
    setups: setups.map(({ setup, setting: setUp, loading, operations }) => ({
      words: `${setup.holding.words}, from the ${setup.end}`,
      ready: setUp.value,
      piece:
        ratio *
        (1 + run.shop.timeAllowance) *
        operations.reduce((sum, { cutting, hand }) => sum + cutting.value + hand.value, loading.value),
    })),
  };
}

/** A run as each lathe of the shop would make it: minutes, how the lathe is set up for it, or why it cannot. */
export const runOnLathes = (file: RunFile, shop: Shop, learned: readonly LearnedRun[]): RunOnLathe[] =>
  shop.machines.map(({ id }) => {
    const plan = planFile({ ...file, machine: id }, shop, 'wanted');
    return plan.ok
      ? onLathe(plan.value, id, learned)
      : { lathe: id, problem: plan.problems[0]?.message ?? 'it cannot be planned' };
  });
