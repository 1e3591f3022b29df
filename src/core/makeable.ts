import fc from 'fast-check';
import type { RunFile, StepOf } from './read/runFile';
import { runOf, step } from './testing';

/**
 * For tests only: parts that can be made on the demo lathe, each grown along a route that makes it, by rules of the trade and
 * not by the planner: what is held is left as long as a hold wants to be, what stands out is stout enough or has a centre.
 */
export interface Makeable {
  file: RunFile;
  /** In so many holdings it was grown. */
  holdings: 1 | 2 | 3;
  /** Tied, thin or slender. */
  hard: boolean;
}

type Cylinder = StepOf<'cylinder'>;
type Details = NonNullable<RunFile['part']['details']>;
type Bores = NonNullable<RunFile['part']['bores']>;

const materials = fc.constantFrom('brass-cw614n', 'mild-steel', 'stainless-304', 'acetal', 'aluminium-6082');
const between = (min: number, max: number) => fc.integer({ min, max });

/** Work stands out no farther than so many of its diameters without a centre (trade: Holding), less some room for blade and facing. */
const STOUT = 3;
/** A hole is no deeper than so many of its diameters: a common drill makes it. */
const DRILLED = 8;
/** From where a hole of one kind is drilled, what is left over it, mm. */
const WALL = 3;

/** Diameters that rise, no two alike, and how long each is. */
const rising = (from: number, to: number, most: number) =>
  fc.tuple(
    fc
      .uniqueArray(between(from, to), { minLength: 1, maxLength: most })
      .map((diameters) => diameters.toSorted((a, b) => a - b)),
    fc.array(between(4, 16), { minLength: most, maxLength: most }),
  );

const lengthOf = (steps: readonly Cylinder[]): number =>
  steps.reduce((total, { length }) => total + (length as number), 0);

/** What a groove and a broken edge want: a step long enough for both. */
function details(steps: readonly Cylinder[], { edge, groove }: { edge: boolean; groove: boolean }): Details {
  const [first] = steps;
  const last = steps.at(-1);
  const at = lengthOf(steps) - ((last?.length as number) ?? 0) / 2 - 1;
  const isWide = last && (last.length as number) >= 10;
  return [
    ...(edge && first ? [{ kind: 'chamfer', at: 0, size: 0.5 } as const] : []),
    ...(groove && isWide ? [{ kind: 'groove', at, width: 2, bottom: (last.diameter as number) - 2 } as const] : []),
  ];
}

/** Holes that a common set makes: drilled, reamed to its fit, tapped. */
const finished = fc.constantFrom('drill', 'ream', 'tap');
const REAMED = [4, 5, 6, 8, 10];
const TAPPED: Record<number, string> = { 4: 'M4', 5: 'M5', 6: 'M6', 8: 'M8', 10: 'M10' };

/** A blind hole in the front, no larger than is wanted, its bottom well before the other side. */
function blind(how: string, wanted: number, length: number): Bores {
  const diameter = REAMED.filter((one) => one <= wanted).at(-1) ?? 4;
  const depth = Math.min(2 * diameter, Math.floor(length / 3));
  const named = { from: 'front', name: 'hole' } as const;
  if (how === 'ream') return [{ ...named, shape: 'ream', diameter: `${diameter} H7`, depth }];
  if (how === 'tap') return [{ ...named, shape: 'tap', designation: TAPPED[diameter] ?? 'M4', depth }];
  return [{ ...named, shape: 'drill', diameter, depth }];
}

/** A hole right through, of whole millimetres, where it is neither too deep for its drill nor too near the outside. */
function through(length: number, narrowest: number, wanted: number): Bores {
  const diameter = Math.max(wanted, Math.ceil(length / DRILLED));
  return diameter <= narrowest - 2 * WALL ? [{ from: 'front', shape: 'drill', diameter, depth: 'through' }] : [];
}

