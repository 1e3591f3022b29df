import type { Thread } from '../part/feature';
import type { Tool } from './shop';

/** A tap or a die of a thread: one diameter, one pitch, one hand. */
export const threadToolOf = (
  kind: 'tap' | 'die',
  { diameter, pitch, hand }: Thread,
  tools: readonly Tool[],
): Tool | undefined =>
  tools.find(
    (tool) =>
      tool.does.includes(kind) &&
      (tool.hand === 'left') === (hand === 'left') &&
      Math.abs((tool.diameter ?? 0) - diameter) < 0.01 &&
      Math.abs((tool.pitch ?? 0) - pitch) < 0.001,
  );
