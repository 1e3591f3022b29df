/** A figure of the shop as the page names it. */
export interface ShopFigure {
  key: string;
  label: string;
  takes: 'length' | 'number';
}

/** Figures of the shop that stand together: where they are in it, what they are for, and each by its name. */
export interface FigureGroup {
  /** Path in the shop: `allowances`, `cutting.feed`; nothing for the shop itself. */
  of: string;
  title: string;
  hint: string;
  figures: readonly ShopFigure[];
}

/** Figures by their labels: lengths, and other numbers. */
export const lengths = (labels: Record<string, string>): ShopFigure[] =>
  Object.entries(labels).map(([key, label]) => ({ key, label, takes: 'length' }));
export const numbers = (labels: Record<string, string>): ShopFigure[] =>
  Object.entries(labels).map(([key, label]) => ({ key, label, takes: 'number' }));

/** Tables by a key of their own, whose keys are names already: kinds of operation, sizes, conditions of a bar. */
export const table = (keys: readonly string[]): ShopFigure[] =>
  keys.map((key) => ({ key, label: key.replace(/-/g, ' '), takes: 'number' }));
