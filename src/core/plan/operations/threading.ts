import type { Thread } from '../../model/part/feature';
import type { Tool } from '../../model/shop/shop';
import { threadToolOf } from '../../model/shop/threadTool';
import type { Check } from '../../model/plan/operation';
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
