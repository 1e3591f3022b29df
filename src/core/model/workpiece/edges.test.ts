import { edgesOf } from './edges';
import { cylinder } from './profile';
import { along } from './segment';
import { solid } from './workpiece';

const places = (...args: Parameters<typeof edgesOf>) =>
  edgesOf(...args).map(({ z, r, inside }) => [z, r, inside ? 'in' : 'out']);

describe('edges that stand out', () => {
  test('a plain pin has two, a shoulder one more: its corner is none', () => {
    expect(places(solid(0, 20, 10), 50)).toEqual([
      [0, 5, 'out'],
      [20, 5, 'out'],
    ]);
    const stepped = { outside: [cylinder(0, 8, 4), cylinder(8, 20, 6)], bore: [cylinder(0, 20, 0)] };
    expect(places(stepped, 50)).toEqual([
      [0, 4, 'out'],
      [8, 6, 'out'],
      [20, 6, 'out'],
    ]);
  });

  test('a chamfer of 45° leaves two blunt ones instead of a sharp one', () => {
    const chamfered = { outside: [{ z0: 0, z1: 1, r0: 4, r1: 5 }, cylinder(1, 20, 5)], bore: [cylinder(0, 20, 0)] };
    expect(places(chamfered, 50)).toEqual([[20, 5, 'out']]);
    expect(edgesOf(chamfered, 40).map(({ turns }) => Math.round(turns))).toEqual([45, 45, 90]);
  });

  test('a hole right through has two mouths; a blind one has one, and its step inside one', () => {
    expect(places({ ...solid(0, 10, 20), bore: [cylinder(0, 10, 3)] }, 50)).toEqual([
      [0, 10, 'out'],
      [10, 10, 'out'],
      [10, 3, 'in'],
      [0, 3, 'in'],
    ]);
    const stepped = [cylinder(0, 4, 5), cylinder(4, 7, 3), cylinder(7, 10, 0)];
    expect(places({ ...solid(0, 10, 20), bore: stepped }, 50)).toEqual([
      [0, 10, 'out'],
      [10, 10, 'out'],
      [4, 3, 'in'],
      [0, 5, 'in'],
    ]);
  });

  test('a rounded corner runs into the face and the cylinder without an edge', () => {
    const arc = { z: 2, r: 3, radius: 2, hollow: false };
    const rounded = { outside: [along(arc, 0, 2), cylinder(2, 20, 5)], bore: [cylinder(0, 20, 0)] };
    expect(places(rounded, 50)).toEqual([[20, 5, 'out']]);
  });
});
