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
