import { expose } from 'comlink';
import { choicesOf, type Choice, type Question } from '@/core/choices';
import { answer, type Answer } from '@/core/formats/planner';
import type { RunFile } from '@/core/formats/runFile';
import { exportedRun } from '@/core/formats/writeRun';
import { compareRuns, type Comparison } from '@/core/revisions/compareRuns';
import { sequencesOf, type Compared } from '@/core/sequences';
import type { Shop } from '@/core/shop/shop';
import { tryCut, type Tile, type Trial, type Tried } from '@/core/whatIf';

/** Lets messages in. */
const pause = () => new Promise((resolve) => setTimeout(resolve));

/** The planner off the page's own thread: the same pipeline as everywhere. The shop is told once, not with every edit. */
class Planner {
  constructor(private shop: Shop | undefined = undefined) {}

  /** Edits answered so far: what was asked before the last one is not worth going on with. */
  private edits = 0;

  useShop(shop: Shop): void {
    this.shop = shop;
  }

  answer(file: RunFile): Answer | undefined {
    this.edits += 1;
    return this.shop && answer(file, this.shop);
  }

  compare(before: RunFile, after: RunFile): Comparison | undefined {
    return this.shop && compareRuns(before, after, this.shop);
  }

  /** Lets edits go between any two plans, and stops when there is one. */
  async sequences(file: RunFile): Promise<Compared | undefined> {
    if (!this.shop) return undefined;
    const asked = this.edits;
    const each = sequencesOf(file, this.shop);
    for (let next = each.next(); ; next = each.next()) {
      if (next.done) return next.value;
      await pause();
      if (asked !== this.edits) return undefined;
    }
  }

  choices(file: RunFile, question: Question): Choice[] {
    return this.shop ? choicesOf(file, this.shop, question) : [];
  }

  tryCut(file: RunFile, tile: Tile, trial: Trial): Tried | undefined {
    return this.shop && tryCut(file, this.shop, tile, trial);
  }

  export(file: RunFile): RunFile {
    return exportedRun(file);
  }
}

export type PlannerApi = Planner;

expose(new Planner());
