import type { Thread } from '../../model/part/feature';
import type { Tool } from '../../model/shop/shop';
import type { Check } from '../../model/plan/operation';
import type { Setup } from '../../model/plan/setup';

/** A tap or a die of a thread: one diameter, one pitch, one hand. */
export const threadToolFor = (
  kind: 'tap' | 'die',
  { diameter, pitch, hand }: Thread,
  { run }: Setup,
): Tool | undefined =>
  run.shop.tools.find(
    (tool) =>
      tool.does.includes(kind) &&
      (tool.hand === 'left') === (hand === 'left') &&
      Math.abs((tool.diameter ?? 0) - diameter) < 0.01 &&
      Math.abs((tool.pitch ?? 0) - pitch) < 0.001,
  );

/** A thread is tried with its gauge, go and no-go, or with the part that goes on it. */
export const threadCheck = ({ designation }: Thread): Check => ({ what: `thread ${designation}`, measures: 'thread' });
