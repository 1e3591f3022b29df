import { andThen, good, type Result } from '../model/result';
import type { Run } from '../model/run';
import type { Shop } from '../model/shop/shop';
import { WAYS } from '../model/way';
import type { Reason } from '../model/words';
import { readRun } from '../read/readRun';
import type { RunFile } from '../read/runFile';
import { costOfRun } from './cost/runCost';
import { isSound } from './judged';
import { Search } from './search';

/** A run in one of its materials, and what its batch costs by the first sound route; undefined where there is none. */
interface Weighed {
  run: Run;
  cost: number;
}

function weigh(run: Run): Weighed | undefined {
  const search = new Search(run);
  const ways = WAYS.filter((way) => search.isOpen(way));
  for (const steps = search.steps(ways, { until: 'sound' }); !steps.next().done;);
  const best = search.best();
  if (!best.ok || !isSound(best.value)) return undefined;
  return { run, cost: costOfRun({ ...best.value.route, run }).batch.value };
}

/** What each costs, and why one is taken. */
function because(taken: Weighed, weighed: readonly Weighed[]): Reason {
  const { currency } = taken.run.shop.rates;
  const costs = weighed.map(({ run, cost }) => `${run.shop.material.name} ${Math.round(cost)} ${currency}`);
  return {
    rule: 'ANY-MATERIAL',
    because: `Any of these does; the batch costs least in ${taken.run.shop.material.name}: ${costs.join(', ')}.`,
  };
}

/**
 * Reads a run file, and takes its material: of several, any of which does (trade: Stock), that in which the
 * batch costs least by a sound route; the first that the shop has where none has one.
 */
export function readAndTake(file: unknown, shop: Shop): Result<Run> {
  return andThen(readRun(file, shop), (first) => {
    // What reads as a run has its shape.
    const read = file as RunFile;
    const known = [read.part.material].flat().filter((id) => shop.materials.some((material) => material.id === id));
    if (known.length < 2) return good(first);
    const weighed = known.flatMap((material) => {
      const run = readRun({ ...read, part: { ...read.part, material } }, shop);
      return (run.ok && weigh(run.value)) || [];
    });
    const [least] = weighed.toSorted((a, b) => a.cost - b.cost);
    if (!least) return good(first);
    return good({ ...least.run, takenBecause: [because(least, weighed)] });
  });
}
