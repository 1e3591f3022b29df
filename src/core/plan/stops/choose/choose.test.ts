import loadHighs from 'highs';
import { chooseStops, holds, type Chain } from './choose';
import { isSafe, spoils, type Allocation, type Facility, type Place, type Served, type StopProblem } from './problem';

/** Until it is proven. */
const WHOLE = Infinity;

/** Numbers that look drawn by chance and are the same every time. */
const drawnFrom = (seed: number) => {
  let state = seed * 2654435761 + 12345;
  return (upTo: number) => {
    state = (Math.imul(state ^ (state >>> 15), 2246822519) + 374761393) | 0;
    return ((state >>> 0) / 2 ** 32) * upTo;
  };
};

/** A set-up with so many places; stations stand at places, shorter places on them by spacers, an indicator spans 10. */
function problemOf(places: number, stations: number, draw: (upTo: number) => number): StopProblem {
  const spacers = [2, 5, 10];
  const settings = Array.from({ length: places }, () => Math.round(draw(30)));
  const uses = settings.map(() => 1 + Math.floor(draw(3)));
  const batch = 5 + Math.floor(draw(100));
  // A figure that is stored may be quicker than a spacer, or slower.
  const presetUse = draw(1) < 0.3 ? 0.07 : 0.12;
  const all: Place[] = settings.map((setting, index) => {
    const visits = batch * (uses[index] ?? 1);
    return {
      setting,
      own: [
        { minutes: visits * 0.5, spread: 0.1 },
        ...(draw(1) < 0.5 ? [{ minutes: visits * 0.2, spread: 0.02 }] : []),
        {
          minutes: visits * presetUse,
          spread: 0.02,
          counted: { kind: 'preset', one: settings.indexOf(setting), ready: 0.2 },
        },
        { minutes: visits * (0.6 + draw(0.2)), spread: 0.008, measured: true as const },
      ],
      deepest: setting + draw(25),
      spoilsFrom: setting + (draw(1) < 0.3 ? 0.1 : 0),
      spoilMinutes: draw(1) < 0.5 ? visits * 0.02 : 0,
    };
  });
  const packs = [
    0,
    ...spacers,
    ...spacers.flatMap((one) => spacers.filter((other) => other > one).map((other) => one + other)),
  ];
  const facilities: Facility[] = settings.flatMap((at) => [
    {
      kind: 'station',
      setting: at,
      hard: true,
      ready: 1,
      serves: all.map(({ setting }, index) => {
        const pack = packs.find((length) => Math.abs(at - length - setting) < 1e-6);
        if (pack === undefined) return undefined;
        const each = pack === 0 ? 0.05 : 0.1;
        return { minutes: batch * (uses[index] ?? 1) * each, spread: pack === 0 ? 0.04 : 0.05 };
      }),
    },
    {
      kind: 'indicator',
      setting: at,
      hard: false,
      ready: 1.5,
      serves: all.map(({ setting }, index) =>
        setting <= at && setting >= at - 10 ? { minutes: batch * (uses[index] ?? 1) * 0.1, spread: 0.01 } : undefined,
      ),
    },
  ]);
  return { places: all, facilities, limits: { station: stations, indicator: 1, preset: Math.floor(draw(3)) } };
}

const chainsOf = (problems: readonly StopProblem[], draw: (upTo: number) => number): Chain[] =>
  problems.flatMap(({ places }, setup) =>
    places.flatMap((_, place) => {
      const other = Math.floor(draw(places.length));
      const widths = [0.05, 0.1, 0.15, 0.2, 0.4];
      const fixer = { setup, place };
      return draw(1) < 0.6
        ? [
            {
              members: other === place ? [fixer] : [fixer, { setup, place: other }],
              fixer,
              most: (widths[Math.floor(draw(widths.length))] ?? 1) / 3,
              fixed: setup > 0 && draw(1) < 0.3 ? 0.0002 : 0,
            },
          ]
        : [];
    }),
  );

