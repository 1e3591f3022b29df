import type { DetailFile, PartFile, RunFile } from '../../read/runFile';
import { planFile } from '../plan';
import { startValues } from '../../model/shop/startValues';
import { doubtsOf, only, operationsOf, planned, runOf, step } from '../../testing';
import { trackingDiameters } from './knurl';

const fromBar = { way: 'from-bar' as const };
const part = (outside: PartFile['outside'], details: DetailFile[] = []) => runOf({ outside, details }, fromBar);

const orderOf = (file: RunFile) => operationsOf(file).map(({ kind }) => kind);

describe('cones', () => {
  test('12 to 20 over 10: half angle 21.80°, cut from the cylinder of 20', () => {
    const file = part([{ shape: 'cone', from: 12, to: 20, length: 10 }, step(22, 10)]);
    const found = only(file, 'taper');
    expect(found.compound).toBeCloseTo(21.801, 3);
    // 4 a side: 3.75 in two of 1.875, and 0.25; the slide goes 4 / sin 21.8° = 10.77, the flank, in the last.
    expect(found.passes.map(({ depth }) => Number(depth.toFixed(4)))).toEqual([1.875, 1.875, 0.25]);
    expect(found.passes.at(-1)?.way[0]?.value).toBeCloseTo(Math.hypot(4, 10), 6);
    // 2 · 10 · (tan 22.051° − tan 21.801°) = 0.1016.
    expect(found.passes[0]?.note).toContain('±0.25° are ±0.101 mm');
    expect(found.checks).toMatchObject([{ what: 'small end ⌀12' }]);
    expect(orderOf(file).indexOf('taper')).toBeGreaterThan(orderOf(file).indexOf('turn-finish'));
    expect(doubtsOf(file)).toEqual([]);
  });

  test('one that falls towards the chuck is left to the other side, where it rises', () => {
    const file = part([step(22, 10), { shape: 'cone', from: 20, to: 12, length: 10 }]);
    expect(only(file, 'taper')).toMatchObject({ end: 'back', from: 0, to: 10 });
  });

  test('limits closer than the protractor are told', () => {
    const file = part([{ shape: 'cone', from: { size: 12, limits: [-0.02, 0.02] }, to: 20, length: 10 }, step(22, 10)]);
    expect(only(file, 'taper').warnings[0]).toContain('the drawing leaves ±0.02 mm: set it by angle blocks');
  });

  test('longer than the compound goes, it stays undone and is told', () => {
    expect(doubtsOf(part([{ shape: 'cone', from: 12, to: 20, length: 70 }, step(22, 10)]))).toEqual([
      'NO-OPERATION part.outside[0]',
    ]);
  });

  test('two angles in a set-up: the compound is set again for each piece', () => {
    const file = part([
      { shape: 'cone', from: 8, to: 12, length: 6 },
      { shape: 'cone', from: 14, to: 20, length: 5 },
      step(22, 10),
    ]);
    const again = operationsOf(file).flatMap(({ hand }) =>
      hand.terms.filter(({ name, value }) => name === 'compound to this angle again' && value > 0),
    );
    expect(again).toHaveLength(2);
  });
});

describe('the edges of a cone', () => {
  const cone = (more: object) => ({ shape: 'cone' as const, from: 10, to: 16, length: 20, ...more });

  test('a chamfer is as long along the axis as is written: it ends on the cone, at 10 + 6 / 20 = 10.3', () => {
    const file = part([cone({ chamfers: { front: 1 } }), step(20, 10)]);
    const [edge] = only(file, 'chamfer').removal.outside ?? [];
    expect(edge).toMatchObject({ z0: 0, z1: 1, r0: expect.closeTo(4.15, 9), r1: expect.closeTo(5.15, 9) });
    expect(planned(file).proof.faults).toEqual([]);
  });

  test('and one that falls to the back likewise', () => {
    const file = part([step(20, 10), { ...cone({ chamfers: { back: 1 } }), from: 16, to: 10 }]);
    expect(planned(file).proof.faults).toEqual([]);
  });

  test('one that ends where the piece is parted is cut on into the way of the blade, twice the nose: nothing stays in its corner', () => {
    const file = { ...part([{ ...cone({}), from: 12, to: 16 }]), rules: { nib: 'as-parted' as const } };
    const plan = planned(file);
    const path = only(file, 'taper').passes.at(-1)?.path ?? [];
    expect(Math.max(...path.map(({ z }) => z))).toBeGreaterThan(20 + 0.4);
    expect(plan.setups).toHaveLength(1);
    expect(plan.proof.faults).toEqual([]);
  });
});

