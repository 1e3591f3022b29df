import type { Tool } from '../../model/shop/shop';
import type { Setup } from '../../model/plan/setup';

/** Boring bars that reach a depth, mm. */
export const barsFor = (depth: number, { run }: Setup): Tool[] =>
  run.shop.tools.filter(({ does, deep = 0 }) => does.includes('bore') && deep >= depth - 1e-6);

/** The stoutest bar that goes into a hole without its back touching: it bends least. */
export const stoutest = (bars: readonly Tool[], hole: number): Tool | undefined =>
  bars.filter(({ least = 0 }) => least <= hole + 1e-6).sort((a, b) => (b.diameter ?? 0) - (a.diameter ?? 0))[0];
