import fc from 'fast-check';
import { example, planned, runOf, step } from '../../testing';
import { closure } from '../holding/closure';
import { findOrder } from './order';
import { operationKinds, kindOf } from '../operations';
import { rules } from './rules';
import { startValues } from '../../model/shop/startValues';

describe('what comes before what, closed', () => {
  test('what follows from two entries is an entry, both ways along the chain', () => {
    const order = closure(4);
    order.add(1, 2);
    order.add(0, 1);
    order.add(2, 3);
    expect(order.precedes(0, 3)).toBe(true);
    expect(order.precedes(3, 0)).toBe(false);
    expect([0, 1, 2, 3].map((index) => order.mask(index))).toEqual([0n, 1n, 3n, 7n]);
  });

  test('the same as following every edge by hand, over more than one word of bits', () => {
    const edges = fc.array(fc.tuple(fc.nat(69), fc.nat(69)), { maxLength: 60 });
    fc.assert(
      fc.property(edges, (pairs) => {
        const order = closure(70);
        const forward = pairs.filter(([a, b]) => a < b);
        for (const [a, b] of forward) order.add(a, b);
        const reach = (from: number): Set<number> => {
          const seen = new Set<number>();
          const waiting = [from];
          for (let at = waiting.pop(); at !== undefined; at = waiting.pop())
            for (const [a, b] of forward)
              if (a === at && !seen.has(b)) {
                seen.add(b);
                waiting.push(b);
              }
          return seen;
        };
        for (const [a] of forward) {
          const reached = reach(a);
          for (let b = 0; b < 70; b += 1) expect(order.precedes(a, b)).toBe(reached.has(b));
        }
      }),
      { numRuns: 30 },
    );
  });
});

describe('the rules of the order, said again in plain words and looked for in whole plans', () => {
  const crowded = runOf({
    material: 'mild-steel',
    outside: [
      step('10 h7', 14, { chamfers: { front: 1 } }),
      step(16, 10, { chamfers: { front: 0.5 } }),
      step('20 h8', 12),
      step(27, 8, { chamfers: { front: 0.5, back: 1 } }),
      step(14, 9, { chamfers: { back: 0.5 } }),
    ],
    bores: [
      { from: 'front', shape: 'drill', diameter: 5, depth: 'through' },
      { from: 'front', shape: 'drill', diameter: 7, depth: 8 },
    ],
  });
  const plans = [
    crowded,
    ...['sensor-spacer', 'vane-spindle', 'cup-arm-hub', 'mast-collar', 'terminal-pillar'].map(example),
  ].map((file) => planned(file));

  const everySetup = (
    check: (kinds: string[], operations: (typeof plans)[number]['setups'][number]['operations']) => void,
  ) => {
    for (const { setups } of plans)
      for (const { operations } of setups)
        check(
          operations.map(({ kind }) => kind),
          operations,
        );
  };

  test('the face is first, the part-off last', () => {
    everySetup((kinds) => {
      expect(kinds[0]).toBe('face');
      if (kinds.includes('part-off')) expect(kinds.at(-1)).toBe('part-off');
    });
  });

  test('centre, then drills from narrow to wide', () => {
    everySetup((kinds, operations) => {
      const drills = operations.filter(({ kind }) => kind === 'drill');
      if (drills.length > 0) expect(kinds.indexOf('centre')).toBeLessThan(kinds.indexOf('drill'));
      const diameters = drills.map(({ diameter = 0 }) => diameter);
      expect(diameters).toEqual([...diameters].sort((a, b) => a - b));
    });
  });

  test('no finishing before the last roughing and drilling', () => {
    everySetup((kinds) => {
      const heavy = Math.max(kinds.lastIndexOf('turn-rough'), kinds.lastIndexOf('drill'));
      const finish = kinds.indexOf('turn-finish');
      if (finish >= 0) expect(finish).toBeGreaterThan(heavy);
    });
  });

  test('the diameter nearest the chuck is roughed first', () => {
    everySetup((_, operations) => {
      const ends = operations.filter(({ kind }) => kind === 'turn-rough').map(({ to }) => to);
      expect(ends).toEqual([...ends].sort((a, b) => b - a));
    });
  });

  test('every chamfer comes after both its surfaces', () => {
    everySetup((_, operations) => {
      operations.forEach((operation, index) => {
        if (operation.kind !== 'chamfer') return;
        const later = operations
          .slice(index + 1)
          .filter(({ kind, to }) => kind.startsWith('turn') && Math.abs(to - operation.from) < 0.2);
        expect(later).toEqual([]);
      });
    });
  });

  test('the crowded part is made, in a proven order, and no rule had to give way', () => {
    const [plan] = plans;
    expect(plan?.setups.map(({ order, broken }) => [order.proven, broken.length])).toEqual([
      [true, 0],
      [true, 0],
    ]);
    expect(plan?.setups[0]?.operations.length).toBeGreaterThan(12);
  });

  test('every operation says why, and the particular before what goes for everything', () => {
    everySetup((_, operations) => {
      for (const { reasons } of operations) {
        expect(reasons.length).toBeGreaterThan(0);
        expect(reasons.every(({ because }) => because.endsWith('.'))).toBe(true);
        const general = reasons.findIndex(({ rule }) => rule === 'FACE-FIRST');
        const hard = reasons.findIndex(({ rule }) => rule === 'ROUGH-THEN-FINISH');
        if (general >= 0 && hard >= 0) expect(hard).toBeLessThan(general);
      }
    });
  });
});

