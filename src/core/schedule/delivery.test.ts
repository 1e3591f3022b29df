import { deliveryOf } from './delivery';
import { asked, days, MONDAY, run } from './testing';

const one = { people: days().people.slice(0, 1) };

test('a run that is not ordered yet is put in where it makes nobody late', () => {
  // 60 + 400 of 1 are Monday’s 480 but for 20, and it is promised for Monday: 2 comes behind it, 60 + 100 from 15.10 on,
  // 20 minutes of Monday and 140 of Tuesday.
  const offered = deliveryOf(
    asked([run(1, 400, { due: MONDAY }), run(2, 100)], { ...one, order: [{ lathe: 'A', runs: [1] }] }),
    2,
  );
  expect(offered).toMatchObject({ lathe: 'A', delivered: 1440 + 420 + 140, harmed: [] });
  // What comes before it and itself may take longer: four of five times it is there later than planned, and on that day.
  expect(offered?.p80).toBeGreaterThan(1440 + 420 + 140);
  expect(offered?.p80).toBeLessThan(2 * 1440);
});

test('one that stands in the order is there when the order has it', () => {
  const standing = deliveryOf(
    asked([run(1, 400), run(2, 100)], {
      order: [
        { lathe: 'A', runs: [1] },
        { lathe: 'B', runs: [2] },
      ],
    }),
    2,
  );
  expect(standing).toMatchObject({ lathe: 'B', delivered: 420 + 160, harmed: [] });
});

test('one that no lathe can make is delivered never', () => {
  const none = run(2, 100, { lathes: [{ lathe: 'A', problem: 'too thick' }] });
  expect(deliveryOf(asked([run(1, 400), none], { order: [{ lathe: 'A', runs: [1] }] }), 2)).toBeUndefined();
});

test('whom it makes late is told, where nothing else will do', () => {
  // Pinned to Monday it is begun behind 1, at ten past three.
  const pinned = asked([run(1, 400, { due: MONDAY }), run(2, 100)], {
    ...one,
    order: [{ lathe: 'A', runs: [1] }],
    runs: [{ run: 2, day: MONDAY }],
  });
  expect(deliveryOf(pinned, 2)?.harmed).toEqual([]);
  const before = asked([run(1, 400, { due: MONDAY }), run(2, 100)], {
    ...one,
    order: [{ lathe: 'A', runs: [1] }],
    runs: [{ run: 1, after: [2] }],
  });
  expect(deliveryOf(before, 2)).toMatchObject({ delivered: 420 + 160, harmed: [1] });
});
