import { expose } from 'comlink';
import { choicesOf, type Choice, type Question } from '@/core/choices';
import { answer, type Answer } from '@/core/formats/planner';
import type { RunFile } from '@/core/formats/runFile';
import { exportedRun } from '@/core/formats/writeRun';
import { compareRuns, type Comparison } from '@/core/revisions/compareRuns';
import { compareSequences, type Compared } from '@/core/sequences';
import type { Shop } from '@/core/shop/shop';

/** The planner off the page's own thread: the same pipeline as everywhere. The shop is told once, not with every edit. */
class Planner {
  constructor(private shop: Shop | undefined = undefined) {}

  useShop(shop: Shop): void {
    this.shop = shop;
  }

  answer(file: RunFile): Answer | undefined {
    return this.shop && answer(file, this.shop);
  }

  compare(before: RunFile, after: RunFile): Comparison | undefined {
    return this.shop && compareRuns(before, after, this.shop);
  }

  sequences(file: RunFile): Compared | undefined {
    return this.shop && compareSequences(file, this.shop);
  }

  choices(file: RunFile, question: Question): Choice[] {
    return this.shop ? choicesOf(file, this.shop, question) : [];
  }

  export(file: RunFile): RunFile {
    return exportedRun(file);
  }
}

export type PlannerApi = Planner;

expose(new Planner());
