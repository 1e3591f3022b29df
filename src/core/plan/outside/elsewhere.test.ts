import type { ElsewhereFile, PartFile, RunFile } from '../../read/runFile';
import { massOf } from '../../model/part/mass';
import { doubtsOf, only, operationsOf, planned, problemsOf, runOf, step } from '../../testing';

const journal = step({ size: 14, fit: 'h5' }, 20, { name: 'journal' });
const shaft = (elsewhere: ElsewhereFile[], more: Partial<PartFile> = {}): RunFile =>
  runOf({ material: 'mild-steel', outside: [journal, step(22, 12)], elsewhere, ...more }, { way: 'from-bar' });
const finish = (file: RunFile) => {
  const found = operationsOf(file).find(({ key }) => key === 'turn-finish:part.outside[0]');
  if (!found) throw new Error('the journal is turned');
  return found;
};

describe('what the lathe leaves for others', () => {
  test('ground: 0.2 on the diameter, within a quarter of that, and told at the operation', () => {
    const file = shaft([{ kind: 'grind', on: 'journal' }]);
    // h5 of 14 is −8 µm: its middle is 13.996, and 0.2 more is turned.
    expect(finish(file).diameter).toBeCloseTo(14.196, 6);
    expect(finish(file).name).toBe('Finish ⌀14, journal, 0.2 mm left on');
    const size = finish(file).checks[0]?.size;
    expect([(size?.nominal ?? 0) + (size?.lower ?? 0), (size?.nominal ?? 0) + (size?.upper ?? 0)]).toEqual([
      expect.closeTo(14.146, 6),
      expect.closeTo(14.246, 6),
    ]);
    // Finer than the lathe holds, but it does not have to.
    expect(doubtsOf(shaft([]))).toContain('FINE-FIT part.outside[0]');
    expect(doubtsOf(file)).toEqual([]);
    expect(planned(file).outside).toMatchObject([
      { name: 'Grind journal', notes: ['The lathe leaves 0.2 mm on the diameter.'], setup: { value: 25 } },
    ]);
  });

  test('what the drawing says itself goes before the shop', () => {
    expect(finish(shaft([{ kind: 'grind', on: 'journal', leave: 0.3 }])).diameter).toBeCloseTo(14.296, 6);
  });

  test('plated: every diameter two thicknesses smaller, every bore larger, with the limits of the drawing', () => {
    const bores: PartFile['bores'] = [
      { from: 'front', shape: 'bore', diameter: { size: 10, limits: [0, 0.05] }, depth: 12, bottom: 'flat' },
    ];
    const outside = [step({ size: 16, limits: [-0.1, 0] }, 20), step(22, 12)];
    const plain = shaft([], { outside, bores });
    const plated = shaft([{ kind: 'plate', thickness: 0.01, with: 'nickel' }], { outside, bores });
    expect(finish(plated).diameter).toBeCloseTo((finish(plain).diameter ?? 0) - 0.02, 9);
    expect(only(plated, 'bore').diameter).toBeCloseTo((only(plain, 'bore').diameter ?? 0) + 0.02, 9);
    expect(finish(plated).name).toContain('0.02 mm under');
    expect(planned(plated).outside[0]?.name).toBe('Plate with nickel, 0.01 mm');
  });

  test('hardened, then ground: growth comes off, what is left comes on; in that order whatever the file has', () => {
    const file = shaft([
      { kind: 'grind', on: 'journal' },
      { kind: 'harden', to: '58 HRC', growth: 0.03 },
    ]);
    expect(finish(file).diameter).toBeCloseTo(13.996 + 0.2 - 0.03, 6);
    // A bore grows with the rest: it is left smaller too.
    const bores: PartFile['bores'] = [{ from: 'front', shape: 'bore', diameter: 10, depth: 12, bottom: 'flat' }];
    expect(only(shaft([{ kind: 'harden', growth: 0.03 }], { bores }), 'bore').diameter).toBeCloseTo(9.97, 6);
    expect(planned(file).outside.map(({ name }) => name)).toEqual(['Harden to 58 HRC', 'Grind journal']);
  });

  test('honed: 0.03 narrower; only a bore is', () => {
    const bores: PartFile['bores'] = [
      { from: 'front', shape: 'bore', diameter: { size: 12, fit: 'H7' }, depth: 14, bottom: 'flat', name: 'seat' },
    ];
    // H7 of 12 is +18 µm, its middle 12.009.
    expect(only(shaft([{ kind: 'hone', on: 'seat' }], { bores }), 'bore').diameter).toBeCloseTo(12.009 - 0.03, 6);
    expect(problemsOf(shaft([{ kind: 'hone', on: 'journal' }], { bores }))[0]).toMatchObject({
      path: 'part.elsewhere[0].on',
      message: expect.stringContaining('no bore'),
    });
  });

  test('the drawing stays what it is, and so does what it weighs', () => {
    const [plain, ground] = [planned(shaft([])), planned(shaft([{ kind: 'grind', on: 'journal' }]))];
    expect(ground.run.part.steps[0]?.diameter).toEqual(plain.run.part.steps[0]?.diameter);
    expect(massOf(ground.run.part, 7.85).grams).toBeCloseTo(massOf(plain.run.part, 7.85).grams, 9);
  });

  test('a surface that nobody named is asked for, with those that there are', () => {
    expect(problemsOf(shaft([{ kind: 'grind', on: 'seat' }]))[0]).toMatchObject({
      path: 'part.elsewhere[0].on',
      message: '“seat” names no step and no bore; there are journal',
    });
    expect(finish(shaft([{ kind: 'grind', on: '1' }])).diameter).toBeCloseTo(14.196, 6);
  });
});

