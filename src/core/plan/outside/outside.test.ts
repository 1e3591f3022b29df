import { planFileOf } from '../../formats/planFile';
import { planned, runOf, step } from '../../testing';

const flatted = (count: number, across: number) =>
  runOf({
    outside: [step(14, 20), step(22, 10)],
    details: [{ kind: 'flats', at: 4, length: 10, count, across }],
  });

test('two flats of 11 on ⌀14: 1.5 deep each, indexed by 180°; set up once, 0.5 and two of 1.2 a piece', () => {
  const plan = planned(flatted(2, 11));
  const [outsideOp, ...others] = plan.outside;
  expect(others).toEqual([]);
  expect(outsideOp).toMatchObject({ feature: 'part.details[0]', name: 'Mill 2 flats, 11 mm across' });
  expect(outsideOp?.notes).toEqual([
    '2 flats, indexed by 180°; 1.5 mm deep from the round, 10 mm long. The first is right when 12.5 mm are measured over flat and round.',
  ]);
  expect([outsideOp?.setup.value, outsideOp?.piece.value]).toEqual([20, 0.5 + 2 * 1.2]);
  expect(plan.doubts).toEqual([]);
});

test('its minutes are in the piece, with the allowance, and in setting up', () => {
  const [plain, milled] = [planned(runOf({ outside: [step(14, 20), step(22, 10)] })), planned(flatted(4, 11))];
  // 0.5 and four of 1.2, and 12 % for what no element covers.
  expect(milled.times.piece.value - plain.times.piece.value).toBeCloseTo((0.5 + 4 * 1.2) * 1.12, 9);
  expect(milled.times.setup.value - plain.times.setup.value).toBeCloseTo(20, 9);
  expect(planFileOf(milled).outside).toMatchObject([{ kind: 'outside-op', minutes: { setup: 20, piece: 5.3 } }]);
});

test('a single flat is measured to the round opposite it and is not indexed', () => {
  // 12 to the round opposite: 12 − 7 = 5 from the axis, 2 deep.
  expect(planned(flatted(1, 12)).outside[0]?.notes).toEqual([
    '2 mm deep from the round, 10 mm long. The first is right when 12 mm are measured over flat and round.',
  ]);
});

test('a hole across beside the flats, by hand: in their holding, turned on by 90°, without loading; its own tool takes 3', () => {
  const file = flatted(2, 11);
  const details = [...(file.part.details ?? []), { kind: 'cross-hole' as const, at: 9, diameter: 3, angle: 90 }];
  const [flats, hole] = planned({ ...file, part: { ...file.part, details } }).outside;
  expect([flats?.setup.value, flats?.piece.value]).toEqual([20, 0.5 + 2 * 1.2]);
  expect([hole?.setup.value, hole?.piece.value]).toEqual([3, 1.2]);
  expect(hole?.notes[0]).toBe('In the holding of “Mill 2 flats, 11 mm across”, turned on by 90°.');
  expect(hole?.notes.join(' ')).toContain('half the span between two edges');
});

test('a hexagon that no bar brings is round until it is milled: held so, and its far edge is chamfered like the near one', () => {
  // No hexagon of 9 is sold. Over its corners 9 / cos 30° = 10.392.
  const outside = [{ shape: 'hex' as const, across: 9, length: 25, chamfers: { front: 0.3, back: 0.3 } }];
  const plan = planned(runOf({ outside }, { firstEnd: 'front', way: 'from-bar' }));
  const [first, second] = plan.setups.map(({ setup, operations }) => ({
    on: setup.holding.on,
    chamfers: operations.filter(({ kind }) => kind === 'chamfer').map(({ feature }) => feature),
  }));
  expect(first?.chamfers).toEqual(['part.outside[0].chamfers.front']);
  expect(second).toEqual({ on: '⌀10.392', chamfers: ['part.outside[0].chamfers.back'] });
  expect(plan.outside.map(({ name, after }) => [name.slice(0, 18), after])).toEqual([['Mill hexagon 9 mm ', 2]]);
  expect(plan.doubts).toEqual([]);
});
