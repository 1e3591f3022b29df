import { expose } from 'comlink';
import { choicesOf, type Choice } from '@/core/ask/choices';
import { refusing, type Refusal } from '@/core/ask/refusal';
import type { Problem } from '@/core/model/result';
import type { Question } from '@/core/ask/question';
import type { Answer, Comparing } from '@/core/formats/answer';
import { answers } from '@/core/formats/planner';
import type { RunFile } from '@/core/read/runFile';
import { exportedRun } from '@/core/formats/writeRun';
import { compareRuns, type Comparison } from '@/core/ask/revisions/compareRuns';
import { sequencesOf, type Compared } from '@/core/ask/sequences';
import type { Shop } from '@/core/model/shop/shop';
import type { Tile, Trial } from '@/core/ask/trial';
import { tryCut, type Tried } from '@/core/ask/whatIf';

/** Lets messages in. */
const pause = () => new Promise((resolve) => setTimeout(resolve));

/** An answer to an edit, by its number; more comes, unless it is the last word. */
export interface Step {
  edit: number;
  answer: Answer;
  last: boolean;
}

/** The planner off the page's own thread: the same pipeline as everywhere. The shop is told once, not with every edit. */
class Planner {
  constructor(private shop: Shop | undefined = undefined) {}

  /** Edits answered so far: what was asked before the last one is not worth going on with. */
  private edits = 0;

  useShop(shop: Shop): void {
    this.shop = shop;
  }

  /** How the last plan compared, and what is still to be said of the newest edit. */
  private before: Comparing | undefined;
  private going: Generator<Answer, Answer> | undefined;

  answer(file: RunFile): Step | undefined {
    this.edits += 1;
    if (!this.shop) return undefined;
    this.going = answers(file, this.shop, this.before);
    const { value, done = false } = this.going.next();
    if (done) this.remember(value);
    return { edit: this.edits, answer: value, last: done };
  }

  /** The last word on an edit: another answer, or how the way of the first compares; nothing where an edit came since. */
  rest(edit: number): Answer | Comparing | undefined {
    const before = this.before;
    if (edit !== this.edits || !this.going || !before) return undefined;
    const { value } = this.going.next();
    this.remember(value);
    const { plan } = value;
    if (plan?.way !== before.way) return value;
    return { way: plan.way, ways: plan.ways, chosenBecause: plan.chosenBecause, route: plan.route };
  }

  private remember({ plan }: Answer): void {
    if (plan) this.before = { way: plan.way, ways: plan.ways, chosenBecause: plan.chosenBecause, route: plan.route };
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

  /** Why there is no plan, and what would do; lets edits go between any two changes that are tried. */
  async refusal(file: RunFile, problems: readonly Problem[]): Promise<Refusal | undefined> {
    if (!this.shop) return undefined;
    const asked = this.edits;
    const each = refusing(file, this.shop, problems);
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
