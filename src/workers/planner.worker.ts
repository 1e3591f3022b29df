import './saidAsPage';
import { expose } from 'comlink';
import { choicesOf, type Choice } from '@/core/ask/choices';
import { refusing, type Refusal } from '@/core/ask/refusal';
import type { Problem } from '@/core/model/result';
import type { Question } from '@/core/ask/question';
import { comparingOf, type Answer, type Comparing } from '@/core/formats/answer';
import { keyOf, type Skeleton } from '@/core/plan/skeleton';
import { answers } from '@/core/formats/planner';
import type { RunFile } from '@/core/read/runFile';
import { exportedRun } from '@/core/formats/writeRun';
import { compareRuns, type Comparison } from '@/core/ask/revisions/compareRuns';
import { familyOf, type FamilyStops } from '@/core/ask/familyStops';
import { onEachMachine, type OnMachines } from '@/core/ask/onEachMachine';
import { sequencesOf, type Compared } from '@/core/ask/sequences';
import { stopsAsked, type StopsAsked } from '@/core/ask/stopsAsked';
import type { Shop } from '@/core/model/shop/shop';
import type { Tile, Trial } from '@/core/ask/trial';
import { tryCut, type Tried } from '@/core/ask/whatIf';

/** Lets messages in. */
const pause = () => new Promise((resolve) => setTimeout(resolve));

/** So long it works before it lets messages in, ms: a pause costs some itself. */
const AT_ONCE = 12;

/** How many files are remembered with the route that was shown for them, for whoever goes back. */
const REMEMBERED = 200;

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

  /** How the last plan compared, the routes that were shown by their files, and what is still to be said of the newest edit. */
  private before: Comparing | undefined;
  private readonly shown = new Map<string, Skeleton>();
  private going: Generator<Answer | undefined, Answer> | undefined;

  /** The next thing that there is to say of an edit, others let in between; nothing where one came since. */
  private async next(edit: number): Promise<{ answer: Answer; last: boolean } | undefined> {
    let since = performance.now();
    while (edit === this.edits && this.going) {
      const { value, done = false } = this.going.next();
      if (value) return { answer: value, last: done };
      if (performance.now() - since < AT_ONCE) continue;
      await pause();
      since = performance.now();
    }
    return undefined;
  }

  async answer(file: RunFile): Promise<Step | undefined> {
    this.edits += 1;
    const edit = this.edits;
    if (!this.shop) return undefined;
    const key = JSON.stringify(file);
    this.going = answers(file, this.shop, this.before, this.shown.get(key) ?? this.before?.skeleton);
    const step = await this.next(edit);
    if (!step) return undefined;
    this.remember(step.answer, key);
    return { edit, ...step };
  }

  /** The last word on an edit: another answer, or how the route of the first compares; nothing where an edit came since. */
  async rest(edit: number, file: RunFile): Promise<Answer | Comparing | undefined> {
    const { before } = this;
    const step = await this.next(edit);
    if (!step) return undefined;
    const { answer } = step;
    this.remember(answer, JSON.stringify(file));
    const isSame = answer.plan && before && keyOf(answer.plan.skeleton) === keyOf(before.skeleton);
    return isSame && answer.plan ? comparingOf(answer.plan) : answer;
  }

  private remember({ plan }: Answer, file: string): void {
    if (!plan) return;
    this.before = comparingOf(plan);
    this.shown.delete(file);
    this.shown.set(file, plan.skeleton);
    const [oldest] = this.shown.keys();
    if (this.shown.size > REMEMBERED && oldest !== undefined) this.shown.delete(oldest);
  }

  compare(before: RunFile, after: RunFile): Comparison | undefined {
    return this.shop && compareRuns(before, after, this.shop);
  }

  /** Lets edits go between any two steps, and stops when there is one. */
  private async throughout<Part, Whole>(each: Generator<Part, Whole>): Promise<Whole | undefined> {
    const asked = this.edits;
    for (let next = each.next(); ; next = each.next()) {
      if (next.done) return next.value;
      await pause();
      if (asked !== this.edits) return undefined;
    }
  }

  async sequences(file: RunFile): Promise<Compared | undefined> {
    return this.shop && this.throughout(sequencesOf(file, this.shop));
  }

  /** One set of stops for runs that share the name of a family. */
  family(files: readonly RunFile[]): FamilyStops | Problem | undefined {
    return this.shop && familyOf(files, this.shop);
  }

  /** The run on every lathe of the shop. */
  async machines(file: RunFile): Promise<OnMachines | undefined> {
    return this.shop && this.throughout(onEachMachine(file, this.shop));
  }

  /** Why there is no plan, and what would do; lets edits go between any two changes that are tried. */
  async refusal(file: RunFile, problems: readonly Problem[]): Promise<Refusal | undefined> {
    return this.shop && this.throughout(refusing(file, this.shop, problems));
  }

  choices(file: RunFile, question: Question): Choice[] {
    return this.shop ? choicesOf(file, this.shop, question, this.before?.skeleton) : [];
  }

  stops(file: RunFile): StopsAsked | undefined {
    return this.shop && stopsAsked(file, this.shop, this.before?.skeleton);
  }

  tryCut(file: RunFile, tile: Tile, trial: Trial): Tried | undefined {
    return this.shop && tryCut(file, this.shop, tile, trial, this.before?.skeleton);
  }

  export(file: RunFile): RunFile {
    return exportedRun(file);
  }
}

export type PlannerApi = Planner;

expose(new Planner());
