import type { WorkHolding } from '../model/plan/setup';
import { isReady } from '../plan/holding/ready';
import type { Plan } from '../plan/plan';
import { sayWheels } from '../present/gears';

/** Something that is set up once for a run, and need not be again for the next one; minutes. */
export interface SetUpOnce {
  of: 'hold' | 'tool' | 'wheels';
  what: string;
  minutes: number;
}

/** A holding as far as it is asked whether another is it: what it is in words, and making it ready, minutes. */
export type HeldBy = Pick<WorkHolding, 'kind' | 'diameter' | 'words' | 'on' | 'change'>;

/** What the machine is set up with for a run: as it begins, as it ends, and what stays on it all along. */
export interface Setting {
  machine: string;
  begins: HeldBy;
  ends: HeldBy;
  stays: SetUpOnce[];
}

/** A run, by whatever it is known, with how its machine is set up. */
export interface SetRun<Id> {
  id: Id;
  setting: Setting;
}

/** One run right after another, and what need not be set up then. */
export interface After<Id> {
  first: Id;
  then: Id;
  kept: SetUpOnce[];
  saves: number;
}

const heldBy = ({ kind, diameter, words, on, change }: WorkHolding): HeldBy => ({ kind, diameter, words, on, change });

/** How a machine is set up for a plan (trade: Time): holdings, tools that stand on height, wheels; undefined without a set-up. */
export function settingOf({ run, setups }: Pick<Plan, 'run' | 'setups'>): Setting | undefined {
  const [first, last] = [setups[0], setups.at(-1)];
  if (!first || !last) return undefined;
  const { machine, setupMinutes } = run.shop;
  const stays = setups.flatMap(({ operations }) =>
    operations.flatMap(({ tool, gearing }): SetUpOnce[] => [
      ...(tool.mount === 'post' ? [{ of: 'tool' as const, what: tool.name, minutes: setupMinutes.toolOnHeight }] : []),
      ...(gearing?.train
        ? [{ of: 'wheels' as const, what: `wheels ${sayWheels(gearing)}`, minutes: setupMinutes.changeGears }]
        : []),
    ]),
  );
  return {
    machine: machine.id,
    begins: heldBy(first.setup.holding),
    ends: heldBy(last.setup.holding),
    stays: stays.filter(({ what }, index) => stays.findIndex((other) => other.what === what) === index),
  };
}

/** What stays, in words: what holds and which wheels by name, tools by how many they are. */
export function sayKept(kept: readonly SetUpOnce[]): string {
  const tools = kept.filter(({ of }) => of === 'tool');
  const named = kept.filter(({ of }) => of !== 'tool').map(({ what }) => what);
  return [...named, ...(tools.length > 0 ? [`${tools.length} ${tools.length === 1 ? 'tool' : 'tools'}`] : [])].join(
    '; ',
  );
}

/** What need not be set up for a run when it comes right after another. */
export function keptBetween(before: Setting, after: Setting): SetUpOnce[] {
  if (before.machine !== after.machine) return [];
  const { begins } = after;
  const hold = isReady(begins, before.ends)
    ? [{ of: 'hold' as const, what: `${begins.words}, on ${begins.on}`, minutes: begins.change }]
    : [];
  const stays = after.stays.filter(({ what }) => before.stays.some((other) => other.what === what));
  return [...hold, ...stays].filter(({ minutes }) => minutes > 0);
}

/**
 * Which runs are best made one right after the other, what saves most first: each run has one before it and one after it at most,
 * and none comes round to itself. Taken one after the other, the most first, not searched for the most in all.
 */
export function runsThatShare<Id>(runs: readonly SetRun<Id>[]): After<Id>[] {
  const all = runs.flatMap(({ id: first, setting }) =>
    runs.flatMap(({ id: then, setting: next }): After<Id>[] => {
      if (first === then) return [];
      const kept = keptBetween(setting, next);
      const saves = kept.reduce((sum, { minutes }) => sum + minutes, 0);
      return saves > 0 ? [{ first, then, kept, saves }] : [];
    }),
  );
  const taken: After<Id>[] = [];
  /** The first of the row that a run is in. */
  const headOf = (id: Id): Id => {
    const before = taken.find(({ then }) => then === id);
    return before ? headOf(before.first) : id;
  };
  for (const one of all.sort((a, b) => b.saves - a.saves)) {
    const isFree = !taken.some(({ first, then }) => first === one.first || then === one.then);
    if (isFree && headOf(one.first) !== one.then) taken.push(one);
  }
  return taken;
}
