import { choicesOf } from '../../ask/choices';
import type { RunFile } from '../../read/runFile';
import type { Overrule } from '../../model/overrule';
import { startValues } from '../../model/shop/startValues';
import { planned, problemsOf, runOf, step } from '../../testing';

/** A collar drilled and reamed through, with a groove in its larger step, which both ends get at. */
const collar = (overrules: Overrule[] = [], more: Partial<RunFile> = {}): RunFile =>
  runOf(
    {
      outside: [step(18, 14), step(26, 16), step(18, 14)],
      bores: [
        { from: 'front', shape: 'drill', diameter: 7.8, depth: 'through' },
        { from: 'front', shape: 'ream', diameter: '8 H7', depth: 'through' },
      ],
    },
    { way: 'from-bar', overrules, ...more },
  );
const setupsOf = (file: RunFile) =>
  planned(file).setups.map(({ setup, operations }) => ({
    end: setup.end,
    does: operations
      .filter(({ feature }) => feature.startsWith('part.'))
      .map(({ kind, feature }) => `${kind} ${feature}`),
  }));
const endOf = (file: RunFile, path: string) =>
  setupsOf(file).find(({ does }) => does.some((name) => name.endsWith(path)))?.end;

test('a hole through the part is made from the front, or from the back where it is decided so, with what is reamed in it', () => {
  expect([endOf(collar(), 'bores[0]'), endOf(collar(), 'bores[1]')]).toEqual(['front', 'front']);
  const plan = collar([{ feature: 'part.bores[0]', end: 'back' }]);
  expect([endOf(plan, 'bores[0]'), endOf(plan, 'bores[1]')]).toEqual(['back', 'back']);
  expect(planned(plan).overrules).toMatchObject([{ state: 'kept', breaks: [] }]);
  expect(planned(plan).doubts).toEqual([]);
});

test('a step that both ends get at is turned from the end that is named', () => {
  const middle = 'outside[1]';
  expect(endOf(collar(), middle)).toBe('front');
  expect(endOf(collar([{ feature: `part.${middle}`, end: 'back' }]), middle)).toBe('back');
  // The other end first, and named for the front: the same step waits for the second set-up.
  const turned = collar([{ feature: `part.${middle}`, end: 'front' }], { firstEnd: 'back' });
  expect(setupsOf(turned).map(({ end }) => end)).toEqual(['back', 'front']);
  expect(endOf(turned, middle)).toBe('front');
});

test('what the other end does not get at is not followed, and says why; the plan is as it was', () => {
  const plan = planned(collar([{ feature: 'part.outside[0]', end: 'back' }]));
  expect(plan.overrules).toMatchObject([{ state: 'cannot' }]);
  expect(plan.warnings.join()).toContain('it is not reached from the back');
  const settled = (file: RunFile) => planned(file, startValues, {}).times.piece.value;
  expect(plan.times.piece.value).toBe(settled(collar()));
});

test('both ends are offered, each planned through', () => {
  const choices = choicesOf(collar([], { firstEnd: 'front' }), startValues, { feature: 'part.bores[0]' });
  expect(choices.map(({ id, planned: is }) => [id, is])).toEqual([
    ['front', true],
    ['back', false],
  ]);
  const back = planned(collar([{ feature: 'part.bores[0]', end: 'back' }], { firstEnd: 'front' }), startValues, {});
  expect(choices[1]?.batchMinutes).toBeCloseTo(back.times.batch.value, 9);
});

test('an end that is none is refused with its place', () => {
  expect(problemsOf(collar([{ feature: 'part.bores[0]' } as unknown as Overrule]))[0]?.path).toBe('overrules[0].end');
});
