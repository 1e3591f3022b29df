import { usual } from '../skeleton';
import type { RunFile } from '../../read/runFile';
import type { Overrule } from '../../model/overrule';
import { planFileOf } from '../../formats/planFile';
import { startValues } from '../../model/shop/startValues';
import { planned, problemsOf, runOf, step } from '../../testing';
import { kindOf } from '../operations';
import { toolsFor } from './decide';

const stud = (overrules: Overrule[] = [], more: Partial<RunFile['part']> = {}): RunFile =>
  runOf(
    {
      outside: [step('12 h8', 14, { chamfers: { front: 0.5 } }), step(20, 14)],
      details: [{ kind: 'groove', at: 5, width: 4, bottom: 9 }],
      bores: [{ from: 'front', shape: 'drill', diameter: 5, depth: 10 }],
      ...more,
    },
    { way: 'from-bar', overrules },
  );
const operation = (file: RunFile, key: string) =>
  planned(file)
    .setups.flatMap(({ operations }) => operations)
    .find((timedOperation) => timedOperation.key === key);
const GROOVE = 'groove:part.details[0]';
const CHAMFER = 'chamfer:part.outside[0].chamfers.front';
const signed = { because: 'the fixture wants it', signed: 'the shop' };

describe('another tool', () => {
  test('is planned as its kind plans it: the narrower blade takes more plunges, and what that costs is told', () => {
    expect(operation(stud(), GROOVE)).toMatchObject({ tool: { id: 'blade-4' } });
    const plan = planned(stud([{ operation: GROOVE, tool: 'blade-2' }]));
    const timedOperation = plan.setups[0]?.operations.find(({ key }) => key === GROOVE);
    // ceil((4 − 2) / (0.9 · 2)) + 1 = 3 plunges and a cleaning pass.
    expect(timedOperation).toMatchObject({ tool: { id: 'blade-2' } });
    expect(timedOperation?.passes).toHaveLength(4);
    expect(plan.overrules).toMatchObject([{ state: 'kept', breaks: [] }]);
    expect(plan.overrules[0]?.minutes).toBeCloseTo(plan.times.piece.value - planned(stud()).times.piece.value, 9);
  });

  test('one that does not make it is not taken, and says so', () => {
    const drill: Overrule = { operation: 'drill:part.bores[0]', tool: 'drill-6' };
    const plan = planned(stud([drill, { operation: GROOVE, tool: 'blade-9' }]));
    expect(plan.overrules.map(({ state }) => state)).toEqual(['cannot', 'cannot']);
    expect(plan.warnings.join()).toContain('drill ⌀6 does not make it');
    expect(plan.warnings.join()).toContain('The list has no tool “blade-9”');
  });

  test('those offered are those that make it', () => {
    const plan = planned(stud());
    const timedOperation = plan.setups[0]?.operations.find(({ key }) => key === GROOVE);
    const setup = plan.setups[0]?.setup;
    if (!timedOperation || !setup) throw new Error('there is no groove');
    expect(toolsFor(timedOperation, kindOf(timedOperation), setup, []).map(({ id }) => id)).toEqual([
      'blade-1.5',
      'blade-2',
      'blade-2.5',
      'blade-3',
      'blade-4',
    ]);
  });
});

describe('left out', () => {
  test('a centre: its house rule is broken and told', () => {
    const plan = planned(stud([{ skip: 'centre:1' }]));
    expect(operation(stud([{ skip: 'centre:1' }]), 'centre:1')).toBeUndefined();
    expect(plan.overrules).toMatchObject([{ state: 'kept', breaks: [{ rule: 'SPOT-DRILL', strength: 'C' }] }]);
    expect(plan.overrules[0]?.minutes).toBeLessThan(0);
  });

  test('a chamfer, a groove: the metal stays, and the plan says that the drawing wants it', () => {
    const plan = planned(stud([{ skip: CHAMFER }, { skip: GROOVE }]));
    expect(plan.overrules.map(({ state }) => state)).toEqual(['kept', 'kept']);
    expect(plan.doubts.map(({ rule, path }) => `${rule} ${path}`)).toEqual([
      'NO-OPERATION part.details[0]',
      'NO-OPERATION part.outside[0].chamfers.front',
    ]);
  });

  test('what the part is not made without stays, whoever signs', () => {
    const file = stud([{ skip: 'turn-finish:part.outside[0]', ...signed }]);
    expect(planned(file).overrules).toMatchObject([{ state: 'cannot', breaks: [{ rule: 'NEEDED' }] }]);
    expect(operation(file, 'turn-finish:part.outside[0]')).toBeDefined();
  });

  test('against a hard rule only when it is signed', () => {
    const shaft = (each: Overrule[]) =>
      runOf(
        { material: 'mild-steel', outside: [step('12 h8', 70), step(16, 20)] },
        { way: 'from-bar', overrules: each },
      );
    const asItStands = (file: RunFile) => planned(file, startValues, { only: [usual('from-bar')] });
    const seat = asItStands(shaft([]))
      .setups.flatMap(({ operations }) => operations)
      .find(({ kind }) => kind === 'centre')?.key;
    if (!seat) throw new Error('a long shaft is centred');
    expect(asItStands(shaft([{ skip: seat }])).overrules).toMatchObject([{ state: 'waits' }]);
    expect(asItStands(shaft([{ skip: seat, ...signed }])).overrules).toMatchObject([
      { state: 'kept', breaks: [{ rule: 'CENTRE-SUPPORT', strength: 'H' }] },
    ]);
  });
});