/** Every subset of facilities within the limits, and every way to serve every place: nothing shared with the search. */
function* everyAllocation(problem: StopProblem): Generator<Allocation> {
  const { places, facilities, limits } = problem;
  for (let set = 0; set < 2 ** facilities.length; set += 1) {
    const open = facilities.flatMap((_, index) => ((set >> index) & 1 ? [index] : []));
    const many = (kind: string) => open.filter((index) => facilities[index]?.kind === kind).length;
    if (Object.keys(limits).some((kind) => many(kind) > (limits[kind] ?? Infinity))) continue;
    const deepest = Math.max(
      -Infinity,
      ...open.map((index) => (facilities[index]?.hard ? facilities[index].setting : -Infinity)),
    );
    const ready = open.reduce((sum, index) => sum + (facilities[index]?.ready ?? 0), 0);
    const ways = places.map((place, at): { by: Served; minutes: number; preset?: number | undefined }[] => [
      ...place.own.map(({ minutes, counted }, own) => ({ by: { own }, minutes, preset: counted?.one })),
      ...open.flatMap((facility) => {
        const { hard, serves } = facilities[facility] as Facility;
        const serve = serves[at];
        if (!serve || (hard && !isSafe(place, deepest))) return [];
        return [{ by: { facility }, minutes: serve.minutes + (hard ? spoils(place, deepest) : 0) }];
      }),
    ]);
    const pick = function* (at: number, served: Served[], minutes: number, presets: number[]): Generator<Allocation> {
      const stored = new Set(presets).size;
      if (stored > (limits['preset'] ?? Infinity)) return;
      if (at === places.length) yield { open, served: [...served], minutes: minutes + stored * 0.2 };
      else
        for (const way of ways[at] ?? [])
          yield* pick(at + 1, [...served, way.by], minutes + way.minutes, [
            ...presets,
            ...(way.preset === undefined ? [] : [way.preset]),
          ]);
    };
    yield* pick(0, [], ready, []);
  }
}

test('200 small set-ups: the least that holds every chain, as trying everything finds it', () => {
  for (let seed = 1; seed <= 200; seed += 1) {
    const draw = drawnFrom(seed);
    const problem = problemOf(2 + (seed % 2), 1 + Math.floor(draw(3)), draw);
    const chains = chainsOf([problem], draw);
    let least = Infinity;
    for (const allocation of everyAllocation(problem))
      if (allocation.minutes < least - 1e-9 && chains.every((chain) => holds(chain, [problem], [allocation])))
        least = allocation.minutes;
    const found = chooseStops([problem], chains, WHOLE);
    expect(found?.proven).toBe(true);
    expect(found?.minutes).toBeCloseTo(least, 6);
  }
});

/** The same as an integer program, by somebody else's solver: the sum of squares is linear in what serves each place. */
async function byHighs(problems: readonly StopProblem[], chains: readonly Chain[]): Promise<number> {
  const names: string[] = [];
  const costs: number[] = [];
  const rows: { terms: Map<number, number>; lower: number; upper: number }[] = [];
  const add = (name: string, cost: number) => costs.push(cost) && names.push(name) - 1;
  const row = (terms: readonly (readonly [number, number])[], lower: number, upper: number) =>
    rows.push({ terms: new Map(terms), lower, upper });
  const ways = problems.map(({ places, facilities, limits }, setup) => {
    const opens = facilities.map(({ ready }, index) => add(`y${setup}_${index}`, ready));
    const kinds = new Set(facilities.map(({ kind }) => kind));
    for (const kind of kinds)
      row(
        opens.flatMap((y, index) => (facilities[index]?.kind === kind ? [[y, 1] as const] : [])),
        -Infinity,
        limits[kind] ?? Infinity,
      );
    const stored = new Map<number, number>();
    const byPlace = places.map((place, at) => {
      const own = place.own.map((serve, index) => {
        const x = add(`o${setup}_${at}_${index}`, serve.minutes);
        if (serve.counted) {
          const { one, ready } = serve.counted;
          const y = stored.get(one) ?? add(`p${setup}_${one}`, ready);
          stored.set(one, y);
          row(
            [
              [x, 1],
              [y, -1],
            ],
            -Infinity,
            0,
          );
        }
        return { x, spread: serve.spread, measured: serve.measured === true };
      });
      const served = facilities.flatMap(({ serves, hard }, index) => {
        const serve = serves[at];
        if (!serve) return [];
        const x = add(`x${setup}_${at}_${index}`, serve.minutes);
        const y = opens[index] as number;
        row(
          [
            [x, 1],
            [y, -1],
          ],
          -Infinity,
          0,
        );
        if (hard)
          facilities.forEach((other, deeper) => {
            if (other.hard && !isSafe(place, other.setting))
              row(
                [
                  [x, 1],
                  [opens[deeper] as number, 1],
                ],
                -Infinity,
                1,
              );
          });
        return [{ x, spread: serve.spread, measured: false, hard }];
      });
      const deepening = facilities.flatMap(({ hard, setting }, index) =>
        hard && spoils(place, setting) > 0 ? [opens[index] as number] : [],
      );
      const hards = served.filter(({ hard }) => hard).map(({ x }) => x);
      if (deepening.length > 0 && hards.length > 0) {
        const z = add(`z${setup}_${at}`, place.spoilMinutes);
        for (const y of deepening) row([...hards.map((x) => [x, 1] as const), [y, 1], [z, -1]], -Infinity, 1);
      }
      row(
        [...own, ...served].map(({ x }) => [x, 1] as const),
        1,
        1,
      );
      return [...own, ...served];
    });
    row(
      [...stored.values()].map((y) => [y, 1] as const),
      -Infinity,
      limits['preset'] ?? Infinity,
    );
    return byPlace;
  });
  for (const { members, fixer, most, fixed } of chains) {
    const terms = new Map<number, number>();
    for (const { setup, place } of members)
      for (const { x, spread } of ways[setup]?.[place] ?? []) terms.set(x, (terms.get(x) ?? 0) + spread ** 2);
    // Measured, nothing of it counts.
    for (const { x, measured } of ways[fixer.setup]?.[fixer.place] ?? [])
      if (measured) terms.set(x, (terms.get(x) ?? 0) - 1);
    rows.push({ terms, lower: -Infinity, upper: most ** 2 - fixed + 1e-9 });
  }
  const say = ([index, factor]: readonly [number, number]) =>
    `${factor < 0 ? '-' : '+'} ${Math.abs(factor).toFixed(9)} ${names[index]}`;
  const lines = rows
    .filter(({ terms }) => terms.size > 0)
    .flatMap(({ terms, lower, upper }, index) => {
      const left = [...terms].map(say).join(' ');
      if (lower === upper) return [`r${index}: ${left} = ${upper}`];
      return upper === Infinity ? [] : [`r${index}: ${left} <= ${upper.toFixed(9)}`];
    });
  const text = `Minimize\n obj: ${costs.map((cost, index) => say([index, cost])).join(' ')}\nSubject To\n${lines.join('\n')}\nBinary\n ${names.join(' ')}\nEnd`;
  const highs = await loadHighs({});
  const solution = highs.solve(text, { mip_rel_gap: 0 });
  if (solution.Status !== 'Optimal') throw new Error(solution.Status);
  return solution.ObjectiveValue;
}