describe('holes across', () => {
  const crossed = (more: Partial<PartFile> = {}) =>
    runOf({
      outside: [step(14, 20), step(22, 10)],
      details: [{ kind: 'cross-hole', at: 8, diameter: 3 }],
      ...more,
    });

  test('drilled on another machine: set up once, a piece in and out and drilled; nothing is left undone', () => {
    const plan = planned(crossed());
    expect(plan.outside).toMatchObject([{ name: 'Drill ⌀3 across, through', setup: { value: 10 } }]);
    expect(plan.outside[0]?.piece.value).toBeCloseTo(0.5 + 1.2, 9);
    expect(plan.doubts).toEqual([]);
  });

  test('it weighs: π/4 · 3² · 14 = 98.96 mm³ less', () => {
    const volume = (file: RunFile) => massOf(planned(file).run.part, 8.47).volume;
    expect(volume(crossed({ details: [] })) - volume(crossed())).toBeCloseTo(98.96, 2);
  });

  const knurled = (spigot: number, hole = true): RunFile => ({
    ...crossed({
      outside: [step(14, spigot), step(22, 18)],
      details: [
        { kind: 'knurl', at: spigot + 2, length: 14, pattern: 'straight', pitch: 0.8 },
        ...(hole ? [{ kind: 'cross-hole' as const, at: spigot + 8, diameter: 3 }] : []),
      ],
    }),
    way: 'from-bar',
  });
  const knurledIn = (file: RunFile) => operationsOf(file).find(({ kind }) => kind === 'knurl')?.end;

  test('across a knurl: turned, drilled, and knurled in the second set-up, held on something else', () => {
    const file = knurled(20);
    const plan = planned(file);
    expect(plan.outside[0]).toMatchObject({ name: 'Drill ⌀3 across, through', after: 1 });
    expect(plan.outside[0]?.reasons).toContainEqual({
      rule: 'CROSS-BEFORE-KNURL',
      because: expect.stringContaining('before set-up 2 rolls the knurl'),
    });
    expect(knurledIn(file)).toBe('back');
    expect(plan.setups[1]?.setup.holding.grip).toBe('part.outside[0]');
    expect(plan.doubts).toEqual([]);
    // Without the hole it is knurled at once, and held as it is best.
    expect(knurledIn(knurled(20, false))).toBe('front');
  });

  test('where nothing else holds it, the knurl comes first, and the drill is told to mind it', () => {
    const file = knurled(4);
    expect(knurledIn(file)).toBe('front');
    expect(planned(file).outside[0]).toMatchObject({ after: 2 });
    expect(
      planned(file)
        .outside[0]?.reasons.map(({ because }) => because)
        .join(),
    ).toContain('Start it with a centre');
  });

  test('wider than the part, off it, or as deep as it is thick: refused where it stands', () => {
    const refused = (detail: object) =>
      problemsOf(crossed({ details: [{ kind: 'cross-hole', at: 8, diameter: 3, ...detail }] }))[0]?.path;
    expect(refused({ diameter: 14 })).toBe('part.details[0].diameter');
    expect(refused({ at: 0.5 })).toBe('part.details[0].at');
    expect(refused({ depth: 14 })).toBe('part.details[0].depth');
  });
});

describe('an end that is trimmed at assembly', () => {
  const outside = [step(14, 20), step({ size: 22, limits: [-0.1, 0] }, { size: 12, limits: [-0.05, 0.05] })];
  const bores: PartFile['bores'] = [{ from: 'front', shape: 'drill', diameter: 6, depth: 'through' }];
  const stay = (elsewhere: ElsewhereFile[], more: Partial<PartFile> = {}) =>
    shaft(elsewhere, { outside, bores, ...more });

  test.each(['front', 'back'] as const)(
    'the %s is left 0.3 long, or as the drawing says, and goes last of all',
    (end) => {
      const [plain, left] = [
        planned(stay([])),
        planned(
          stay([
            { kind: 'trim', end },
            { kind: 'plate', thickness: 0.01 },
          ]),
        ),
      ];
      expect(left.proof.faults).toEqual([]);
      expect(left.setups[0]?.setup.part.length).toBeCloseTo(32.3, 9);
      expect(left.setups[0]?.setup.part.steps.map(({ length }) => length.nominal).toSorted()).toEqual(
        end === 'front' ? [12, 20.3] : [12.3, 20],
      );
      expect(left.stock.each.value).toBeCloseTo(plain.stock.each.value + 0.3, 9);
      expect(left.outside.map(({ name }) => name)).toEqual(['Plate 0.01 mm', `Trim the ${end} at assembly`]);
      expect(left.outside[1]?.notes).toEqual([`The lathe leaves the ${end} 0.3 mm long.`]);
      const said = planned(stay([{ kind: 'trim', end, leave: 1 }]));
      expect(said.setups[0]?.setup.part.length).toBeCloseTo(33, 9);
      // The drawing stays what it is.
      expect(left.run.part.length).toBe(32);
      expect(doubtsOf(stay([{ kind: 'trim', end }]))).toEqual(doubtsOf(stay([])));
    },
  );

  test('what lies on it would go with it', () => {
    const details: PartFile['details'] = [{ kind: 'chamfer', at: 32, size: 1, side: 'back' }];
    expect(problemsOf(stay([{ kind: 'trim', end: 'back' }], { details }))).toMatchObject([
      { path: 'part.elsewhere[0].end', message: expect.stringContaining('a chamfer lies on the end') },
    ]);
    expect(planned(stay([{ kind: 'trim', end: 'front' }], { details })).proof.faults).toEqual([]);
    const blind: PartFile['bores'] = [{ from: 'back', shape: 'drill', diameter: 6, depth: 9 }];
    expect(problemsOf(stay([{ kind: 'trim', end: 'back' }], { bores: blind }))[0]?.message).toContain('the hole 6');
  });
});
