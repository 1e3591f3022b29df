import { nextCut } from '../lathe/nextCut';
import { measuredFor } from '../lathe/steps';
import { startLathe } from '../model/shop/latheValues';
import type { PlannedSetup, TimedOperation } from '../plan/times/planTimes';
import { example, planned, runOf, step } from '../testing';
import { correctionOf, nextView } from './nextCut';

/** Where ⌀10 h8 is finished in a run, its set-up, and what is known of the size. */
function finished() {
  const plan = planned(runOf({ outside: [step('10 h8', 20), step(16, 10)] }));
  for (const setup of plan.setups)
    for (const operation of setup.operations)
      for (const check of operation.checks)
        if (check.measures === 'outside' && check.size?.fit === 'h8') return at(setup, operation, check);
  throw new Error('no operation makes it');
}
function at(setup: PlannedSetup, operation: TimedOperation, check: TimedOperation['checks'][number]) {
  const measured = measuredFor(setup, operation, check);
  if (!measured) throw new Error('nothing is known of it');
  return { setup, operation, measured };
}

test('limits and aim are those of the drawing: 10 h8 is 9.978 to 10, cut by an edge that takes no less than it may', () => {
  const { measured } = finished();
  expect(measured.limits.lower).toBeCloseTo(9.978, 3);
  expect(measured.limits.upper).toBeCloseTo(10, 3);
  expect(measured.limits.target).toBeCloseTo(9.989, 3);
  expect(measured.grows).toBe(false);
});

test('a cut is told by what this machine shows, and opens with its reasons', () => {
  const { setup, measured } = finished();
  const next = nextCut({ ...measured, readings: [10.4] }, startLathe);
  const view = nextView(next, setup, measured);
  expect(view.kind).toBe('cut');
  expect(view.what).toBe('Cut, 2 passes');
  expect(view.passes.at(-1)?.to).toBe('9.989');
  expect(view.because[0]).toBe('Aim at 9.989.');
});

test('each outcome has its words', () => {
  const { setup, measured } = finished();
  const whatOf = (reading: number) =>
    nextView(nextCut({ ...measured, readings: [reading] }, startLathe), setup, measured).what;
  expect([whatOf(9.99), whatOf(9.95), whatOf(10.01)]).toEqual(['Leave it', 'Beyond its limit', 'Too little to cut']);
});

test('a length is put right at its stop, which says what stops there as well', () => {
  const plan = planned(example('sensor-spacer'));
  const setups = plan.setups.flatMap((setup) =>
    setup.pins
      .filter(({ axis, operations }) => axis !== 'quill' && operations.length > 1)
      .map((pin) => ({ setup, pin })),
  );
  const [{ setup, pin: shared } = { setup: undefined, pin: undefined }] = setups;
  const operation = setup?.operations.find(({ key }) => shared?.operations.includes(key));
  if (!setup || !operation) throw new Error('no stop serves two operations');
  const length = { grows: true, perSide: false };
  const correction = correctionOf(setup, operation, length, 0.05);
  expect(correction?.place).toBe(`stop ${setup.setup.number}${shared?.letter}`);
  expect(correction?.words).toMatch(/: 0\.050 back$/);
  expect(correction?.also.length).toBe((shared?.operations.length ?? 0) - 1);
  // A face that is too far out is cut further in.
  expect(correctionOf(setup, operation, { grows: false, perSide: false }, 0.05)?.words).toMatch(/further in$/);
});

test('a diameter is put right at the zero of its tool', () => {
  const { setup, operation, measured } = finished();
  const correction = correctionOf(setup, operation, measured, 0.012);
  expect(correction).toMatchObject({ place: `zero of ${operation.tool.name}`, by: -0.012 });
  expect(correction?.words).toMatch(/0\.012 smaller on the ⌀$/);
  expect(correctionOf(setup, operation, measured, 0)).toBeUndefined();
});