describe('added work', () => {
  const add = { name: 'Stamp the number', end: 'front' as const, minutes: 0.5 };

  test('is there, at its end, before the part-off, and takes its minutes', () => {
    const plan = planned(stud([{ add }]));
    const kinds = plan.setups[0]?.operations.map(({ kind }) => kind) ?? [];
    expect(kinds.indexOf('by-hand')).toBeLessThan(kinds.indexOf('part-off'));
    expect(plan.overrules[0]?.minutes).toBeCloseTo(0.5 * 1.12, 9);
    expect(operation(stud([{ add }]), 'by-hand:front:Stamp the number')).toMatchObject({
      name: 'Stamp the number',
      speed: { value: 0 },
    });
  });

  test('it can be moved like any other, and twice under one name is refused', () => {
    const moved = planned(stud([{ add }, { first: 'by-hand:front:Stamp the number', then: GROOVE }]));
    const keys = moved.setups[0]?.operations.map(({ key }) => key) ?? [];
    expect(keys.indexOf('by-hand:front:Stamp the number')).toBeLessThan(keys.indexOf(GROOVE));
    expect(problemsOf(stud([{ add }, { add }]))[0]).toMatchObject({
      path: 'overrules[1].add.name',
      message: expect.stringContaining('another name'),
    });
  });
});

describe('another holding', () => {
  test('is taken when it can be, with the rule that it breaks', () => {
    // As fast in it as in the chuck: only its minutes differ.
    const cutting = { ...startValues.cutting, holdingSpeed: {} };
    const plan = planned(stud([{ holding: { kind: '4-jaw', grip: 'part.outside[1]' } }]), { ...startValues, cutting });
    expect(plan.setups[1]?.setup.holding).toMatchObject({ kind: '4-jaw', grip: 'part.outside[1]' });
    expect(plan.overrules[0]).toMatchObject({ state: 'kept', breaks: [] });
    expect(plan.overrules[0]?.minutes).toBeCloseTo((4 - 0.25) * 1.12, 1);
  });

  test('jaws bare on a fit want a signature; a means that holds nothing here is told', () => {
    const jaws = { holding: { kind: '3-jaw', grip: 'part.outside[0]' } };
    const plain = (overrule: Overrule) =>
      planned(stud([overrule], { details: [], outside: [step('12 h8', 14), step(20, 14)] }));
    expect(plain(jaws).overrules).toMatchObject([{ state: 'waits', breaks: [{ rule: 'GRIP-LEFT', strength: 'H' }] }]);
    expect(plain({ ...jaws, ...signed }).setups[1]?.setup.holding).toMatchObject({ kind: '3-jaw' });
    expect(plain({ holding: { kind: 'mandrel' } }).overrules).toMatchObject([{ state: 'cannot' }]);
  });
});

test('they are told in the plan file, whatever they are; an entry that says two things is refused', () => {
  const overrules: Overrule[] = [
    { skip: CHAMFER },
    { operation: GROOVE, tool: 'blade-2' },
    { add: { name: 'Stamp', end: 'back', minutes: 1 } },
    { holding: { kind: '4-jaw' } },
  ];
  expect(planFileOf(planned(stud(overrules))).overrules).toMatchObject(
    overrules.map((overrule) => ({ ...overrule, state: 'kept' })),
  );
  expect(
    problemsOf({ ...stud(), overrules: [{ skip: CHAMFER, operation: GROOVE, tool: 'blade-2' }] })[0],
  ).toMatchObject({ path: 'overrules[0]', message: expect.stringContaining('two things at once') });
  expect(problemsOf({ ...stud(), overrules: [{ because: 'so' }] })[0]?.message).toContain('says nothing');
});
