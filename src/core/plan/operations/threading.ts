import { sum, term } from '../../model/figure';
import type { Feature, Thread } from '../../model/part/feature';
import { sayPpm, type Gearing } from '../../model/plan/gearing';
import { gearingFor } from '../gears/gearing';
import type { Tool } from '../../model/shop/shop';
import { threadToolOf } from '../../model/shop/threadTool';
import type { Check, Operation, OperationKind } from '../../model/plan/operation';
import type { Setup } from '../../model/plan/setup';

/** A tap or a die of the shop for a thread. */
export const threadToolFor = (kind: 'tap' | 'die', thread: Thread, { run }: Setup): Tool | undefined =>
  threadToolOf(kind, thread, run.shop.tools);

/** A thread is tried with its gauge, go and no-go, or with the part that goes on it; at every piece where its class is named. */
export const threadCheck = (thread: Thread): Check => ({
  what: `thread ${thread.designation}`,
  measures: 'thread',
  ...(thread.of === undefined ? { general: true } : {}),
});

/** How the machine drives the thread of a feature, where it does so closely enough. */
export const gearingOf = ({ thread, z0, z1 }: Feature, { run }: Pick<Setup, 'run'>): Gearing | undefined =>
  thread && gearingFor({ ...thread, length: z1 - z0 }, run.shop);

/** The feed of a thread: its pitch. @param note by what it is driven */
export const pitchFeed = (thread: Thread | undefined, note: string) => ({
  ...sum('feed', 'mm/rev', [term('P', 'pitch', thread?.pitch ?? 0, 'mm', 'drawing')]),
  note,
});

/** The thread that an operation makes. */
export const threadOf = ({ feature }: Pick<Operation, 'feature'>, { part }: Setup): Thread | undefined =>
  part.features.find(({ path }) => path === feature)?.thread;

/** What drives a thread, in words. */
export function sayGearing({ train, levers, error }: Gearing): string {
  const by = train
    ? `change gears ${train.drivers.join(' · ')} / ${train.driven.join(' · ')}, drivers over driven`
    : `gearbox ${levers}`;
  return `By the leadscrew: ${by}, ${sayPpm(error)}.`;
}

/** What to mind where the leadscrew drives the carriage. */
export const LEADSCREW_CAUTIONS: NonNullable<OperationKind['cautions']> = [
  {
    kind: 'danger',
    text: 'Half-nuts and feed never both in; know how the carriage is stopped before the first pass.',
  },
  { kind: 'mistake', text: 'First pass a scratch: measure the pitch on it before going deeper.' },
];
