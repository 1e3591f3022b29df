import { startValues } from './shop/startValues';
import { planned, runOf, step } from './testing';
import { tryCut } from './whatIf';

const file = runOf({ material: 'mild-steel', outside: [step('12 h8', 20), step(22, 14)] }, { way: 'from-bar' });
const ROUGH = 'turn-rough:part.outside[0]';
const FINISH = 'turn-finish:part.outside[0]';
const tried = (key: string, ...more: [Parameters<typeof tryCut>[3], string?]) => {
  const own = tryCut(file, startValues, key, ...more);
  if (!own.ok) throw new Error(own.because);
  return own.state;
};
const measured = (state: ReturnType<typeof tried>, name: string) => state.measures.find((own) => own.name === name);

test('as it is planned: nothing asked for, nothing changed', () => {
  const own = planned(file).setups[0]?.operations.find(({ key }) => key === FINISH);
  const state = tried(FINISH, {});
  expect(state).toMatchObject({ speed: own?.speed.value, feed: own?.feed.value });
  expect(state.pieceMinutes).toBe(planned(file).times.piece.value);
});

test('twice the feed: less time, four times the roughness against what the drawing asks for', () => {
  const [now, then] = [tried(FINISH, { feed: 0.05 }), tried(FINISH, { feed: 0.1 })];
  expect(measured(then, 'time')?.value ?? 0).toBeLessThan(measured(now, 'time')?.value ?? 0);
  expect((measured(then, 'roughness Ra')?.value ?? 0) / (measured(now, 'roughness Ra')?.value ?? 1)).toBeCloseTo(4, 9);
});

test('half the depth of roughing: twice the passes at least, and half the force', () => {
  const now = tried(ROUGH, {});
  const half = tried(ROUGH, { depth: now.depth / 2, feed: now.feed, speed: now.speed });
  expect(half.passes).toBe(2 * now.passes);
  expect((measured(half, 'main force')?.value ?? 0) / (measured(now, 'main force')?.value ?? 1)).toBeCloseTo(0.5, 2);
});

test('deeper than the motor or the grip allows is done, and told with what is within the limit', () => {
  const { warnings } = tried(ROUGH, { depth: 4.5 });
  expect(warnings.join()).toMatch(/So decided, and beyond a limit: .*a side is within it/);
});

test('a faster speed wears an edge sooner, by the fourth power where n is 0.25', () => {
  const speeds = planned(file).run.shop.machine.speeds;
  const { speed } = tried(FINISH, {});
  const slower = speeds.findLast((own) => own < speed) ?? 0;
  const life = (own: number) => measured(tried(FINISH, { speed: own }), 'an edge lasts')?.value ?? 0;
  expect(life(slower) / life(speed)).toBeCloseTo((speed / slower) ** 4, 6);
});

test.each([
  [FINISH, { speed: 333 }, 'has no 333 rev/min; next to it are 250 and 400'],
  [FINISH, { feed: 0.07 }, 'has no feed of 0.07 mm/rev'],
  [FINISH, { depth: 0.1 }, 'is not divided by a depth'],
  ['turn-finish:part.outside[9]', {}, 'no such operation'],
])('%s with %j cannot be: %s', (key, wish, words) => {
  expect(tryCut(file, startValues, key, wish)).toEqual({ ok: false, because: expect.stringContaining(words) });
});

test('what is kept is an overrule: planned so, priced, and told', () => {
  const plan = planned({ ...file, overrules: [{ operation: FINISH, cut: { feed: 0.05 } }] });
  const own = plan.setups[0]?.operations.find(({ key }) => key === FINISH);
  expect(own?.feed).toMatchObject({ value: 0.05, note: expect.stringContaining('The planner would take') });
  expect(plan.overrules).toMatchObject([{ state: 'kept' }]);
  expect(plan.overrules[0]?.minutes ?? 0).toBeGreaterThan(0);
});
