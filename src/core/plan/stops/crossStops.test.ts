import { startValues } from '../../model/shop/startValues';
import type { Machine } from '../../model/shop/machine';
import { planned, runOf, step } from '../../testing';

const [start] = startValues.machines as [Machine];
const lathe = (crossStops: number): Machine => ({ ...start, crossStops });

/** A stud ⌀12 × 28 on ⌀20 × 8 from the bar, from its front. */
const stud = (crossStops: number, quantity: number, diameter?: string) =>
  planned(
    runOf(
      {
        number: 'X-1',
        outside: [{ ...step(12, 28), ...(diameter ? { diameter } : {}) }, step(20, 8)],
      },
      { quantity, way: 'from-bar', firstEnd: 'front', machine: lathe(crossStops) },
    ),
  );

const stopsOf = (plan: ReturnType<typeof stud>) =>
  plan.setups.flatMap(({ crossStops, operations }) =>
    crossStops.map(({ diameter, operations: keys }) => ({
      diameter,
      kinds: keys.map((key) => operations.find((operation) => operation.key === key)?.kind),
    })),
  );

// A cut comes to its reading in 0.12 and to a stop in 0.05: 0.07 a piece. It is set in 1.0, so that it wants 15 pieces and more.
describe('stops of the cross-slide', () => {
  test('none where the machine has none, and none that takes longer to set than it saves', () => {
    expect(stopsOf(stud(0, 40))).toEqual([]);
    expect(stopsOf(stud(1, 14))).toEqual([]);
    expect(stopsOf(stud(1, 15))).toHaveLength(1);
  });

  test('forty pieces: 0.07 less each, a minute more to set', () => {
    const [without, with1] = [stud(0, 40), stud(1, 40)];
    const piece = (plan: typeof without) => plan.setups.reduce((sum, planned) => sum + planned.piece.value, 0);
    expect(piece(without) - piece(with1)).toBeCloseTo(0.07, 6);
    expect(with1.times.setup.value - without.times.setup.value).toBeCloseTo(1, 6);
  });

  // ±0.01 either way is 0.04 on a diameter; a third of 0.12 is 0.04.
  test('a diameter closer than three times what it repeats to goes by its reading and the gauge', () => {
    const isFinished = (limits: string) =>
      stopsOf(stud(20, 400, limits)).some(
        ({ diameter, kinds }) => Math.abs(diameter - 12) < 0.2 && kinds.includes('turn-finish'),
      );
    expect(isFinished('12 +0.06 -0.06')).toBe(true);
    expect(isFinished('12 +0.05 -0.06')).toBe(false);
  });

  test('beside another each weighs what a wrong one spoils', () => {
    const [one, two] = [stud(1, 400), stud(2, 400)].map(({ setups }) => setups.flatMap(({ crossStops }) => crossStops));
    expect(one?.map(({ spoils }) => spoils)).toEqual([undefined]);
    expect(two).toHaveLength(2);
    expect(two?.every(({ spoils = 0 }) => spoils > 0)).toBe(true);
  });
});
