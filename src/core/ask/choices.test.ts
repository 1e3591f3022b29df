import { choicesOf } from './choices';
import { startValues } from '../model/shop/startValues';
import { example, planned, runOf, step } from '../testing';

test('the blades that cut a groove, each with its minutes; the planned one is among them', () => {
  const file = runOf(
    { outside: [step(16, 20), step(22, 10)], details: [{ kind: 'groove', at: 8, width: 4, bottom: 12 }] },
    { way: 'from-bar' },
  );
  const choices = choicesOf(file, startValues, { operation: 'groove:part.details[0]' });
  expect(choices.map(({ id }) => id)).toEqual(['blade-1.5', 'blade-2', 'blade-2.5', 'blade-3', 'blade-4']);
  expect(choices.filter((choice) => choice.planned).map(({ id }) => id)).toEqual(['blade-4']);
  // Narrower blades want more plunges; that each figure is its own plan's:
  const narrow = choices.find(({ id }) => id === 'blade-1.5');
  const shown = planned(file, startValues, {});
  const alone = planned(
    { ...file, overrules: [{ operation: 'groove:part.details[0]', tool: 'blade-1.5' }] },
    startValues,
    { first: shown.skeleton, until: 'sound' },
  );
  expect(narrow?.pieceMinutes).toBeCloseTo(alone.times.piece.value, 9);
  expect(narrow?.pieceMinutes ?? 0).toBeGreaterThan(shown.times.piece.value);
});

test('what could hold the second side, by means and surface', () => {
  const choices = choicesOf(example('pivot-pin'), startValues, { setup: 2 });
  expect(choices.filter((choice) => choice.planned)).toHaveLength(1);
  expect(
    choices.every(({ name, batchMinutes = 0, problem }) => name.includes(', on ') && (problem ?? batchMinutes > 0)),
  ).toBeTruthy();
  expect(choices.filter(({ problem }) => problem !== undefined).map(({ id }) => id)).toEqual(['between-centres stock']);
  expect(new Set(choices.map(({ id }) => id)).size).toBe(choices.length);
});

test('what could hold the stock: each is its own plan, and a collet is not offered to a hexagon', () => {
  const round = choicesOf(example('pivot-pin'), startValues, { setup: 1 });
  expect(round.map(({ overrule }) => overrule)).toContainEqual({ setup: 1, holding: { kind: '3-jaw' } });
  expect(round.filter((choice) => choice.planned).map(({ name }) => name)).toEqual(['in soft jaws, on the bar']);
  const hex = choicesOf(example('clamp-nut'), startValues, { setup: 1 });
  expect(hex.map(({ name }) => name)).toEqual(['in a three-jaw chuck, on the bar']);
});

test('of a run that cannot be planned there is nothing to choose', () => {
  expect(choicesOf(runOf({ outside: [] }), startValues, { setup: 2 })).toEqual([]);
});

test('in how many set-ups: each that can be with its minutes, and why not where it cannot', () => {
  // A pin with a head: both of its ends are faced, so never in one.
  const file = runOf({ outside: [step(12, 30), step(18, 8)] }, { way: 'from-bar' });
  const choices = choicesOf(file, startValues, { route: 'setups' });
  expect(choices.map(({ id }) => id)).toEqual(['1', '2', '3', '4']);
  expect(choices.filter((choice) => choice.planned).map(({ id }) => id)).toEqual(['2']);
  expect(choices.map(({ problem }) => problem !== undefined)).toEqual([true, false, false, true]);
  // In three its end is faced and centred before it is drawn out.
  // From the bar a slender one is drawn out a piece at a time: in three.
  const slender = runOf({ material: 'stainless-303', outside: [step('8 h8', 80), step(14, 10)] }, { way: 'from-bar' });
  const asked = choicesOf(slender, startValues, { route: 'setups' });
  const other = asked.find(({ planned: is, problem }) => !is && problem === undefined);
  if (!other) throw new Error('there is another');
  const taken = planned({ ...slender, overrules: [other.overrule] });
  expect(`${taken.setups.length}`).toBe(other.id);
});

test('what is left on: of a blank a spigot or an end for a centre, from the bar only that', () => {
  const file = runOf({ outside: [step(12, 30), step(18, 8)] }, { way: 'sawn-blanks' });
  const choices = choicesOf(file, startValues, { route: 'left' });
  expect(choices.map(({ name }) => name)).toEqual(['nothing', 'a spigot to hold it by', 'an end for a centre']);
  const spigot = choices.find(({ id }) => id === 'spigot');
  const taken = planned({ ...file, overrules: [{ leave: 'spigot' }] });
  expect(taken.stock.spigot).toBeGreaterThan(0);
  expect(spigot?.pieceMinutes).toBeCloseTo(taken.times.piece.value, 9);
  const fromBar = choicesOf({ ...file, way: 'from-bar' }, startValues, { route: 'left' });
  expect(fromBar.map(({ id, problem }) => [id, problem])).toEqual([
    ['none', undefined],
    ['centre-end', undefined],
  ]);
});

test('of a part in three set-ups a feature is asked for by its set-up', () => {
  const file = runOf({ material: 'stainless-303', outside: [step('8 h8', 80), step(14, 10)] }, { way: 'sawn-blanks' });
  const choices = choicesOf(file, startValues, { feature: 'part.outside[0]' });
  expect(choices.map(({ name }) => name)).toEqual([
    'in set-up 1, from the front',
    'in set-up 2, from the front',
    'in set-up 3, from the back',
  ]);
  expect(choices.filter(({ planned: is }) => is)).toHaveLength(1);
});
