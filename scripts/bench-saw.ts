import loadHighs from 'highs';
import { solveCuts } from '../src/core/saw/solveCuts';

/** Numbers that come out the same every time (a textbook generator). */
function numbers(seed: number): () => number {
  let state = seed;
  return () => (state = (state * 16807) % 2147483647) / 2147483647;
}

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
  const cuts = solveCuts(list, highs, undefined, {
    enough: () => performance.now() - from > 1100,
    wholeNumberSeconds: 0.55,
  });
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

process.stdout.write(
  JSON.stringify([
    timeCuts(10, 200, 3),
    timeCuts(30, 800, 5),
    timeCuts(60, 2000, 7),
    timeCuts(60, 2000, 11),
    timeCuts(60, 2000, 7, 4),
    timeCuts(120, 5000, 13),
  ]),
);
