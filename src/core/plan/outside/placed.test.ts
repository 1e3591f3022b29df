import type { RunFile } from '../../read/runFile';
import type { Overrule } from '../../model/overrule';
import { planned, plannedAsUsual, runOf, step } from '../../testing';

/** A spindle with a cross hole in its front, worked in two set-ups. */
const spindle = (overrules: Overrule[] = [], part: Partial<RunFile['part']> = {}): RunFile =>
  runOf(
    {
      outside: [step(14, 24, { name: 'journal' }), step(22, 12), step(12, 14)],
      details: [{ kind: 'cross-hole', at: 10, diameter: 4 }],
      ...part,
    },
    { way: 'from-bar', overrules },
  );
const told = (file: RunFile, plan = planned) => {
  const { outside, overrules, warnings } = plan(file);
  return { after: outside.map(({ after }) => after), state: overrules.map(({ state }) => state), warnings };
};

test('a hole across is drilled after all turning, or between the set-ups where it is decided so', () => {
  expect(planned(spindle()).setups).toHaveLength(2);
  expect(told(spindle()).after).toEqual([2]);
  const between = told(spindle([{ outside: 'part.details[0]', after: 1 }]));
  expect([between.after, between.state]).toEqual([[1], ['kept']]);
});

test('not before the diameter it goes through is turned', () => {
  const back = spindle([{ outside: 'part.details[0]', after: 1 }], {
    details: [{ kind: 'cross-hole', at: 42, diameter: 4 }],
  });
  const usual = told(back, (file) => plannedAsUsual(file));
  expect(usual).toMatchObject({ after: [2], state: ['cannot'] });
  expect(usual.warnings.join()).toContain('set-up 2 still turns where it is done');
  // It goes on meaning the front: no route with the back first is taken for it.
  expect(told(back)).toMatchObject({ after: [2], state: ['cannot'] });
});

test('flats not before something is held on them', () => {
  const milled = spindle([{ outside: 'part.details[0]', after: 1 }], {
    details: [{ kind: 'flats', at: 26, length: 8, count: 2, across: 19 }],
  });
  // The second side is held on the collar, where the flats would be.
  expect(plannedAsUsual(milled).setups[1]?.setup.holding.grip).toBe('part.outside[1]');
  const usual = told(milled, (file) => plannedAsUsual(file));
  expect(usual).toMatchObject({ after: [2], state: ['cannot'] });
  expect(usual.warnings.join()).toContain('no jaw goes on a flat');
  // Another route keeps it: the second side is held on the journal.
  expect(told(milled)).toMatchObject({ after: [1], state: ['kept'] });
  expect(planned(milled).setups[1]?.setup.holding.grip).toBe('part.outside[0]');
});

test('nothing is turned after hardening or through a plating, and there is no set-up 5', () => {
  const sent = (kind: 'harden' | 'plate', after: number) =>
    spindle([{ outside: 'part.elsewhere[0]', after }], {
      details: [],
      elsewhere: [kind === 'harden' ? { kind, to: '58 HRC' } : { kind, with: 'zinc', thickness: 0.008 }],
    });
  expect(told(sent('harden', 1)).warnings.join()).toContain('do not cut what is hardened');
  expect(told(sent('plate', 1)).warnings.join()).toContain('nothing is cut through a plating');
  expect(told(sent('harden', 2)).state).toEqual(['kept']);
  expect(told(sent('harden', 5)).warnings.join()).toContain('no set-up 5');
});
