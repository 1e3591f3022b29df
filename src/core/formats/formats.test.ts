import { planFileOf } from './planFile';
import { chamfersOnSteps } from './chamfers';
import { exportedRun } from './writeRun';
import { example, planned, problemsOf, runOf, step } from '../testing';

const NAMES = ['sensor-spacer', 'vane-spindle', 'terminal-pillar', 'valve-needle-blank'];

test.each(NAMES)('%s plans the same with its chamfers on the steps, and after it was written out again', (name) => {
  const file = example(name);
  const lifted = chamfersOnSteps(file);
  expect(lifted.part.details).toEqual([]);
  const plain = planFileOf(planned(file));
  const figures = ({ stock, time, setups }: typeof plain) => ({
    stock,
    time,
    cuts: setups.map(({ operations }) => operations.map(({ kind, passes, stop }) => ({ kind, passes, stop }))),
  });
  expect(figures(planFileOf(planned(lifted)))).toEqual(figures(plain));
  const written = exportedRun(lifted);
  expect(written.part.outside.every((stepFile) => !('chamfers' in stepFile))).toBe(true);
  expect(planFileOf(planned(written)).time.batchMinutes).toBeCloseTo(plain.time.batchMinutes, 4);
});

test('a chamfer on a step moves with it', () => {
  const file = runOf({
    outside: [step(10, 12, { chamfers: { front: '0.5' } }), step(16, 8, { chamfers: { front: '', back: 0.5 } })],
  });
  const edges = () => planned(file).run.part.chamfers.map(({ z, end, size }) => [z, end, size]);
  expect(edges()).toEqual([
    [0, 'front', 0.5],
    [20, 'back', 0.5],
  ]);
  file.part.outside[0] = { ...file.part.outside[0], shape: 'cylinder', diameter: 10, length: 14 };
  expect(edges()).toEqual([
    [0, 'front', 0.5],
    [22, 'back', 0.5],
  ]);
});

test('a chamfer on a corner that its step does not have is refused where it was typed', () => {
  const outside = [step(10, 12, { chamfers: { back: '0.5' } }), step(16, 8)];
  expect(problemsOf(runOf({ outside }))).toEqual([
    { path: 'part.outside[0].chamfers.back', message: 'the corner at 12 mm faces the front, not the back' },
  ]);
  expect(problemsOf(runOf({ outside: [step(10, 12, { chamfers: { front: 'x' } })] }))[0]?.path).toBe(
    'part.outside[0].chamfers.front',
  );
  expect(problemsOf(runOf({ outside: [step(10, 12, { roughness: 'fine' })] }))[0]).toEqual({
    path: 'part.outside[0].roughness',
    message: expect.stringContaining('Ra in µm'),
  });
});

test('what cannot be read is written out as it was typed', () => {
  const file = runOf({ outside: [step('', '12 h7')] });
  expect(exportedRun(file).part.outside[0]).toMatchObject({ diameter: '', length: { size: '12', fit: 'h7' } });
  expect(chamfersOnSteps(file)).toBe(file);
});
