import loadHighs from 'highs';
import { threeToABar, triplets } from '../src/core/saw/hardLists';
import { numbers } from '../src/core/saw/numbers';
import { limitsWithin, solveCuts } from '../src/core/saw/solveCuts';

const highs = await loadHighs({});

/** One list of so many lengths and pieces, every `turned`th of them turned from the bar, with the limits that page and command line have. */
function timeCuts(lengths: number, pieces: number, seed: number, turned = 0) {
  const random = numbers(seed);
  const list = {
    kerf: 1.6,
    bars: [{ label: 'bar', length: 3000, count: null, endWaste: 0, offcut: false }],
    pieces: Array.from({ length: lengths }, (_, index) => ({
      label: `p${index}`,
      length: Math.round(300 + random() * 5000) / 10,
      count: Math.max(1, Math.round((pieces / lengths) * (0.3 + 1.4 * random()))),
      ...(turned > 0 && index % turned === 0 && { turned: { lost: 60, longest: 1200 } }),
    })),
  };
  const from = performance.now();
  const cuts = solveCuts(
    list,
    highs,
    undefined,
    limitsWithin(1.8, () => performance.now()),
  );
  if (!cuts.ok) throw new Error(JSON.stringify(cuts.problems));
  const sawn = list.pieces.reduce((total, { count }) => total + count, 0);
  const { barsOpened, lowerBound } = cuts.value;
  return {
    lengths,
    turned: list.pieces.filter((piece) => piece.turned).length,
    pieces: sawn,
    milliseconds: performance.now() - from,
    barsOpened,
    lowerBound,
  };
}

/** Many lists of the hard kind: how far above the bound they are sawn at most, and in how long. */
function timeHard(lists: number) {
  const [gaps, times] = [[] as number[], [] as number[]];
  for (let seed = 1; seed <= lists; seed += 1) {
    const sizes = [20, 35, 50, 80, 110, 150];
    const list =
      seed % 5 === 0
        ? triplets(seed * 31, [20, 40, 60, 83][seed % 4] ?? 20)
        : threeToABar(seed * 31, sizes[seed % 6] ?? 20);
    const from = performance.now();
    const cuts = solveCuts(
      list,
      highs,
      undefined,
      limitsWithin(1.8, () => performance.now()),
    );
    if (!cuts.ok) throw new Error(JSON.stringify(cuts.problems));
    times.push(performance.now() - from);
    gaps.push(cuts.value.barsOpened - cuts.value.lowerBound);
  }
  return {
    lists,
    met: gaps.filter((gap) => gap === 0).length,
    worst: Math.max(...gaps),
    longest: Math.max(...times),
    median: times.sort((a, b) => a - b)[Math.floor(lists / 2)] ?? 0,
  };
}

process.stdout.write(
  JSON.stringify({
    cuts: [
      timeCuts(10, 200, 3),
      timeCuts(30, 800, 5),
      timeCuts(60, 2000, 7),
      timeCuts(60, 2000, 11),
      timeCuts(60, 2000, 7, 4),
      timeCuts(120, 5000, 13),
    ],
    hard: timeHard(Number(process.argv[2] ?? 60)),
  }),
);