describe('outside threads', () => {
  const relieved = (designation: string, diameter: number, core: number): RunFile =>
    part(
      [step(diameter, 16), step(22, 10)],
      [
        { kind: 'chamfer', at: 0, size: 1 },
        { kind: 'thread', at: 0, length: 12, designation },
        { kind: 'groove', at: 12, width: 4, bottom: core },
      ],
    );

  test('M16 × 2 by tool: ten passes and a spring pass, gears 2 : 3, after its relief and its chamfer', () => {
    const file = relieved('M16', 16, 13);
    const found = only(file, 'thread');
    // 4 + 3 · 2 passes; 0.6134 · 2 = 1.2268 deep; the first 1.2268 / √10.
    expect(found.passes).toHaveLength(11);
    expect(found.passes[0]?.depth).toBeCloseTo(1.2268 / Math.sqrt(10), 6);
    expect(found.passes.at(-1)).toMatchObject({ depth: 0, diameter: expect.closeTo(16 - 2 * 1.2268, 6) });
    expect(found.feed.value).toBe(2);
    expect(found.feed.note).toMatch(/change gears (20 \/ 30|40 \/ 60).*exact/);
    // Before the middle of the relief: at the core, ⌀13.5464, its flank of 30° would stand (11 − 6.7732) · tan 30° = 2.4403 farther on
    // by the time that it is as wide as the shoulder at 16; its side is 2 ahead of its point, and stays 0.1 off.
    expect(found.to).toBeCloseTo(16 - 2.1, 3);
    // With more room it goes to the middle of the two pitches that the tool needs.
    const wide = part(
      [step(16, 18), step(22, 10)],
      [
        { kind: 'thread', at: 0, length: 12, designation: 'M16' },
        { kind: 'groove', at: 12, width: 6, bottom: 13 },
      ],
    );
    expect(only(wide, 'thread').to).toBe(14);
    const order = orderOf(file);
    for (const first of ['groove', 'chamfer', 'turn-finish'])
      expect(order.indexOf(first)).toBeLessThan(order.indexOf('thread'));
    expect(planned(file).setups[0]?.operations.at(-1)?.kind).toBe('part-off');
  });

  test('on tough steel it is cut lighter, 1.25 · 10 passes, and once without infeed after every three: 12.5 makes 13, four between', () => {
    const file = relieved('M16', 16, 13);
    const tough = only({ ...file, part: { ...file.part, material: 'stainless-304' } }, 'thread');
    const depths = tough.passes.map(({ depth }) => depth);
    expect(depths.filter((depth) => depth > 0)).toHaveLength(13);
    expect(depths.filter((depth) => depth === 0)).toHaveLength(4 + 1);
    expect(depths.slice(0, 4).map((depth) => depth > 0)).toEqual([true, true, true, false]);
    // A scratch, and its pitch measured, once.
    const [setup] = planned(file).setups.filter(({ operations }) => operations.some(({ kind }) => kind === 'thread'));
    expect(setup?.setting.terms).toContainEqual(
      expect.objectContaining({ name: 'scratch of the thread, and its pitch measured', value: 0.5 }),
    );
  });

  test('M8 with a die, since the shop has one and cuts up to 12 so', () => {
    const found = only(relieved('M8', 8, 6.2), 'die');
    expect(found.tool.name).toBe('die M8');
    expect(found.feed.value).toBe(1.25);
    // 12 on and 12 off again, and 2 of approach, at 1.25 and 100 rev/min.
    expect(found.cutting.value).toBeCloseTo(26 / 1.25 / 100, 9);
  });

  test('what a die cuts is turned to the lower half: M8, 27.75 under it and 199 wide, at 7.972 − 3/4 · 0.208', () => {
    // 180 · 1.25^⅔ − 3.15/√1.25 = 208.9 − 2.8 = 206 µm.
    const blank = operationsOf(relieved('M8', 8, 6.2)).find(({ name }) => name.startsWith('Finish ⌀8'));
    expect(blank?.diameter).toBeCloseTo(8 - 0.02875 - 0.75 * 0.206, 2);
    // M16 is cut by a tool: the middle.
    const single = operationsOf(relieved('M16', 16, 13)).find(({ name }) => name.startsWith('Finish ⌀16'));
    expect(single?.diameter).toBeCloseTo(16 - 0.037 - 0.2785 / 2, 2);
  });

  test('a die turns as hard as its torque, k · P² · d / 8000, and is run on twice where the work is not held for that', () => {
    // Half as much friction as it takes and a little more: opened, then closed. Less still: cut by a tool.
    const torque = (1800 * (1.25 / 12) ** -0.25 * 1.25 ** 2 * 8) / 8000;
    const heldBy = (share: number) => {
      const { cutting, materials } = startValues;
      const force = (share * 2000 * torque * cutting.gripSafety) / (22 * (cutting.gripFriction.collet ?? 1));
      const gripForce = Object.fromEntries(Object.keys(cutting.gripForce).map((kind) => [kind, force]));
      const even = Object.fromEntries(
        Object.keys(cutting.gripForce).map((kind) => [kind, cutting.gripFriction.collet]),
      );
      const shop = {
        ...startValues,
        materials: materials.map((one) => ({ ...one, force: { kc: 1800, m: 0.25 } })),
        cutting: { ...cutting, gripForce, gripFriction: even as typeof cutting.gripFriction },
      };
      const cuts = planned({ ...relieved('M8', 8, 6.2), stock: { form: 'round', size: 22 } }, shop).setups.flatMap(
        ({ operations }) => operations.filter(({ kind }) => kind === 'die' || kind === 'thread'),
      );
      return cuts.map(({ kind, passes }) => (kind === 'die' ? passes.length : kind));
    };
    expect([heldBy(1.05), heldBy(0.55), heldBy(0.45)]).toEqual([[1], [2], ['thread']]);
  });

  test('on a plain cylinder that goes on it is drawn out at 10, and a turn of 2 goes by', () => {
    const open = part([step(16, 20), step(22, 10)], [{ kind: 'thread', at: 0, length: 10, designation: 'M16' }]);
    const found = only(open, 'thread');
    expect(found.to).toBeCloseTo(10, 9);
    expect(found.passes[0]?.path[3]).toMatchObject({ z: 12, by: 'thread' });
    expect(found.does?.join()).toContain('the last turns run out on the plain diameter');
    expect(planned(open).proof.faults).toEqual([]);
  });

  test('to the end that is parted off: the tool is drawn out at 60, over the turn of 1.5 that is parted away', () => {
    // Both ends of a stud of free-cutting steel: nothing leaves its far thread but what is thrown away.
    const stud = runOf({
      material: 'free-cutting-steel',
      outside: [step(10, 20), step(9, 20), step(10, 20)],
      details: [0, 45].map((at) => ({ kind: 'thread' as const, at, length: 15, designation: 'M10' })),
    });
    const { proof, doubts, setups } = planned(stud);
    expect([proof.faults, doubts.filter(({ rule }) => rule === 'NO-OPERATION')]).toEqual([[], []]);
    const far = setups.flatMap(({ operations }) => operations).find(({ kind }) => kind === 'thread');
    expect(far?.to).toBe(60);
    expect(far?.passes[0]?.path?.slice(2, 4).map(({ z, by }) => [z, by])).toEqual([
      [60, 'thread'],
      [61.5, 'thread'],
    ]);
  });

  test('without room to leave, or a machine that cuts threads, it stays undone and is told', () => {
    const tight = part([step(16, 12), step(22, 10)], [{ kind: 'thread', at: 0, length: 12, designation: 'M16' }]);
    expect(doubtsOf(tight)).toEqual(['NO-OPERATION part.details[0]', 'THREAD-RUN-OUT part.details[0]']);
    const machine = { ...startValues.machines[0] };
    delete machine.leadscrew;
    const plan = planFile(relieved('M16', 16, 13), { ...startValues, machines: [machine as never] });
    expect(plan.ok && plan.value.doubts.map(({ rule }) => rule)).toEqual(['NO-OPERATION']);
  });

  test('change gears are part of setting up', () => {
    const setting = planned(relieved('M16', 16, 13)).setups[0]?.setting.terms.find(
      ({ name }) => name === 'change gears',
    );
    expect(setting?.value).toBe(15);
  });
});

