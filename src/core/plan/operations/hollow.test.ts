import { only, planned, runOf, step } from '../../testing';

const hollow = (radius: number, depth: number) =>
  runOf({ outside: [step(20, 40)], details: [{ kind: 'hollow', at: 15, radius, depth }] }, { way: 'from-bar' });

test('by a nose of its radius, by hand: R3, 1.5 deep, stops with the tool’s own edge at 15 + 3, at the true bottom of ⌀17', () => {
  const form = only(hollow(3, 1.5), 'form');
  // On the surface the form ends at 15 + √(3² − 1.5²) = 17.598: there the tool has no edge.
  expect(form.to).toBeCloseTo(17.598, 3);
  expect(form.stop.settings[0]?.setting.value).toBeCloseTo(18, 9);
  expect(form.passes.at(-1)).toMatchObject({ diameter: 17, z: 18 });
  expect(planned(hollow(3, 1.5)).proof.faults).toEqual([]);
});

test('without such a nose it is walked: R8, 1 deep, by a nose of 0.4 that touches the arc and cuts nowhere beside it', () => {
  const form = only(hollow(8, 1), 'form');
  const [first] = form.passes;
  // On the surface ±√(8² − 7²) = 3.873 from 15; there the nose stands 7.6 · 3.873 / 8 before the middle, and its edge 0.4 on:
  expect(first?.z).toBeCloseTo(15 - (7.6 * Math.sqrt(15)) / 8 + 0.4, 6);
  // 17 − 7.6 · 7 / 8 − 0.4 = 9.95 from the axis.
  expect(first?.diameter).toBeCloseTo(2 * 9.95, 6);
  const deepest = Math.min(...form.passes.flatMap(({ diameter = Infinity }) => [diameter]));
  expect(deepest).toBeGreaterThanOrEqual(18 - 1e-9);
  expect(form.passes.at(-1)?.note).toContain('with a file');
  expect(planned(hollow(8, 1)).proof.faults).toEqual([]);
});

test('too narrow for a round nose of the set, it is walked as well, and proved', () => {
  expect(planned(hollow(2.2, 1.2)).proof.faults).toEqual([]);
});
