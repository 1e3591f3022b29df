import fc from 'fast-check';
import { planRun } from './plan';
import { readRun } from '../read/readRun';
import { outsideOf } from '../model/workpiece/finishedPart';
import { volume } from '../model/workpiece/profile';
import { metal } from '../model/workpiece/workpiece';
import { findOrder, type Wanted } from './order/order';
import { startValues } from '../model/shop/startValues';
import { runOf, step } from '../testing';

/** Parts that a lathe could make: up to a largest diameter and down again. */
const parts = fc
  .record({
    rising: fc.array(fc.integer({ min: 8, max: 30 }), { minLength: 1, maxLength: 4 }),
    falling: fc.array(fc.integer({ min: 8, max: 30 }), { maxLength: 2 }),
    lengths: fc.array(fc.integer({ min: 4, max: 20 }), { minLength: 6, maxLength: 6 }),
    bore: fc.option(fc.integer({ min: 3, max: 6 }), { nil: undefined }),
    material: fc.constantFrom('brass-cw614n', 'mild-steel', 'stainless-304', 'acetal'),
  })
  .map(({ rising, falling, lengths, bore, material }) => {
    const up = [...new Set(rising)].sort((a, b) => a - b);
    const down = [...new Set(falling)].filter((diameter) => diameter < (up.at(-1) ?? 0)).sort((a, b) => b - a);
    return runOf({
      material,
      outside: [...up, ...down].map((diameter, index) => step(diameter, lengths[index] ?? 5)),
      bores: bore === undefined ? [] : [{ from: 'front', shape: 'drill', diameter: bore, depth: 'through' }],
    });
  });

test('laws of every plan that is given out', () => {
  let planned = 0;
  fc.assert(
    fc.property(parts, (file) => {
      const run = readRun(file, startValues);
      if (!run.ok) throw new Error(JSON.stringify(run.problems));
      const plan = planRun(run.value, 'all', { until: 'sound' });
      if (!plan.ok) return plan.problems.every(({ message, path }) => message.length > 20 && path.length > 0);
      planned += 1;
      const { setups, times } = plan.value;
      for (const { operations } of setups)
        for (const operation of operations) {
          // Metal only ever goes away, and every pass is one the edge can take.
          expect(metal(operation.after)).toBeLessThanOrEqual(metal(operation.before) + 1e-6);
          if (operation.kind.startsWith('turn'))
            for (const { depth } of operation.passes)
              expect(depth).toBeGreaterThanOrEqual((operation.tool.thinnestCut ?? 0) - 1e-9);
          expect(startValues.machines[0]?.speeds).toContain(operation.speed.value);
          expect(operation.reasons.length).toBeGreaterThan(0);
        }
      // What is left is the part of the drawing.
      const left = setups.at(-1)?.operations.at(-1)?.after;
      const { asDrawn, size } = plan.value.stock;
      const wanted = volume(
        outsideOf(run.value.part, ({ path, diameter }) => (asDrawn.includes(path) ? size : diameter.aim)),
      );
      expect(volume(left?.outside ?? []) / wanted).toBeCloseTo(1, 6);
      // The piece is its parts, and the batch its pieces.
      const sum = setups.reduce((total, { piece }) => total + piece.value, 0);
      expect(times.piece.value).toBeCloseTo(sum * 1.12, 9);
      expect(times.batch.value).toBeGreaterThan(run.value.quantity * times.piece.value);
      return true;
    }),
    { numRuns: 150 },
  );
  expect(planned).toBeGreaterThan(60);
});

/** Shafts whose steps lie closer together than roughing leaves for a finish, some shorter than a tool comes in. */
const close = fc
  .record({
    first: fc.integer({ min: 80, max: 240 }),
    more: fc.array(fc.integer({ min: 1, max: 8 }), { minLength: 2, maxLength: 10 }),
    lengths: fc.array(fc.integer({ min: 8, max: 60 }), { minLength: 11, maxLength: 11 }),
    material: fc.constantFrom('brass-cw614n', 'mild-steel', 'aluminium-6082'),
    rising: fc.boolean(),
  })
  .map(({ first, more, lengths, material, rising }) => {
    const tenths = more.reduce((all, add) => [...all, (all.at(-1) ?? 0) + add], [first]);
    const steps = tenths.map((diameter, index) => step(diameter / 10, (lengths[index] ?? 10) / 10));
    const head = step(((tenths.at(-1) ?? 0) + 20) / 10, 12);
    const outside = [...steps, head];
    return runOf({ material, outside: rising ? outside : outside.toReversed() });
  });

test('steps as close as a tenth of a millimetre are made as planned, and proved', () => {
  fc.assert(
    fc.property(close, (file) => {
      const run = readRun(file, startValues);
      if (!run.ok) throw new Error(JSON.stringify(run.problems));
      const plan = planRun(run.value, 'wanted', { until: 'sound' });
      return plan.ok && plan.value.proof.passed;
    }),
    { numRuns: 40 },
  );
});

