import { choicesOf } from '../../ask/choices';
import { planFileOf } from '../../formats/planFile';
import { planFileSchema } from '../../formats/planFileSchema';
import { checkShape } from '../../read/problems';
import type { DetailFile, HoleFile, RunFile } from '../../read/runFile';
import { startValues } from '../../model/shop/startValues';
import { planned, runOf, step } from '../../testing';

/** An axle with a journal at either end, from a blank of the body's diameter. */
const axle = (
  limit: number,
  { details = [], bores = [], ...more }: { details?: DetailFile[]; bores?: HoleFile[] } & Partial<RunFile> = {},
): RunFile =>
  runOf(
    {
      material: 'mild-steel',
      outside: [
        step('10 h7', 20, { name: 'front journal' }),
        step(16, 60),
        step('10 h7', 20, { name: 'back journal' }),
      ],
      details,
      bores,
      runout: [{ of: 'front journal', to: 'back journal', limit }],
    },
    { way: 'sawn-blanks', ...more },
  );
const asked = { overrules: [{ holding: { kind: 'between-centres' } }] };
const heldIn = (file: RunFile) => planned(file).setups.map(({ setup }) => setup.holding.kind);

describe('between centres', () => {
  test('0.01 between two journals is closer than any chuck or collet turns round: both ends centred, then both sides', () => {
    const plan = planned(axle(0.01));
    expect(plan.setups.map(({ setup, operations }) => [setup.end, operations.map(({ kind }) => kind)])).toEqual([
      ['front', ['face', 'centre']],
      ['back', ['face', 'centre']],
      ['front', ['turn-rough', 'turn-finish', 'deburr', 'inspect']],
      ['back', ['turn-rough', 'turn-finish', 'deburr', 'inspect']],
    ]);
    expect(plan.doubts).toEqual([]);
    expect(checkShape(planFileSchema, JSON.parse(JSON.stringify(planFileOf(plan))))).toMatchObject({ ok: true });
    const [one, two, three, four] = plan.setups;
    // The dog takes 12 of the far end: of 100 there are 88, and what it sits on is turned round with it.
    expect(three?.setup.holding).toMatchObject({ kind: 'between-centres', grip: 'stock', from: 88, runOut: 0.01 });
    expect(four?.setup.holding).toMatchObject({ kind: 'between-centres', grip: 'part.outside[0]', from: 88 });
    expect(three?.workStop).toMatchObject({ means: 'centre-depth', setting: { value: 3.15 } });
    // A minute in between the centres, a quarter in the collet, and no centre brought up beside.
    expect(three?.loading.terms.map(({ name, value }) => [name, value])).toEqual([
      ['load between centres', 1],
      ['unload and wipe', 0.25],
    ]);
    const hands = plan.setups.flatMap(({ operations }) => operations.flatMap(({ hand }) => hand.terms));
    expect(hands.filter(({ name, value }) => name.includes('centre') && value > 0)).toEqual([]);
    // One collet for both ends, and the centres once.
    expect([one, two, three, four].map((setup) => setup?.setup.holding.change)).toEqual([2, 0, 4, 0]);
  });

  test('what a collet holds true enough stays in two set-ups', () => {
    expect(heldIn(axle(0.03))).toHaveLength(2);
  });

  test('asked for, it is taken; the lengths of each side are measured from its own face', () => {
    const plan = planned(axle(0.1, asked));
    expect(plan.overrules).toMatchObject([{ state: 'kept' }]);
    expect(plan.setups).toHaveLength(4);
    const shoulders = plan.lengths.faces.filter(({ face }) => face === 1 || face === 2);
    expect(shoulders).toMatchObject([
      { setup: 3, from: 'front', distance: 20 },
      { setup: 4, from: 'back', distance: 20 },
    ]);
  });

  test('a hole on the axis, a bar, a thread under the dog: not followed, and why', () => {
    const because = (file: RunFile) => {
      const overrule = planned(file).overrules[0];
      return overrule?.state === 'cannot' ? overrule.breaks.map((broken) => broken.because).join() : undefined;
    };
    const drilled = axle(0.1, { ...asked, bores: [{ from: 'front', shape: 'drill', diameter: 4, depth: 10 }] });
    expect(because(drilled)).toContain('a hole on the axis takes the place of the centre');
    expect(because(axle(0.1, { ...asked, way: 'from-bar' }))).toContain('from sawn blanks only');
    const threaded = axle(0.1, {
      ...asked,
      details: [{ kind: 'thread', at: 0, length: 12, designation: 'M10' }],
    });
    expect(because(threaded)).toContain('the dog would sit on the');
  });

  test('a dog that is in the way whichever end it is on', () => {
    const because = (...lengths: number[]) => {
      const outside = lengths.map((length, index) => step(index === 1 ? 16 : 10, length));
      return planned(runOf({ outside }, { way: 'sawn-blanks', ...asked })).overrules[0]?.breaks[0]?.because;
    };
    // 12 of dog and 2 clear leave 6 of 20, and the shoulder is at 12.
    expect(because(12, 8)).toContain('the dog is in the way');
    expect(because(8, 14, 8)).toContain('takes 12 mm of the front, and its first step is 8 mm long');
  });

  test('it is among the choices, with its minutes or why it cannot be', () => {
    const choices = choicesOf(axle(0.03), startValues, { setup: 2 });
    const choice = choices.find(({ id }) => id.startsWith('between-centres'));
    expect(choice).toMatchObject({ name: 'between centres, on the blank', planned: false });
    expect(choice?.batchMinutes).toBeGreaterThan(planned(axle(0.03)).times.batch.value);
    const taken = choicesOf(axle(0.01), startValues, { setup: 2 });
    expect(taken.filter((one) => one.planned).map(({ id }) => id)).toEqual(['between-centres stock']);
    expect(taken.length).toBeGreaterThan(1);
    const bored = axle(0.1, { bores: [{ from: 'front', shape: 'drill', diameter: 4, depth: 10 }] });
    expect(choicesOf(bored, startValues, { setup: 2 }).find(({ id }) => id.startsWith('between'))?.problem).toContain(
      'hole on the axis',
    );
  });

  test('decided otherwise, it is held otherwise, and what that costs is told', () => {
    const plan = planned(axle(0.01, { overrules: [{ holding: { kind: 'collet' } }] }));
    expect(plan.setups).toHaveLength(2);
    expect(plan.overrules).toMatchObject([{ state: 'kept', breaks: [{ rule: 'SAME-SETUP' }] }]);
  });
});
