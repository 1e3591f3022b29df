import { doubtsOf, only, planned, problemsOf, runOf, step } from '../../testing';
import type { HoleFile, RunFile } from '../../read/runFile';

/** A ring of ⌀50 by 12 with a hole of ⌀32, its mouth chamfered. */
const ring = (mouth: number, more: Partial<Extract<HoleFile, { shape: 'countersink' }>> = {}): RunFile =>
  runOf(
    {
      outside: [step(50, 12)],
      bores: [
        { from: 'front', shape: 'bore', diameter: 32, depth: 'through' },
        { from: 'front', shape: 'countersink', mouth, ...more },
      ],
    },
    { quantity: 4 },
  );

test('a mouth wider than every countersink is chamfered by the tool for corners, its point in the hole', () => {
  // 0.6 a side at 45°; the point stands 0.5 within the hole of ⌀32, at 16 − 0.5 = 15.5, and 33.2 / 2 − 15.5 = 1.1 deep.
  const operation = only(ring(33.2), 'countersink');
  expect(operation).toMatchObject({
    tool: { id: 'chamfer-45' },
    stop: { means: 'carriage' },
    to: expect.closeTo(1.1, 9),
  });
  const [pass] = operation.passes;
  expect(pass?.path.map(({ z, r }) => [Number(z.toFixed(6)), r])).toEqual([
    [-2, 15.5],
    [1.1, 15.5],
    [-2, 15.5],
  ]);
  expect(planned(ring(33.2)).proof.faults).toEqual([]);
});

test('a narrow one is sunk from the tailstock as before', () => {
  const sunk = runOf({
    outside: [step(30, 12)],
    bores: [
      { from: 'front', shape: 'drill', diameter: 10, depth: 'through' },
      { from: 'front', shape: 'countersink', mouth: 11 },
    ],
  });
  expect(only(sunk, 'countersink')).toMatchObject({ tool: { mount: 'tailstock' }, stop: { means: 'quill' } });
});

test('longer than the edge of the tool, or of an angle that none has, it is left and told', () => {
  // A chamfer of 5 a side is 7.8 along the edge with what stands within the hole; the edge is 5.
  expect(doubtsOf(ring(42))).toContain('NO-OPERATION part.bores[1]');
  expect(doubtsOf(ring(33.2, { included: 100 }))).toContain('NO-OPERATION part.bores[1]');
});

test('deeper to its point than the part is long, it may be where the hole is that wide, and not else', () => {
  expect(planned(ring(33.2)).doubts.map(({ rule }) => rule)).not.toContain('NO-OPERATION');
  const solid = runOf({ outside: [step(50, 12)], bores: [{ from: 'front', shape: 'countersink', mouth: 33.2 }] });
  expect(problemsOf(solid)).toContainEqual({
    path: 'part.bores[0].mouth',
    message: expect.stringContaining('deeper than the part is long'),
  });
});