test('a cone beside a thread’s blank, 0.075 lower than its small end, begins level with that and does not cut into it', () => {
  // M20x1.5 is cut on 20 − 0.15 = 19.85. From 2 before the cone its slope of 2.5 on 8 would lead 0.55 into it.
  const file = runOf({
    material: 'tool-steel',
    outside: [step(30, 5), step(25, 40), { shape: 'cone', from: 25, to: 20, length: 8 }, step(20, 10)],
    details: [{ kind: 'thread', at: 56, length: 7, designation: 'M20x1.5' }],
  });
  const plan = planned(file, startValues, {});
  expect(plan.setups.flatMap(({ operations }) => operations.map(({ kind }) => kind))).toContain('taper');
  expect(plan.proof.faults).toEqual([]);
});

describe('knurls', () => {
  test('⌀22 with 0.8 is 86.4 pitches round: 86 · 0.8 / π = 21.90, 87 give 22.15', () => {
    const { pitches, below, above } = trackingDiameters(22, 0.8);
    expect([pitches, below, above].map((value) => Number(value.toFixed(2)))).toEqual([86.39, 21.9, 22.15]);
  });

  test('before its neighbours are finished, and its own edges are broken after it', () => {
    const file = part(
      [step(14, 10), step(22, 12, { chamfers: { front: 0.5 } })],
      [{ kind: 'knurl', at: 11, length: 10, pattern: 'diamond', pitch: 0.8 }],
    );
    const names = planned(file).setups[0]?.operations.map(({ name }) => name) ?? [];
    const at = (name: string) => names.findIndex((word) => word.startsWith(name));
    expect(at('Finish ⌀22')).toBeLessThan(at('Knurl'));
    expect(at('Knurl')).toBeLessThan(at('Finish ⌀14'));
    expect(at('Knurl')).toBeLessThan(at('Chamfer'));
    expect(only(file, 'knurl').passes[0]?.note).toContain('about ⌀22.4');
    expect(only(file, 'knurl').warnings[0]).toContain('⌀21.9 or ⌀22.15 before knurling tracks');
  });

  test('while the metal under it is whole; where that is not to be had, a plug goes into the bore', () => {
    const sleeve = (bore: number, end: 'front' | 'back') =>
      planned(
        runOf(
          {
            outside: [step(24, 30)],
            details: [{ kind: 'knurl', at: 3, length: 10, pattern: 'diamond', pitch: 0.8 }],
            bores: [{ from: end, shape: 'bore', diameter: bore, depth: end === 'front' ? 16 : 29 }],
          },
          { firstEnd: end, way: end === 'front' ? 'from-bar' : 'sawn-blanks' },
        ),
      ).setups.flatMap(({ operations }) => operations);
    const reasonsOf = (bore: number) =>
      sleeve(bore, 'front')
        .filter(({ kind }) => kind === 'knurl' || kind === 'bore')
        .map(({ kind, reasons }) => [kind, reasons.some(({ because }) => because.includes('under it is whole'))]);
    // 24 less 20 is a wall of 2, under a tenth of 24; less 14 it is 5.
    expect(reasonsOf(20)).toEqual([
      ['knurl', false],
      ['bore', true],
    ]);
    expect(reasonsOf(14).flat()).not.toContain(true);
    const later = sleeve(20, 'back').find(({ kind }) => kind === 'knurl');
    expect(later?.warnings.join(' ')).toContain('The wheels press on a wall of 2 mm: a plug that fits');
  });

  test('up to a shoulder it ends where the nose of 0.4 left its corner, and is proved', () => {
    const file = part(
      [step(12, 25), step(14.3, 8), step(20, 6)],
      [{ kind: 'knurl', at: 25, length: 8, pattern: 'straight', pitch: 1 }],
    );
    const cut = only(file, 'knurl');
    expect([cut.to, cut.does]).toEqual([32.6, ['It ends 0.4 mm before the shoulder: so much is left in its corner.']]);
    expect(planned(file).proof.faults).toEqual([]);
  });

  test('a pitch that no wheel has is told', () => {
    expect(
      doubtsOf(part([step(22, 20)], [{ kind: 'knurl', at: 2, length: 10, pattern: 'straight', pitch: 0.7 }])),
    ).toEqual(['NO-OPERATION part.details[0]']);
  });
});

