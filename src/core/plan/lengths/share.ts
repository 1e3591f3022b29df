/** What several errors may add up to, mm either way: `of` are the numbers of those that do. */
export interface Budget {
  of: readonly number[];
  most: number;
}

/**
 * Shares tolerances among so many errors so that no budget is passed and the smallest share is as large as it can be:
 * all grow together, and those of a budget that is used up stay where they are (max-min fairness, by filling up).
 * @returns a share for each, mm either way; Infinity for one that no budget names
 */
export function shareOut(count: number, budgets: readonly Budget[]): number[] {
  const shares = new Array<number>(count).fill(Infinity);
  const growing = new Set(budgets.flatMap(({ of }) => of));
  const given = new Array<number>(count).fill(0);
  while (growing.size > 0) {
    // How far all may still grow before a budget that has growing ones is used up.
    const steps = budgets.flatMap(({ of, most }) => {
      const many = of.filter((error) => growing.has(error)).length;
      return many === 0 ? [] : [(most - of.reduce((sum, error) => sum + (given[error] ?? 0), 0)) / many];
    });
    const step = Math.max(0, Math.min(...steps));
    for (const error of growing) given[error] = (given[error] ?? 0) + step;
    const before = growing.size;
    for (const { of, most } of budgets)
      if (of.reduce((sum, error) => sum + (given[error] ?? 0), 0) >= most - 1e-9)
        for (const error of of) if (growing.delete(error)) shares[error] = given[error] ?? 0;
    if (growing.size === before) break;
  }
  return shares;
}
