import { runOf } from '../testing';
import { withEndKept } from './keepEnd';

const shown = { way: 'from-bar', spigot: false, centred: false, dearer: 0, end: 'back' } as const;

test('a decision about a set-up by its number keeps the end that it was taken on', () => {
  for (const overrule of [
    { setup: 2, stickOut: 30 } as const,
    { holding: { kind: 'collet' } },
    { skip: 'deburr:2' },
    { outside: 'part.details[0]', after: 1 },
  ])
    expect(withEndKept(runOf({}, { overrules: [overrule] }), shown).firstEnd).toBe('back');
});

test('others do not, nor where the run names its end or the usual one is shown', () => {
  expect(withEndKept(runOf({}, { overrules: [{ skip: 'chamfer:part.details[0]' }] }), shown).firstEnd).toBeUndefined();
  const decided = runOf({}, { overrules: [{ setup: 2, stickOut: 30 }] });
  expect(withEndKept({ ...decided, firstEnd: 'front' }, shown).firstEnd).toBe('front');
  expect(withEndKept(decided, { ...shown, end: 'front' }).firstEnd).toBe('front');
  expect(withEndKept(runOf({}), shown).firstEnd).toBeUndefined();
});
