import type { PartFile } from '../../read/runFile';
import { example, planned, runOf, step } from '../../testing';
import { planFileOf } from '../../formats/planFile';

const doubts = (part: Partial<PartFile>, more: Parameters<typeof runOf>[1] = {}) => planned(runOf(part, more)).doubts;
const rules = (...args: Parameters<typeof doubts>) => doubts(...args).map(({ rule, path }) => [rule, path]);

test('a feature without an operation is told at its entry, in the plan and in its warnings', () => {
  const knurl = [{ kind: 'knurl' as const, at: 2, length: 8, pattern: 'straight' as const, pitch: 0.7 }];
  const plan = planned(runOf({ outside: [step(12, 14), step(14, 20)], details: knurl }));
  expect(plan.doubts).toEqual([
    {
      path: 'part.details[0]',
      rule: 'NO-OPERATION',
      because: expect.stringContaining('straight knurl, pitch 0.7 mm: no operation yet'),
    },
  ]);
  expect(planFileOf(plan).warnings).toContainEqual(expect.stringContaining('no operation yet'));
});

test('a cone longer than the compound goes says so: √(60² + 4²) = 60.13, and that goes 60', () => {
  const [doubt] = doubts({ outside: [{ shape: 'cone', from: 12, to: 20, length: 60 }, step(20, 30)] });
  expect(doubt).toMatchObject({ path: 'part.outside[0]', rule: 'NO-OPERATION' });
  expect(doubt?.because).toContain('its flank is 60.13 mm long and the compound of centre lathe A goes 60 mm');
});

test('a recess is turned over, and cut with the blade', () => {
  const plan = planned(runOf({ outside: [step(20, 20), step(10, 5), step(18, 20)] }));
  expect(plan.run.part.steps.map(({ diameter }) => diameter.nominal)).toEqual([20, 18, 18]);
  expect(plan.doubts).toEqual([]);
  const cut = plan.setups.flatMap(({ operations }) => operations).find(({ kind }) => kind === 'groove');
  expect(cut).toMatchObject({ feature: 'part.outside[1]', diameter: 10 });
});

test('a hexagon that the bar brings needs no operation; from round bar it is milled', () => {
  const outside = [step(12, 20), { shape: 'hex' as const, across: 17, length: 12 }];
  expect(rules({ outside })).toEqual([]);
  expect(planned(runOf({ outside })).outside).toEqual([]);
  expect(rules({ outside }, { stock: { size: 22 } })).toEqual([]);
  expect(planned(runOf({ outside }, { stock: { size: 22 } })).outside).toMatchObject([{ feature: 'part.outside[1]' }]);
});

test('a hole drilled from the back is drilled in the set-up that sees the back', () => {
  const plan = planned(
    runOf({ outside: [step(14, 30)], bores: [{ from: 'back', shape: 'drill', diameter: 5, depth: 12 }] }),
  );
  const drilled = plan.setups.find(({ operations }) => operations.some(({ kind }) => kind === 'drill'));
  expect(drilled?.setup.end).toBe('back');
  expect(plan.doubts).toEqual([]);
});