test('30 large ones, of two set-ups with 9 and 11 places: as an integer program has it', async () => {
  for (let seed = 1; seed <= 30; seed += 1) {
    const draw = drawnFrom(1000 + seed);
    const problems = [problemOf(9, 4, draw), problemOf(11, 6, draw)];
    const chains = chainsOf(problems, draw);
    const found = chooseStops(problems, chains, WHOLE);
    expect(found?.proven).toBe(true);
    expect(found?.minutes).toBeCloseTo(await byHighs(problems, chains), 4);
  }
});

test('for a route among many it is soon, holds as well, and says how far it may be off', () => {
  for (let seed = 1; seed <= 30; seed += 1) {
    const draw = drawnFrom(1000 + seed);
    const problems = [problemOf(9, 4, draw), problemOf(11, 6, draw)];
    const chains = chainsOf(problems, draw);
    const [whole, quick] = [chooseStops(problems, chains, WHOLE), chooseStops(problems, chains)];
    expect(chains.every((chain) => holds(chain, problems, quick?.allocations ?? []))).toBe(true);
    expect(quick?.minutes).toBeGreaterThanOrEqual((whole?.minutes ?? Infinity) - 1e-6);
    expect((quick?.minutes ?? 0) - (quick?.gap ?? 0)).toBeLessThanOrEqual((whole?.minutes ?? 0) + 1e-6);
  }
});

test('closer together than anything repeats, and nothing to look with: each is measured', () => {
  const measured = { minutes: 30, spread: 0.06, measured: true as const };
  const place = { own: [{ minutes: 1, spread: 0.04 }, measured], deepest: 100, spoilsFrom: 100, spoilMinutes: 0 };
  const problem = { places: [0, 10].map((setting) => ({ ...place, setting })), facilities: [], limits: {} };
  const ref = (at: number) => ({ setup: 0, place: at });
  const chains = [
    { members: [ref(0), ref(1)], fixer: ref(1), most: 0.05, fixed: 0 },
    { members: [ref(0), ref(1)], fixer: ref(0), most: 0.01, fixed: 0 },
  ];
  for (const effort of [0, Infinity]) expect(chooseStops([problem], chains, effort)?.minutes).toBe(60);
});
