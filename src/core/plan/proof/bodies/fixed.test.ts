import { startValues } from '../../../model/shop/startValues';
import { distance, rectangle } from './convex';
import { catcherBody, holdingBodies, restBody } from './fixed';

const { bodies, machines } = startValues;
const machine = machines[0] as (typeof machines)[number];

/** A small square at a place. */
const speck = (z: number, r: number) => rectangle(z, z + 0.1, r, r + 0.1);

describe('jaws in steps', () => {
  // On ⌀20 from 30: the first step reaches from 30 to 38 and out to 10 + 18; behind it they are ⌀160.
  const jaws = holdingBodies({ kind: '3-jaw', grip: 'stock', diameter: 20, from: 30, to: 55 }, machine, bodies);
  const meets = (z: number, r: number) => jaws.some(({ polygon }) => distance(speck(z, r), polygon) < 0);

  test('a tool goes over their first step, and not farther', () => {
    expect(meets(31, 15)).toBe(true);
    expect(meets(31, 28.5)).toBe(false);
    expect(meets(37.5, 28.5)).toBe(false);
    expect(meets(38.5, 28.5)).toBe(true);
    expect(meets(38.5, 79)).toBe(true);
    expect(meets(29, 15)).toBe(false);
  });

  test('a collet has no steps', () => {
    const collet = holdingBodies({ kind: 'collet', grip: 'stock', diameter: 20, from: 30, to: 55 }, machine, bodies);
    expect(collet.some(({ polygon }) => distance(speck(31, 28.5), polygon) < 0)).toBe(true);
  });
});

test('a rod through a bore of ⌀10 is ⌀8.5: a blade 0.7 beyond the wall is clear of it, one 0.8 beyond is not', () => {
  const { polygon } = catcherBody(20, 5, bodies);
  expect(distance(speck(15, 5 - 0.7), polygon)).toBeGreaterThan(0);
  expect(distance(speck(15, 5 - 0.8), polygon)).toBeLessThan(0);
  expect(distance(speck(20.5, 1), polygon)).toBeGreaterThan(0);
});

test('a rest stands about the work and leaves it free', () => {
  const { polygon } = restBody({ kind: 'fixed', from: 40, to: 60 }, 6, bodies);
  expect(distance(speck(50, 5.8), polygon)).toBeGreaterThan(0);
  expect(distance(speck(50, 59), polygon)).toBeLessThan(0);
  expect(distance(speck(50, 61), polygon)).toBeGreaterThan(0);
});