describe('what could not be made', () => {
  const outside = [step(14, 10), step(20, 20)];
  const thread = { kind: 'thread' as const, at: 0, length: 10, designation: 'M14x1' };
  const threadEnds = (...details: NonNullable<PartFile['details']>) =>
    rules({ outside, details }).filter(([rule]) => rule === 'THREAD-RUN-OUT');

  test('a thread against a shoulder: two pitches of relief to its core, or a run-out', () => {
    expect(threadEnds(thread)).toEqual([['THREAD-RUN-OUT', 'part.details[0]']]);
    expect(threadEnds({ ...thread, length: 7, runOut: 2 })).toEqual([]);
    expect(threadEnds({ ...thread, length: 7 }, { kind: 'groove', at: 7, width: 3, bottom: 12.6 })).toEqual([]);
    // On a plain cylinder that goes on for two pitches it runs out. Beside a larger diameter its tool wants room for its side, 2 ahead of
    // the tip, and for what it goes on until it is drawn out of there: ⌀20 stands 10 − 6.387 = 3.613 over the core, whose flank slants
    // 3.613 · tan 30° = 2.086 ahead, more than the side: 2 + 1 · (1 − 2 / 2.086) = 2.041.
    expect(threadEnds({ ...thread, length: 7.95 })).toEqual([]);
    // At 8 one is ground to 1.9 beside its tip: 1.9 + 1 · (1 − 1.9 / 2.086) = 1.989. With less than two pitches the last turn is by hand,
    // and drawn out in a quarter of it: at 9 one of 0.8 wants 0.8 + 0.25 · (1 − 0.8 / 2.086) = 0.954. A pitch it wants at least.
    expect(threadEnds({ ...thread, length: 8 })).toEqual([]);
    expect(threadEnds({ ...thread, length: 8.5 })).toEqual([]);
    expect(threadEnds({ ...thread, length: 9 })).toEqual([]);
    expect(threadEnds({ ...thread, length: 9.05 })).toHaveLength(1);
    // A run-out that is said lies where nothing wider stands: the shoulder at 10 is no room.
    expect(threadEnds({ ...thread, length: 9.05, runOut: 2 })).toHaveLength(1);
    expect(threadEnds({ ...thread, runOut: 2 })).toHaveLength(1);
    // 14 − 2 · 0.6134 = 12.77: a relief to 13 leaves the tool in metal.
    expect(threadEnds({ ...thread, length: 7 }, { kind: 'groove', at: 7, width: 3, bottom: 13 })).toHaveLength(1);
  });

  test('a thread from the back ends at its shoulder as one from the front does; a die wants a pitch of relief', () => {
    const small = (at: number, ...more: NonNullable<PartFile['details']>) =>
      rules({
        outside: [step(16, 10), step(8, 15)],
        details: [{ kind: 'thread', at, length: 25 - at, designation: 'M8' }, ...more],
      }).filter(([rule]) => rule === 'THREAD-RUN-OUT');
    expect(small(10)).toHaveLength(1);
    expect(small(13)).toEqual([]);
    // 8 − 2 · 0.6134 · 1.25 = 6.466 is its core.
    expect(small(11.5, { kind: 'groove', at: 10, width: 1.5, bottom: 6.4 })).toEqual([]);
    expect(small(11.5, { kind: 'groove', at: 10, width: 1.5, bottom: 7 })).toHaveLength(1);
  });

  test('a groove narrower than the narrowest blade, or deeper than those that fit', () => {
    const groove = (width: number, bottom: number) =>
      doubts({ outside: [step(30, 40)], details: [{ kind: 'groove', at: 10, width, bottom }] }).find(
        ({ rule }) => rule === 'NO-TOOL-REACHES',
      )?.because;
    // Narrower than every blade one is ground, which reaches eight of its widths.
    expect(groove(1, 28)).toBeUndefined();
    expect(groove(0.1, 28)).toContain('1 mm deep, and the blades that fit its width reach 0.8 mm');
    expect(groove(1.6, 10)).toContain('10 mm deep, and the blades that fit its width reach 9 mm');
    expect(groove(2, 10)).toBeUndefined();
  });

  test('a fit finer than IT6, a wall under a tenth of its diameter', () => {
    expect(rules({ outside: [step('14 h5', 20)] })).toEqual([['FINE-FIT', 'part.outside[0]']]);
    expect(rules({ outside: [step('14 h6', 20)] })).toEqual([]);
    const bores = [{ from: 'front' as const, shape: 'drill' as const, diameter: 17, depth: 'through' }];
    expect(rules({ outside: [step(20, 30)], bores })).toEqual([['THIN-WALL', 'part']]);
  });

  test('run-out between two set-ups is as good as the second holding', () => {
    const tied = (limit: number) =>
      rules({
        outside: [step(12, 12, { name: 'journal' }), step(20, 6), step(14, 14, { name: 'seat' })],
        runout: [{ of: 'journal', to: 'seat', limit }],
      });
    // Dialled true in four jaws it runs to 0.02, between centres to 0.01, and nothing runs truer.
    expect(tied(0.005)).toEqual([['SAME-SETUP', 'part.runout[0]']]);
    expect(tied(0.015)).toEqual([]);
    expect(tied(0.02)).toEqual([]);
  });
});

test('the gland body: every feature is made, the hexagon comes with the bar', () => {
  const plan = planned(example('gland-body'));
  expect(plan.stock).toMatchObject({ form: 'hex', size: 24 });
  expect(plan.doubts).toEqual([]);
});