test('what nothing comes before, in a set-up that is not faced first, says what it comes before', () => {
  const plan = planned(
    runOf({
      material: 'brass-cw614n',
      outside: [step(8, 4), step(9, 16), step(10, 17), step(11, 9)],
    }),
  );
  const drawnOut = plan.setups.find(({ operations }) => operations[0]?.kind === 'turn-rough');
  expect(drawnOut?.operations[0]?.reasons).toEqual([
    {
      rule: 'ROUGH-THEN-FINISH',
      because: 'Before Finish ⌀10: The finish takes what roughing leaves.',
    },
  ]);
});

test('a parting-off that is all of a set-up, the bar drawn out for it, says why as well', () => {
  const plan = planned(
    runOf({
      material: 'brass-cw614n',
      outside: [step(8, 8), step(9, 13), step(10, 19), step(14, 10)],
      bores: [{ from: 'front', shape: 'drill', diameter: 3, depth: 'through' }],
    }),
  );
  const alone = plan.setups.find(({ operations }) => operations[0]?.kind === 'part-off');
  expect(alone?.operations).toHaveLength(1);
  expect(alone?.operations[0]?.reasons).toEqual([
    { rule: 'PART-LAST', because: 'It frees the piece; nothing is left to hold after it.' },
  ]);
});

test('rule ids are unique, and each rule says something', () => {
  expect(new Set(rules.map(({ id }) => id)).size).toBe(rules.length);
  for (const { before, asksFor } of rules) expect(before ?? asksFor).toBeDefined();
});

test('every kind of operation has its values in the shop, and is found by its name', () => {
  const { speedFactor, feed } = startValues.cutting;
  for (const kind of operationKinds) {
    expect(kindOf(kind)).toBe(kind);
    if (kind.byHand !== 'stopped') expect(speedFactor[kind.kind]).toBeGreaterThan(0);
    if (!kind.feed && !kind.byHand) expect(feed[kind.kind]).toBeGreaterThan(0);
    expect(startValues.tools.some(({ does }) => does.includes(kind.kind))).toBe(true);
    expect(kind.cautions.every(({ text }) => text.length > 20)).toBe(true);
  }
  expect(() => kindOf({ kind: 'whittle' })).toThrow('whittle');
});

describe('the compound', () => {
  const hand = startValues.handMinutes;
  const tool = { id: 'a', mount: 'post' as const } as (typeof startValues.tools)[number];

  test('one angle after the other: two of the same are not parted by another', () => {
    const operations = [10, 20, 10, 20].map((compound) => ({ tool, compound }));
    const { sequence, changeMinutes } = findOrder(operations, [0n, 0n, 0n, 0n], hand);
    const angles = sequence.map((index) => operations[index]?.compound);
    expect(angles.filter((angle, index) => angle !== angles.at(index - 1))).toHaveLength(2);
    // Over to the other angle, and back for the next piece; the tool stays in the post.
    expect(changeMinutes).toBeCloseTo(2 * hand.compoundAgain, 9);
  });
});

test('fast work together, then slow: a speed is changed twice a piece, not four times', () => {
  const { handMinutes: hand, tools } = startValues;
  const tool = tools.find(({ mount }) => mount === 'post') as (typeof tools)[number];
  const operations = [1600, 250, 1600, 250].map((speed) => ({ tool, speed }));
  const { sequence, changeMinutes } = findOrder(operations, [0n, 0n, 0n, 0n], hand);
  const speeds = sequence.map((index) => operations[index]?.speed);
  expect(speeds.filter((speed, index) => speed !== speeds.at(index - 1))).toHaveLength(2);
  expect(changeMinutes).toBeCloseTo(2 * hand.speedChange, 9);
});

// 0.5 over to 45° and 0.5 back straight, a piece: both that want it turned one after the other.
test('the post turned for two operations together, and once back', () => {
  const { handMinutes: hand, tools } = startValues;
  const tool = tools.find(({ mount }) => mount === 'post') as (typeof tools)[number];
  const operations = [0, 45, 0, 45].map((postAt) => ({ tool, postAt }));
  const { sequence, changeMinutes } = findOrder(operations, [0n, 0n, 0n, 0n], hand);
  const angles = sequence.map((index) => operations[index]?.postAt);
  expect(angles.filter((angle, index) => angle !== angles.at(index - 1))).toHaveLength(2);
  expect(changeMinutes).toBeCloseTo(2 * 0.5, 9);
});

// A short cone of 45° by a straight edge in the post: turned to its step and back, 1.0 a piece in all.
test('a cone by the post’s step takes its turning there and back', () => {
  const plan = planned(
    runOf(
      { outside: [{ shape: 'cone', from: 16, to: 20, length: 2 }, step(20, 12)] },
      { way: 'from-bar', firstEnd: 'front', quantity: 20 },
    ),
  );
  const elements = plan.setups.flatMap(({ operations }) =>
    operations.flatMap(({ hand }) => hand.terms.filter(({ name }) => name.startsWith('turn the post'))),
  );
  expect(plan.setups.flatMap(({ operations }) => operations.map(({ name }) => name)).join()).toContain('by its edge');
  expect(elements.map(({ value }) => value)).toEqual([0.5, 0.5]);
});