test('twice the quantity never takes less bar, and no shorter batch', () => {
  fc.assert(
    fc.property(parts, fc.integer({ min: 1, max: 2000 }), (file, quantity) => {
      const [one, two] = [quantity, 2 * quantity].map((count) => {
        const run = readRun({ ...file, quantity: count, way: 'from-bar' }, startValues);
        return run.ok ? planRun(run.value, 'all', { until: 'sound' }) : run;
      });
      if (!one?.ok || !two?.ok) return;
      expect(two.value.stock.bars.value).toBeGreaterThanOrEqual(one.value.stock.bars.value);
      expect(two.value.times.batch.value).toBeGreaterThan(one.value.times.batch.value);
    }),
    { numRuns: 60 },
  );
});

describe('the order found', () => {
  const tools = startValues.tools.filter(({ id }) =>
    ['rougher', 'finisher', 'chamfer-45', 'drill-6', 'centre-3.15'].includes(id),
  );
  const problems = fc
    .record({
      count: fc.integer({ min: 1, max: 6 }),
      picks: fc.array(fc.tuple(fc.nat(4), fc.nat(3), fc.nat(2), fc.nat(2)), { minLength: 6, maxLength: 6 }),
      edges: fc.array(fc.tuple(fc.nat(5), fc.nat(5)), { maxLength: 6 }),
    })
    .map(({ count, picks, edges }) => {
      // Of angle, speed and stop 0 is none.
      const operations = picks.slice(0, count).flatMap(([pick, angle, speed, stop]): Wanted[] => {
        const tool = tools[pick];
        if (!tool) return [];
        return [
          {
            tool,
            ...(angle ? { compound: 10 * angle } : {}),
            ...(speed ? { speed: 100 * speed } : {}),
            ...(stop ? { station: stop } : {}),
          },
        ];
      });
      const before = operations.map((_, b) =>
        edges.reduce((mask, [a, to]) => (to === b && a < b ? mask | (1n << BigInt(a)) : mask), 0n),
      );
      return { operations, before };
    });

  const permutations = (rest: number[]): number[][] =>
    rest.length === 0
      ? [[]]
      : rest.flatMap((index) => permutations(rest.filter((other) => other !== index)).map((tail) => [index, ...tail]));

  test('keeps every rule and changes no more than the best of all permutations', () => {
    fc.assert(
      fc.property(problems, ({ operations, before }) => {
        const hand = startValues.handMinutes;
        // Each thing by itself: how often it changes round the order, once what does not want it is left out.
        const changes = (each: unknown[]) => {
          const wanted = each.filter((value) => value !== undefined);
          return wanted.filter((value, at) => value !== wanted.at(at - 1)).length;
        };
        const cost = (sequence: number[]) => {
          const order = sequence.flatMap((index) => operations[index] ?? []);
          const taken = (mount: string) =>
            changes(order.map(({ tool }) => (tool.mount === mount ? tool.id : undefined)));
          return (
            taken('tailstock') * hand.changeTailstock +
            taken('post') * hand.changePost +
            changes(order.map(({ tool }) => tool.mount)) * hand.tailstock +
            changes(order.map(({ compound }) => compound)) * hand.compoundAgain +
            changes(order.map(({ speed }) => speed)) * hand.speedChange +
            changes(order.map(({ station }) => station)) * hand.station
          );
        };
        const allowed = permutations(operations.map((_, index) => index)).filter((sequence) =>
          sequence.every((index, at) =>
            sequence.every((earlier, place) => !((before[index] ?? 0n) & (1n << BigInt(earlier))) || place < at),
          ),
        );
        const order = findOrder(operations, before, hand);
        expect(allowed).toContainEqual(order.sequence);
        expect(order.changeMinutes).toBeCloseTo(Math.min(...allowed.map(cost)), 9);
        expect(order).toMatchObject({ proven: true, gapMinutes: 0 });
      }),
      { numRuns: 400 },
    );
  });

  test('beyond what can be proven the gap is told', () => {
    const many = Array.from({ length: 24 }, (_, index) => ({
      tool: tools[index % tools.length] as (typeof tools)[number],
    }));
    const alternating = many.map((_, index) => (index === 0 ? 0n : 1n << BigInt(index - 1)));
    const order = findOrder(many, alternating, startValues.handMinutes);
    // One chain only: nothing was left out, so it is proven however long.
    expect(order).toMatchObject({ proven: true });
    const free = findOrder(
      Array.from({ length: 30 }, (_, index) => ({
        tool: { ...(tools[0] as (typeof tools)[number]), id: `t${index}` },
      })),
      Array.from({ length: 30 }, () => 0n),
      startValues.handMinutes,
    );
    expect(free.sequence).toHaveLength(30);
    expect(free.gapMinutes).toBeCloseTo(0, 9);
  });
});
