import { operationsOf, runOf, step } from '../../../testing';

/** A spigot ⌀9 × 30 with a chamfer on its end before a collar, and a groove so deep at its root. */
const kinds = (bottom: number) =>
  operationsOf(
    runOf(
      {
        outside: [step(9, 30), step(18, 8)],
        details: [
          { kind: 'groove', at: 27, width: 3, bottom },
          { kind: 'chamfer', at: 0, size: 1 },
        ],
      },
      { way: 'from-bar', firstEnd: 'front' },
    ),
  ).map(({ kind }) => kind);

// It stands out 40 and more; the house lets what is by itself stand out four times its diameter: 10, and a neck of 5 only 20.
test('a deep neck comes after the chamfer that presses before it', () => {
  const order = kinds(5);
  expect(order.indexOf('groove')).toBeGreaterThan(order.indexOf('chamfer'));
  expect(order.indexOf('groove')).toBeGreaterThan(order.lastIndexOf('turn-finish'));
});