/** From the bar in one: faced, drilled, turned to larger and larger diameters, its edges broken, parted off to length. */
const inOne = fc
  .record({
    material: materials,
    steps: rising(10, 30, 3),
    hole: between(3, 8),
    thin: fc.boolean(),
    tied: fc.boolean(),
    edge: fc.boolean(),
    groove: fc.boolean(),
    quantity: between(1, 200),
  })
  .map(({ material, steps: [diameters, lengths], hole, thin, tied, edge, groove, quantity }): Makeable => {
    const narrowest = diameters[0] ?? 10;
    const steps: Cylinder[] = [];
    for (const [index, diameter] of diameters.entries()) {
      const left = STOUT * narrowest - 10 - lengthOf(steps);
      if (left >= 4) steps.push(step(diameter, Math.min(lengths[index] ?? 4, left), { name: `step ${index + 1}` }));
    }
    const length = lengthOf(steps);
    // A thin wall is bored: it is left as wide as a drill may go, and then opened.
    const isThin = thin && steps.length === 1 && narrowest >= 18 && length <= 24;
    const drilled = through(length, narrowest, hole);
    const bores: Bores = isThin
      ? [{ from: 'front', shape: 'bore', diameter: narrowest - 4, depth: 'through', name: 'hole' }]
      : drilled.map((bore) => ({ ...bore, name: 'hole' }));
    const isTied = tied && bores.length > 0;
    return {
      file: runOf(
        {
          material,
          outside: steps,
          bores,
          details: details(steps, { edge, groove: groove && !isThin && bores.length === 0 }),
          ...(isTied ? { runout: [{ of: 'step 1', to: 'hole', limit: 0.02 }] } : {}),
        },
        // Its back stays as it is parted.
        { quantity, allowances: { backFacing: 0 } },
      ),
      holdings: 1,
      hard: isThin || isTied,
    };
  });

/** To a largest diameter and down again: one side, then the other, held by a step of the first that is long enough. */
const inTwo = fc
  .record({
    material: materials,
    front: rising(10, 24, 2),
    largest: between(25, 36),
    back: rising(10, 24, 2),
    widest: between(5, 14),
    hole: fc.option(between(4, 10), { nil: undefined }),
    how: finished,
    knurled: fc.boolean(),
    tied: fc.boolean(),
    edge: fc.boolean(),
    quantity: between(1, 200),
  })
  .map(({ material, front, largest, back, widest, hole, how, knurled, tied, edge, quantity }): Makeable => {
    const falling = back[0]
      .toReversed()
      .map((diameter, index) => step(diameter, Math.min(back[1][index] ?? 4, diameter / 2)));
    const out = lengthOf(falling) + widest + 3;
    const held = front[0].at(-1) ?? 10;
    // The jaws want their least, and the work must not lean out of them.
    const grip = Math.ceil(Math.max(8, held / 2, out / 3) + 3);
    const before = front[0].slice(0, -1).map((diameter) => step(diameter, Math.min(front[1][0] ?? 4, diameter / 2)));
    const rest = [...before, step(held, grip, { name: 'seat' }), step(largest, widest)];
    const bores =
      hole !== undefined && hole <= (rest[0]?.diameter as number) - 2 * WALL ? blind(how, hole, lengthOf(rest)) : [];
    const to = lengthOf(rest);
    const knurl: Details =
      knurled && widest >= 8
        ? [{ kind: 'knurl', at: to - widest + 1, length: widest - 2, pattern: 'straight', pitch: 0.8 }]
        : [];
    const isTied = tied && how !== 'tap' && bores.length > 0;
    return {
      file: runOf(
        {
          material,
          outside: [...rest, ...falling],
          bores,
          details: [...details(rest, { edge, groove: false }), ...knurl],
          ...(isTied ? { runout: [{ of: 'seat', to: 'hole', limit: 0.02 }] } : {}),
        },
        { quantity },
      ),
      holdings: 2,
      hard: isTied,
    };
  });

/** Threads on the end of some diameters. */
const OUTSIDE: Record<number, string> = { 10: 'M10', 12: 'M12' };

/** A slender one: its end faced and centred, drawn out and turned under the centre, then turned round. */
const inThree = fc
  .record({
    material: fc.constantFrom('brass-cw614n', 'mild-steel', 'aluminium-6082'),
    thin: between(10, 16),
    more: between(1, 6),
    long: between(5, 7),
    second: between(10, 20),
    last: between(4, 10),
    threaded: fc.boolean(),
    edge: fc.boolean(),
    quantity: between(1, 200),
  })
  .map(({ material, thin, more, long, second, last, threaded, edge, quantity }): Makeable => {
    const steps = [step(thin, thin * long), step(thin + more, second), step(thin + more + 4, 12), step(thin, last)];
    const thread = threaded && OUTSIDE[thin];
    const threads: Details = thread ? [{ kind: 'thread', at: 0, length: thin, designation: thread }] : [];
    return {
      file: runOf(
        {
          material,
          outside: steps,
          details: [...details(steps, { edge: edge || threads.length > 0, groove: false }), ...threads],
        },
        { quantity },
      ),
      holdings: 3,
      hard: true,
    };
  });

/** Parts that can be made, a third each in one holding, in two, and in three. */
export const makeable: fc.Arbitrary<Makeable> = fc.oneof(inOne, inTwo, inThree);
