import './saidAsPage';
import { expose } from 'comlink';
import type { RunFile } from '@/core/read/runFile';
import { edgesOf, type EdgeUse } from '@/core/plan/cost/edgeLife';
import { costOfRun, type RunCost } from '@/core/plan/cost/runCost';
import { planFile } from '@/core/plan/plan';
import { priceBreaks, quantitiesAround, waysOfRunning, type PriceBreak, type RunningWay } from '@/core/ask/running';
import { swingsOf, type Swing } from '@/core/ask/sensitivity';
import type { Shop } from '@/core/model/shop/shop';
import { elementsOf, type BatchElement } from '@/core/ask/elements';
import { rangeOf, type BatchRange } from '@/core/ask/promise';

/** What a batch takes and costs, as it is planned. */
export interface BatchAccount {
  cost: RunCost;
  edges: EdgeUse[];
  elements: BatchElement[];
}

/** Goes through what comes in steps, and says how far it is. */
function finished<T>(steps: Generator<number, T>, onShare: (share: number) => void): T {
  for (;;) {
    const { done, value } = steps.next();
    if (done) return value;
    onShare(value);
  }
}

/** Times and costs of a run off the page's own thread. To cancel, whoever asked ends the worker. */
class TimesWorker {
  account(file: RunFile, shop: Shop): BatchAccount | undefined {
    const plan = planFile(file, shop, 'wanted');
    if (!plan.ok) return undefined;
    return { cost: costOfRun(plan.value), edges: edgesOf(plan.value), elements: elementsOf(plan.value) };
  }

  range(elements: BatchElement[], shop: Shop, runs: number, seed: number): BatchRange {
    return rangeOf(elements, shop.spreads, { runs, seed });
  }

  ways(file: RunFile, shop: Shop): RunningWay[] {
    return waysOfRunning(file, shop);
  }

  breaks(file: RunFile, shop: Shop): PriceBreak[] {
    return [...priceBreaks(file, shop, quantitiesAround(Number(file.quantity)))];
  }

  swings(file: RunFile, shop: Shop, onShare: (share: number) => void): Swing[] {
    return finished(swingsOf(file, shop), onShare);
  }
}

export type TimesApi = TimesWorker;

expose(new TimesWorker());
