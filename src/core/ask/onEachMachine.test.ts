import { startValues } from '../model/shop/startValues';
import type { Machine } from '../model/shop/machine';
import { planned, runOf, step } from '../testing';
import { onEachMachine, type OnMachines } from './onEachMachine';

/** A stud of two steps, sixty of it. */
const stud = runOf({ outside: [step(12, 18), step(20, 8)] }, { quantity: 60, way: 'choose' });

function all(file: typeof stud, shop = startValues): OnMachines {
  const each = onEachMachine(file, shop);
  for (;;) {
    const { done, value } = each.next();
    if (done) return value;
  }
}

const [first] = startValues.machines as [Machine];

describe('a run on each lathe', () => {
  test('every lathe of a new shop makes it, each with the figures of its own plan', () => {
    const { each, chosen } = all(stud);
    expect(each.map(({ machine }) => machine.id)).toEqual([
      'centre-lathe-a',
      'bench-lathe-b',
      'centre-lathe-c',
      'gearbox-lathe-d',
    ]);
    expect(chosen).toBe(0);
    for (const { machine, figures } of each) {
      const plan = planned({ ...stud, machine: machine.id }, startValues, {});
      expect(figures).toMatchObject({ proved: true, batchMinutes: expect.closeTo(plan.times.batch.value, 9) });
    }
  });

  // One way of stopping a length each: screws, dials, one screw, figures stored.
  test('its lengths stop by what the lathe has', () => {
    const stops = all(stud).each.map(({ figures }) => (figures?.stops ?? []).map(({ words }) => words));
    expect(stops[0]).toContain('station');
    expect(stops[1]).not.toContain('station');
    expect(stops[1]).toContain('by the dial');
    expect(stops[2]).toEqual(expect.arrayContaining(['station', 'by the dial']));
    expect(stops[3]).toContain('preset');
  });

  test('one that cannot says why; where only one can, that is said', () => {
    const narrow = { ...first, id: 'small', name: 'small lathe', swing: 15 };
    const { each, because } = all(stud, { ...startValues, machines: [first, narrow] });
    expect(each[1]).toMatchObject({ problem: expect.stringMatching(/\w/) });
    expect(each[1]?.figures).toBeUndefined();
    expect(because).toBe('Only centre lathe A can make it.');
  });

  test('a brisk twin is quicker, and by how much is said; a file with its own machine is none of them', () => {
    const brisk = { ...first, id: 'brisk', name: 'brisk lathe', pace: 'brisk' as const };
    const shop = { ...startValues, machines: [first, brisk] };
    expect(all(stud, shop).because).toMatch(/^brisk lathe would be quicker over the batch by /);
    expect(all({ ...stud, machine: 'brisk' }, shop).because).toMatch(
      /^brisk lathe is the quickest .* centre lathe A\.$/,
    );
    expect(all({ ...stud, machine: brisk }, shop).chosen).toBeUndefined();
  });
});
