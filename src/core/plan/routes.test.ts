import { example, planned, plannedAsUsual } from '../testing';
import { startValues } from '../model/shop/startValues';
import type { Way } from '../model/way';
import { ROUTES } from './routes.expected';

/** Of these another route is sounder than the usual one, which is looked at here. */
const AS_USUAL: Record<string, Way> = { 'thumb-screw': 'from-bar', 'gland-body': 'sawn-blanks' };
/** Of these the quickest is not the first that is sound. */
const SETTLED = ['valve-needle-blank'];
const planOf = (name: string) => {
  const way = AS_USUAL[name];
  if (SETTLED.includes(name)) return planned(example(name), startValues, { until: 'settled' });
  return way ? plannedAsUsual(example(name), way) : planned(example(name));
};

describe('routes as they should be', () => {
  test.each(ROUTES)('%s: %s', (name, _, setups, elsewhere = []) => {
    const plan = planOf(name);
    expect(plan.doubts.filter(({ rule }) => rule === 'NO-OPERATION')).toEqual([]);
    expect(plan.setups.map(({ setup }) => setup.end)).toEqual(setups.map(({ end }) => end));
    plan.setups.forEach(({ operations, broken }, index) => {
      const kinds = operations.map(({ kind }) => kind);
      const route = setups[index]?.route ?? [];
      expect(kinds).toHaveLength(route.length);
      kinds.forEach((kind, at) => expect((route[at] ?? '').split('/')).toContain(kind));
      expect(broken).toEqual([]);
    });
    setups.forEach(({ held }, index) => {
      if (held) expect(plan.setups[index]?.setup.holding.kind).toBe(held);
    });
    expect(plan.outside.map((outsideOp) => outsideOp.name)).toEqual(elsewhere);
  });
});

test('read once more against the rules alone (trade: Order): no rule is broken in any example', () => {
  for (const name of ROUTES.map(([word]) => word))
    for (const { operations, setup } of planOf(name).setups) {
      const kinds = operations.map(({ kind }) => kind);
      const order = (first: string, then: string) => {
        const [a, b] = [kinds.lastIndexOf(first), kinds.indexOf(then)];
        if (a >= 0 && b >= 0) expect([name, first, a]).toEqual([name, first, Math.min(a, b)]);
      };
      // What is drawn out was faced before.
      if (setup.facing > (setup.drawnOut ? setup.centreEnd : 0)) expect(kinds[0]).toBe('face');
      if (kinds.includes('part-off')) expect(kinds.at(-1)).toBe('part-off');
      order('centre', 'drill');
      for (const after of ['bore', 'counterbore', 'inner-groove', 'tap', 'ream']) order('drill', after);
      for (const before of ['bore', 'counterbore', 'inner-groove']) order(before, 'ream');
      for (const before of ['turn-rough', 'turn-finish', 'knurl'])
        for (const after of ['thread', 'die']) order(before, after);
      // A countersunk mouth has a hole to sink, in this set-up or from the one before.
      const work = operations.find(({ kind }) => kind === 'countersink')?.before;
      if (work) expect(work.bore.some(({ z0, r0 }) => z0 < 1e-6 && r0 > 0)).toBe(true);
    }
});