describe('vees', () => {
  const veed = (included: number) => part([step(22, 20)], [{ kind: 'vee', at: 8, included, depth: 2 }]);

  test('straight in with a tool of its angle', () => {
    const found = only(veed(60), 'vee');
    expect(found.tool.id).toBe('thread-60');
    expect(found.passes).toHaveLength(1);
    expect(found).not.toHaveProperty('compound');
  });

  test('wider: the middle, then both flanks with the compound at half of the angle', () => {
    const found = only(veed(90), 'vee');
    expect(found.passes.map(({ note }) => note?.split(',')[0])).toEqual([
      'the middle first',
      'right flank',
      'left flank',
    ]);
    // 2 / sin 45° = 2.828 along the flank.
    expect(found.passes[1]?.way[0]?.value).toBeCloseTo(2 * Math.SQRT2, 6);
    expect(doubtsOf(veed(90))).toEqual([]);
  });
});

describe('round forms', () => {
  test('a relief with R0.5 corners: a round nose of 0.5, 3 wide by plunges of 1 and along the bottom', () => {
    const file = part([step(16, 20), step(22, 10)], [{ kind: 'groove', at: 8, width: 3, bottom: 13, radius: 0.5 }]);
    const found = only(file, 'form');
    expect(found.tool.id).toBe('round-nose-0.5');
    expect(found.passes).toHaveLength(5);
    expect(doubtsOf(file)).toEqual([]);
  });

  test('a corner of R2 with the tool that has it; of R4 by sixteen steps, 0.1 min each, and half a minute to blend', () => {
    const rounded = (size: number) => part([step(22, 20)], [{ kind: 'radius', at: 0, size }]);
    expect(only(rounded(2), 'form')).toMatchObject({ tool: { id: 'corner-rounding-2' }, passes: [{}] });
    // π / 2 · 4 / (2 · 0.2) = 15.7, and the file along the form.
    const walked = only(rounded(4), 'form');
    expect(walked.passes).toHaveLength(17);
    expect(walked.hand.terms.filter(({ name }) => /walk|blend/.test(name)).map(({ value }) => value)).toEqual([
      expect.closeTo(1.6, 9),
      0.5,
    ]);
    expect(doubtsOf(rounded(4))).toEqual([]);
  });

  test('a ball end is turned by steps', () => {
    const file = part([{ shape: 'sphere', diameter: 12, length: 10 }, step(18, 12)]);
    expect(only(file, 'form').name).toBe('Ball R6 mm');
    expect(doubtsOf(file)).toEqual([]);
  });

  test('a fillet stays where the finishing nose leaves it, and is walked where none does', () => {
    const fillet = (size: number) => part([step(14, 12), step(22, 10)], [{ kind: 'radius', at: 12, size }]);
    const finished = operationsOf(fillet(0.4)).find(({ name }) => name === 'Finish ⌀14');
    expect(finished).toMatchObject({ makes: ['part.details[0]'], tool: { nose: 0.4 } });
    // The fillet is there: at its middle the radius is 7 + 0.4 (1 − √½) = 7.117.
    expect(doubtsOf(fillet(0.4))).toEqual([]);
    expect(operationsOf(fillet(2)).find(({ name }) => name === 'Finish ⌀14')?.tool.id).toBe('round-nose-2');
    expect(doubtsOf(fillet(1.8))).toEqual([]);
    expect(only(fillet(1.8), 'form').passes.at(-1)?.note).toBe('with a file, along the form');
  });

  test('a chamfer of another angle: a tool of that angle, else the nearest set over', () => {
    const file = part([step(22, 20)], [{ kind: 'chamfer', at: 0, size: 2, angle: 30 }]);
    const found = only(file, 'chamfer');
    expect(found.name).toBe('Chamfer 2 mm × 30°');
    expect([found.tool.id, found.stands, found.passes[0]?.note]).toEqual(['chamfer-30', undefined, undefined]);
    const between = only(part([step(22, 20)], [{ kind: 'chamfer', at: 0, size: 2, angle: 35 }]), 'chamfer');
    expect([between.tool.id, between.passes[0]?.note]).toEqual([
      'chamfer-30',
      'the tool set over to 35° from the axis',
    ]);
    expect(between.stands?.turned).toBeCloseTo(5, 5);
    expect(doubtsOf(file)).toEqual([]);
    expect(doubtsOf(part([step(22, 20)], [{ kind: 'chamfer', at: 0, size: 6, angle: 15 }]))).toEqual([
      'NO-OPERATION part.details[0]',
    ]);
  });
});
