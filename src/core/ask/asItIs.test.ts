import { planFile } from '../plan/plan';
import { startValues } from '../model/shop/startValues';
import { example, planned, plannedAsUsual, runOf, step } from '../testing';
import type { PieceFile, RunFile } from '../read/runFile';
import { runAsItIs, type CameTo } from './asItIs';

const asItIs = (file: RunFile, to: CameTo, quantity = 1) => {
  const run = runAsItIs(file, plannedAsUsual(file, 'sawn-blanks'), to, quantity);
  if (!run.ok) throw new Error(JSON.stringify(run.problems));
  return run.value;
};

/** ⌀20 × 12 before ⌀40 × 14, ⌀8 through, ⌀12 × 5 from the front. */
const FLANGE = runOf({
  outside: [step(20, 12), step(40, 14)],
  bores: [
    { from: 'front', shape: 'drill', diameter: 8, depth: 'through' },
    { from: 'front', shape: 'bore', diameter: 12, depth: 5, bottom: 'flat' },
  ],
});

test('in the middle of a set-up: what is turned and bored is there, what is not stands as the blank was', () => {
  const plan = plannedAsUsual(FLANGE, 'sawn-blanks');
  const first = plan.setups[0];
  if (!first || first.setup.end !== 'front') throw new Error('it is begun at the front');
  const bored = first.operations.find(({ kind, diameter }) => kind === 'bore' && diameter === 12);
  const spigot = first.operations.find(({ kind, feature }) => kind === 'turn-finish' && feature === 'part.outside[0]');
  if (!bored || !spigot) throw new Error('both are made from the front');
  const later = first.operations.indexOf(bored) > first.operations.indexOf(spigot) ? bored : spigot;
  const stock = asItIs(FLANGE, { planned: first, operation: later }).stock as PieceFile;
  expect(stock.ahead).toBe(0);
  expect(stock.outside[0]).toMatchObject({ shape: 'cylinder', diameter: 20, length: 12 });
  expect(stock.bores).toEqual([
    { from: 'front', shape: 'drill', diameter: 8, depth: 'through' },
    { from: 'front', shape: 'bore', diameter: 12, depth: 5, bottom: 'flat' },
  ]);
});

test('planned on, only what is left is made, and the proof holds', () => {
  const plan = plannedAsUsual(FLANGE, 'sawn-blanks');
  const [first] = plan.setups;
  if (!first) throw new Error('it has a set-up');
  const on = planned(asItIs(FLANGE, { planned: first, operation: first.operations.at(-1) as never }));
  expect(on.proof.faults).toEqual([]);
  const made = on.setups.flatMap(({ operations }) => operations.map(({ feature, kind }) => feature + kind));
  expect(made).not.toContain('part.outside[0]');
  expect(made.filter((feature) => feature.startsWith('part.bores'))).toEqual([]);
  expect(on.way).toBe('as-it-arrives');
});

test('seen from the back it is the same piece turned round', () => {
  const file = runOf({ outside: [step(20, 12), step(40, 14)] }, { firstEnd: 'back' });
  const plan = plannedAsUsual(file, 'sawn-blanks');
  const [first] = plan.setups;
  expect(first?.setup.end).toBe('back');
  const last = first?.operations.at(-1);
  const run = runAsItIs(file, plan, { planned: first as never, operation: last as never }, 1);
  const { outside } = (run.ok ? run.value.stock : undefined) as PieceFile;
  // The head is made; before it stands the blank, which is thicker than the journal.
  expect(outside.at(-1)).toMatchObject({ diameter: 40 });
});

test('a hole that is only drilled so far, with its point, is a drilled one', () => {
  const file = runOf({
    outside: [step(20, 30)],
    bores: [{ from: 'front', shape: 'bore', diameter: 10, depth: 15, bottom: 'flat' }],
  });
  const plan = plannedAsUsual(file, 'sawn-blanks');
  const first = plan.setups.find(({ operations }) => operations.some(({ kind }) => kind === 'drill'));
  const drill = first?.operations.find(({ kind }) => kind === 'drill');
  const { bores } = asItIs(file, { planned: first as never, operation: drill as never }).stock as PieceFile;
  expect(bores?.at(-1)).toMatchObject({ from: 'front', shape: 'drill', diameter: drill?.tool.diameter });
});

test('pieces of hexagonal bar cannot be told, and that is said', () => {
  const file = example('gland-body');
  const plan = planned(file);
  const run = runAsItIs(file, plan, { planned: plan.setups[0] as never }, 1);
  expect(run).toMatchObject({ ok: false, problems: [{ path: 'stock' }] });
});

test('after each operation of a plan it goes on, proved, or says why it does not', () => {
  const plan = plannedAsUsual(FLANGE, 'sawn-blanks');
  for (const setup of plan.setups)
    for (const operation of setup.operations) {
      const on = planFile(asItIs(FLANGE, { planned: setup, operation }), startValues, 'wanted', { until: 'sound' });
      if (on.ok) expect([operation.name, on.value.proof.faults]).toEqual([operation.name, []]);
      else expect(on.problems[0]?.message).toBeTruthy();
    }
});
