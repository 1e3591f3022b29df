import { settingOf } from '../ask/runsThatShare';
import { learnedGroups, learnedPiece, runsFor, type LearnedRun } from '../lathe/learnFrom';
import { stepsOf, type LatheStep } from '../lathe/steps';
import type { Shop, Spread } from '../model/shop/shop';
import { planFile, type Plan } from '../plan/plan';
import { neededFor } from '../present/toGet';
import type { RunFile } from '../read/runFile';
import type { MadeOn, RunOnLathe, SetupOn } from './runToMake';

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

/** What a step takes a piece, minutes. */
const minutesOf = ({ planned, operation }: LatheStep): number =>
  operation ? operation.cutting.value + operation.hand.value : planned.loading.value;

/** One set-up of a run on a lathe. @param ratio what its minutes are of those that are planned */
function setupOn(plan: Plan, index: number, steps: readonly LatheStep[], ratio: number): SetupOn {
  const planned = plan.setups[index] as Plan['setups'][number];
  const { holding, end } = planned.setup;
  const setting = settingOf({ run: plan.run, setups: [planned] });
  const total = steps.reduce((sum, step) => sum + minutesOf(step), 0);
  return {
    number: index + 1,
    words: `${holding.words}, from the ${end}`,
    ready: planned.setting.value,
    piece: ratio * (1 + plan.run.shop.timeAllowance) * total,
    steps: Object.fromEntries(steps.map((step) => [step.key, minutesOf(step)])),
    makes: [
      ...new Set(planned.operations.flatMap(({ feature, makes = [] }) => [...makes, ...(feature ? [feature] : [])])),
    ],
    ...(setting ? { setting } : {}),
  };
}

function onLathe(plan: Plan, lathe: string, learned: readonly LearnedRun[]): MadeOn {
  const { times, stock, run } = plan;
  const piece = pieceOf(plan, learned);
  const setting = settingOf(plan);
  const ratio = times.piece.value > 0 ? piece.minutes / times.piece.value : 1;
  const beside = times.batch.value - times.setup.value - run.quantity * times.piece.value;
  return {
    lathe,
    ready: times.setup.value,
    work: Math.max(0, beside) + run.quantity * piece.minutes,
    pieces: stock.toMake.value,
    perBar: stock.piecesPerBar.value,
    toGet: [...new Set(neededFor(plan).map(({ what }) => what))],
    ...(setting ? { setting } : {}),
    off: { setup: run.shop.spreads.setup, pieces: piece.off },
    learned: piece.learned,
    setups: stepsOf(plan).map((steps, index) => setupOn(plan, index, steps, ratio)),
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
