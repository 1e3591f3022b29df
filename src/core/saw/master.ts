import type { Highs } from 'highs';
import type { Filling } from './firstFit';

/** What the linear problem says: its value, what each length is worth, and what one more limited bar would save. */
export interface Relaxed {
  value: number;
  worth: number[];
  scarcity: number[];
  /** How often each filling is used; fractions. */
  used: number[];
  /** Pieces that the bars there are do not give. */
  missing: number;
}

/** Dearer than any bar, so that a piece goes missing only when no bar is left for it. */
const MISSING = 1000;

/**
 * The master problem of column generation: fillings as columns, a row for each length (at least so many) and for each
 * kind of bar that is limited (at most so many). A column for each length stands for pieces that find no bar.
 */
export function masterOf(highs: Highs, demands: readonly number[], counts: readonly (number | null)[]) {
  const model = highs.createModel();
  model.options.set({ output_flag: false, presolve: 'off' });
  const none = { indices: [], values: [] };
  for (const demand of demands) model.addRow(demand, highs.infinity, none);
  let rows = demands.length;
  const barRow = counts.map((count) => {
    if (count === null) return undefined;
    model.addRow(-highs.infinity, count, none);
    return rows++;
  });
  for (const item of demands.keys()) model.addCol(MISSING, 0, highs.infinity, { indices: [item], values: [1] });
  const fillings: Filling[] = [];
  const known = new Set<string>();
  return {
    fillings,
    /** Adds a filling at a cost; false when it is there already. */
    add(filling: Filling, cost: number): boolean {
      const key = `${filling.bar}:${filling.counts.join(',')}`;
      if (known.has(key)) return false;
      known.add(key);
      const row = barRow[filling.bar];
      const entries = filling.counts.flatMap((count, item) => (count > 0 ? [{ index: item, value: count }] : []));
      if (row !== undefined) entries.push({ index: row, value: 1 });
      model.addCol(cost, 0, highs.infinity, {
        indices: entries.map(({ index }) => index),
        values: entries.map(({ value }) => value),
      });
      fillings.push(filling);
      return true;
    },
    /** Gives every filling another cost. */
    price(costOf: (bar: number) => number): void {
      fillings.forEach(({ bar }, index) => model.changeColCost(demands.length + index, costOf(bar)));
    },
    /** Asks for so many of each length from now on, of so many bars of each kind. */
    ask(wanted: readonly number[], bars: readonly (number | null)[]): void {
      wanted.forEach((demand, item) => model.changeRowBounds(item, demand, highs.infinity));
      barRow.forEach((row, bar) => {
        if (row !== undefined) model.changeRowBounds(row, -highs.infinity, bars[bar] ?? 0);
      });
    },
    /** Solves the linear problem from where it last stood. */
    relax(): Relaxed {
      model.run();
      const { rowDual, colValue } = model.getSolution();
      const values = Array.from(colValue);
      return {
        value: model.getObjectiveValue(),
        worth: demands.map((_, item) => Math.max(0, rowDual[item] ?? 0)),
        scarcity: barRow.map((row) => (row === undefined ? 0 : Math.min(0, rowDual[row] ?? 0))),
        used: values.slice(demands.length),
        missing: values.slice(0, demands.length).reduce((total, value) => total + value, 0),
      };
    },
    /** How often each filling is used in the best whole numbers found in the time; undefined when none were. */
    whole(seconds: number): number[] | undefined {
      const { integer } = highs.constants.variableType;
      for (let column = 0; column < demands.length + fillings.length; column++)
        model.changeColIntegrality(column, integer);
      model.options.set({ presolve: 'on', time_limit: seconds });
      model.run();
      const { colValue } = model.getSolution();
      if (Number(model.info.get('primal_solution_status')) !== 2) return undefined;
      const values = Array.from(colValue, Math.round);
      return values.slice(0, demands.length).some((value) => value > 0) ? undefined : values.slice(demands.length);
    },
    dispose: () => model.dispose(),
  };
}

export type Master = ReturnType<typeof masterOf>;
