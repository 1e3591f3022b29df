import { example, planned } from '../testing';
import { volumeOf } from '../plan/proof/section/section';
import { filmOf, stillAt } from './film';

const plan = planned(example('sensor-spacer'));
const [first, second] = plan.setups;
if (!first || !second) throw new Error('two set-ups are expected');
const film = filmOf(plan, first);

test('its cuts take the minutes of the plan, its ways at rapid next to none', () => {
  const cutting = film.shots.filter(({ to }) => to.by !== 'rapid');
  const said = first.operations.flatMap(({ passes }) => passes.map(({ minutes }) => minutes.value));
  const played = cutting.reduce((sum, { minutes }) => sum + minutes, 0);
  expect(played).toBeCloseTo(
    said.reduce((sum, minutes) => sum + minutes, 0),
    9,
  );
  expect(film.minutes - played).toBeLessThan(0.2 * film.minutes);
});

test('every operation that cuts is in it, in its order, each shot beginning where the one before ends', () => {
  const numbers = [...new Set(film.shots.map(({ operation }) => operation))];
  expect(numbers).toEqual(first.operations.filter(({ passes }) => passes.length > 0).map(({ number }) => number));
  for (const [index, shot] of film.shots.slice(1).entries()) {
    const before = film.shots[index];
    expect(shot.begins).toBeCloseTo((before?.begins ?? 0) + (before?.minutes ?? 0), 9);
  }
});

test('half-way through a pass half of what it takes is gone', () => {
  // Rough ⌀26.5 from ⌀30 in one pass, over the length from the face to 24.8.
  const shot = film.shots.find(({ operation, to }) => operation === 20 && to.z > 20);
  if (!shot) throw new Error('no such pass');
  const half = stillAt(film, shot.begins + shot.minutes / 2);
  const whole = volumeOf(shot.before) - volumeOf(shot.after);
  const gone = volumeOf(shot.before) - volumeOf(half?.metal ?? []);
  // It begins 2 before the face: half of the way of 26.8 is 13.4, of which 11.4 are in metal of 24.8.
  expect(gone / whole).toBeCloseTo(11.4 / 24.8, 1);
  expect(half?.at.z).toBeCloseTo(-2 + 26.8 / 2, 3);
});

test('at its beginning nothing is cut, at its end the piece is off; before and beyond it stands still', () => {
  expect(stillAt(film, 0)?.metal).toBe(film.shots[0]?.before);
  expect(stillAt(film, film.minutes)?.index).toBe(film.shots.length - 1);
  expect(stillAt(film, film.minutes + 1)?.metal).toBe(film.shots.at(-1)?.after);
  expect(stillAt({ shots: [], minutes: 0 }, 0)).toBeUndefined();
});

test('near the jaws it says how near', () => {
  // In the second set-up the chamfer at the back ends 2 before the soft jaws.
  const near = filmOf(plan, second);
  const chamfer = near.shots.find(({ operation, to }) => operation === 130 && to.by === undefined);
  if (!chamfer) throw new Error('no chamfer');
  const still = stillAt(near, chamfer.begins + chamfer.minutes * 0.999);
  expect(still?.nearest?.what).toBe('jaws');
  expect(still?.nearest?.distance).toBeGreaterThan(0.5);
  expect(still?.nearest?.distance).toBeLessThan(2);
});
