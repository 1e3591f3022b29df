/** What is wrong with an entry: where (a path into the run file), what, and what would do. */
export interface Problem {
  path: string;
  message: string;
  /** Nothing was entered yet. */
  missing?: true;
  /**
   * What another route would have to give: more room before the jaws, another bar, less that is turned from one side, an
   * end for the centre that goes last; or a bar in place of a drill, in the same set-up.
   */
  wants?: 'room' | 'stock' | 'halves' | 'end' | 'bar';
}

/** Expected bad input is a value, not an exception: exceptions are bugs. */
export type Result<T> = { ok: true; value: T } | { ok: false; problems: Problem[] };

/** Wraps a value that was reached. */
export const good = <T>(value: T): Result<T> => ({ ok: true, value });

/** Wraps what is in the way. */
export const bad = (...problems: Problem[]): { ok: false; problems: Problem[] } => ({ ok: false, problems });

/** One problem as a refusal. @param wants what another route would have to give */
export const refuse = (path: string, message: string, wants?: Problem['wants']): { ok: false; problems: Problem[] } =>
  bad({ path, message, ...(wants ? { wants } : {}) });

/** An entry that is not there yet; what would do, where that helps. */
export const missing = (path: string, more = ''): Problem => ({ path, message: `is missing${more}`, missing: true });

/** Goes on with the next stage when there is something to go on with. */
export const andThen = <A, B>(result: Result<A>, next: (value: A) => Result<B>): Result<B> =>
  result.ok ? next(result.value) : result;

/** All values, or all the problems of those that have none. */
export function collect<T>(results: Result<T>[]): Result<T[]> {
  const problems = results.flatMap((result) => (result.ok ? [] : result.problems));
  if (problems.length > 0) return { ok: false, problems };
  return good(results.flatMap((result) => (result.ok ? [result.value] : [])));
}
