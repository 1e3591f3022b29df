/** What something takes over a quantity: once, and for each piece; minutes or money. */
export interface Line {
  once: number;
  each: number;
}

/** What it takes for a quantity. */
export const at = ({ once, each }: Line, quantity: number): number => once + quantity * each;

/** Where two lines are equal, N* = (once₂ − once₁) / (each₁ − each₂) (trade: Time); undefined where they never are. */
export function breakEven(one: Line, other: Line): number | undefined {
  const between = one.each - other.each;
  return Math.abs(between) < 1e-12 ? undefined : (other.once - one.once) / between;
}

/** A quantity from which another way takes less. */
export interface CrossOver {
  from: string;
  to: string;
  /** Where both take the same; a quantity need not be whole there. */
  quantity: number;
  value: number;
}

/** Where the best of some ways changes, from one piece upwards. */
export function crossOvers(lines: readonly (Line & { id: string })[]): CrossOver[] {
  const found: CrossOver[] = [];
  const least = (quantity: number) =>
    lines.reduce<(Line & { id: string }) | undefined>(
      (best, line) =>
        !best ||
        at(line, quantity) < at(best, quantity) - 1e-9 ||
        (at(line, quantity) < at(best, quantity) + 1e-9 && line.each < best.each)
          ? line
          : best,
      undefined,
    );
  let best = least(1);
  for (let quantity = 1; best;) {
    const current = best;
    const next = lines
      .flatMap((line) => {
        const cross = line.each < current.each - 1e-12 ? breakEven(current, line) : undefined;
        return cross !== undefined && cross > quantity + 1e-9 ? [{ line, cross }] : [];
      })
      .sort((a, b) => a.cross - b.cross || a.line.each - b.line.each)[0];
    if (!next) break;
    found.push({ from: current.id, to: next.line.id, quantity: next.cross, value: at(current, next.cross) });
    best = next.line;
    quantity = next.cross;
  }
  return found;
}
