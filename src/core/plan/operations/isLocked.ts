import { kindOf } from '.';
import type { Operation } from '../../model/plan/operation';

/**
 * Whether the carriage is clamped for an operation: for what is fed across, or along the compound (trade: Stops). What is not fed
 * from the post leaves it as it is.
 */
export function isLocked({ kind, tool, compound }: Pick<Operation, 'kind' | 'tool' | 'compound'>): boolean | undefined {
  const { across = false, byHand } = kindOf({ kind });
  return tool.mount === 'post' && byHand === undefined ? across || compound !== undefined : undefined;
}
