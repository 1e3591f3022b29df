import { namesSetup } from '../model/overrule';
import type { Skeleton } from '../plan/skeleton';
import type { RunFile } from '../read/runFile';

/**
 * The end that a run names: of decisions about a set-up by its number that of the route they were taken on, so that they go on
 * meaning the same side.
 */
export const endKept = ({ firstEnd, overrules = [] }: RunFile, shown: Skeleton | undefined): RunFile['firstEnd'] =>
  (firstEnd ?? 'choose') === 'choose' && overrules.some(namesSetup) ? (shown?.end ?? firstEnd) : firstEnd;

/** A run whose decisions keep their side. */
export function withEndKept(file: RunFile, shown: Skeleton | undefined): RunFile {
  const firstEnd = endKept(file, shown);
  return firstEnd === undefined ? file : { ...file, firstEnd };
}
