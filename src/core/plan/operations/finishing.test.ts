import { operationsOf, runOf } from '../../testing';
import type { RunFile } from '../../read/runFile';

const cylinder = (diameter: number | string, length: number) => ({ shape: 'cylinder' as const, diameter, length });
const cone = (from: number, to: number, length: number) => ({ shape: 'cone' as const, from, to, length });

/** The finishing cuts of a run: on which diameter, and from where to where. */
const finishesOf = (file: RunFile) =>
  operationsOf(file)
    .filter(({ kind }) => kind === 'turn-finish')
    .map(({ diameter, from, to }) => [diameter, to - from].map((value) => Number(value?.toFixed(3))));

describe('what is finished', () => {
  test('both flanges of a spool in one cut, over the recess between them', () => {
    // 4 + 20 + 4, and 0.3 more behind for the blade that parts it off, and as much before its face as that leaves.
    const [only, ...others] = finishesOf(runOf({ outside: [cylinder(25, 4), cylinder(12, 20), cylinder(25, 4)] }));
    expect(others).toEqual([]);
    expect(only?.[0]).toBe(25);
    expect(only?.[1]).toBeGreaterThanOrEqual(28);
  });

  test('a gauge and the neck behind it in one cut, as close and as smooth as the gauge; its size is measured once', () => {
    // The neck is cut from a cylinder of the gauge's own size: 18 + 6 along, up to the shoulder of ⌀12.
    const gauge = { ...cylinder('10 h7', 18), roughness: 0.2, name: 'gauge' };
    const file = runOf({ outside: [gauge, cylinder(8, 6), cylinder(12, 50)] }, { firstEnd: 'front' });
    const [cut, ...others] = operationsOf(file).filter(({ kind }) => kind === 'turn-finish');
    expect(others).toEqual([]);
    expect(cut).toMatchObject({ name: 'Finish ⌀10 h7, gauge', to: 24, roughness: 0.2 });
    expect(cut?.checks.filter(({ measures }) => measures === 'outside').map(({ what }) => what)).toEqual(['⌀10']);
    // Smoother than turning leaves it: polished, and what is cut away is not.
    expect(operationsOf(file).filter(({ kind }) => kind === 'polish')).toMatchObject([{ feature: 'part.outside[0]' }]);
  });

  test('the larger first, but of steps closer than roughing leaves: through the smaller the tool would come in', () => {
    // Roughed, ⌀10 stands 0.25 a side over it: to ⌀10.5, under ⌀12 and over ⌀10.3.
    const orderOf = (large: number) =>
      finishesOf(runOf({ outside: [cylinder(10, 8), cylinder(large, 8), cylinder(16, 10)] }, { firstEnd: 'front' }))
        .map(([diameter]) => diameter)
        .filter((diameter) => diameter !== 16);
    expect([orderOf(12), orderOf(10.3)]).toEqual([
      [12, 10],
      [10, 10.3],
    ]);
  });

  test('neighbours of one size and other limits, each by itself', () => {
    const finished = finishesOf(runOf({ outside: [cylinder('20 h8', 10), cylinder(20, 10), cylinder(24, 5)] }));
    // h8 of 20 is 0 to -0.033, its middle 19.9835.
    expect(finished.filter(([diameter = 0]) => Math.abs(diameter - 20) < 0.02)).toHaveLength(2);
  });

  test('not the cylinder that a cone is cut out of, where nothing else is left of it', () => {
    const finished = finishesOf(runOf({ outside: [cylinder('20 h8', 10), cone(20, 16, 10), cylinder(16, 12)] }));
    expect(finished.map(([diameter]) => diameter)).not.toContain(20);
    expect(finished).toHaveLength(2);
  });

  test('the cylinder of a cone that ends at a shoulder, which is faced with it', () => {
    const finished = finishesOf(runOf({ outside: [cone(10, 14, 10), cylinder(20, 20)] }));
    expect(finished.map(([diameter]) => diameter)).toContain(14);
  });

  test('the cylinder of a cone whose large end has limits, which is measured on it', () => {
    const outside = [cylinder('20 h8', 10), { ...cone(20, 16, 10), from: '20 h6' }, cylinder(16, 12)];
    expect(finishesOf(runOf({ outside }))).toHaveLength(3);
  });
});

test('a cone that nothing finished takes what roughing left as well', () => {
  const outside = [cylinder('20 h8', 10), cone(20, 16, 10), cylinder(16, 12)];
  const file = runOf({ outside }, { firstEnd: 'back' });
  const taper = operationsOf(file).find(({ kind }) => kind === 'taper');
  const depth = taper?.passes.reduce((total, pass) => total + pass.depth, 0) ?? 0;
  // From the ⌀20.4835 that is roughed for its neighbour of ⌀20 h8 down to its small end of ⌀16: 2.24 a side.
  expect(depth).toBeCloseTo((19.9835 + 0.5 - 16) / 2, 6);
});

describe('a diameter that the drawing leaves open', () => {
  const spacer = (large: string, more = {}) =>
    runOf(
      { outside: [{ ...cylinder(large, 12), ...more }, cylinder('14 h8', 20)] },
      { stock: { form: 'round', size: 32 }, firstEnd: 'front', way: 'sawn-blanks' },
    );
  const ofLarge = (file: RunFile) =>
    operationsOf(file).filter(({ kind, feature }) => kind.startsWith('turn-') && feature === 'part.outside[0]');

  test('is roughed to its size, not finished and not measured', () => {
    const cuts = ofLarge(spacer('about 29'));
    expect(cuts.map(({ kind, diameter }) => [kind, diameter])).toEqual([['turn-rough', 29]]);
    expect(cuts.flatMap(({ checks }) => checks)).toEqual([]);
  });

  test('is finished where it has limits, a roughness, or is critical', () => {
    expect(ofLarge(spacer('29')).map(({ kind }) => kind)).toContain('turn-finish');
    expect(ofLarge(spacer('about 29', { roughness: 1.6 })).map(({ kind }) => kind)).toContain('turn-finish');
    expect(ofLarge(spacer('about 29', { critical: true })).map(({ kind }) => kind)).toContain('turn-finish');
  });
});
