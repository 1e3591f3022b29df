import { isOrder, type Overrule } from '../../model/overrule';

/**
 * The overrules with an operation moved to another place among those of its set-up: after the one that is then before
 * it, and before the one that is then behind it. What was decided of it earlier, by moving, goes.
 * @param keys the operations as they stand, by key
 * @param to its place when it has been moved
 */
export function moveOperation(
  overrules: readonly Overrule[],
  keys: readonly string[],
  key: string,
  to: number,
): Overrule[] {
  const others = keys.filter((name) => name !== key);
  const [before, behind] = [others[to - 1], others[to]];
  const kept = overrules.filter((overrule) => !isOrder(overrule) || (overrule.first !== key && overrule.then !== key));
  return [
    ...kept,
    ...(before === undefined ? [] : [{ first: before, then: key, moved: key }]),
    ...(behind === undefined ? [] : [{ first: key, then: behind, moved: key }]),
  ];
}
