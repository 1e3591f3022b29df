import { setImmediate } from 'node:timers/promises';
import { planFile, type Plan } from '@/core/plan';
import { onHandFor, type RackItem } from '@/core/rack/rack';
import { usesOf, type Uses } from '@/core/shop/usedBy';
import { sectionName } from '@/core/stock/nameOfBar';
import { formatNominal } from '@/core/units/length';
import type { SavedRun } from '@/server/runRepository';
import type { BoardRun } from '@/ui/board/Board';
import { stockNeed, type StockNeed } from './rack/needs';
import { remembered, type Kept, type NumberedShop } from './remembered';

/** What the pages ask of the plan of a saved run. */
export interface Planned {
  board: Pick<BoardRun, 'figures' | 'problem'>;
  /** Minutes over the batch; undefined, like what follows, where there is no plan. */
  batchMinutes: number | undefined;
  need: StockNeed | undefined;
  uses: Uses | undefined;
}

const figuresOf = ({ times, stock, run, way }: Plan, { file }: SavedRun): NonNullable<BoardRun['figures']> => ({
  pieceMinutes: times.piece.value,
  batchMinutes: times.batch.value,
  bars: stock.bars.value,
  size: sectionName(stock, run.units),
  barLength: `${formatNominal(stock.barLength, file.units)} ${file.units}`,
  way: way === 'from-bar' ? 'from the bar' : 'sawn blanks',
});

// Beside the modules: every page has its own copy of them, and a run is planned once for all.
const shared = globalThis as { shinglePlanned?: Kept<Planned> };
shared.shinglePlanned ??= new Map();

/** A saved run planned for the pages that look at many: planned once as long as nothing that it is made from changes. */
export const plannedRun = remembered((run, { shop }, rack): Planned => {
  const plan = planFile(run.file, { ...shop, rack }, 'wanted');
  if (!plan.ok)
    return {
      board: { figures: undefined, problem: plan.problems[0] },
      batchMinutes: undefined,
      need: undefined,
      uses: undefined,
    };
  return {
    board: { figures: figuresOf(plan.value, run), problem: undefined },
    batchMinutes: plan.value.times.batch.value,
    need: stockNeed(run, plan.value),
    uses: usesOf(plan.value),
  };
}, shared.shinglePlanned);

/** All of them, each with what the rack has for it; between two runs others are answered. */
export async function plannedRuns(
  runs: readonly SavedRun[],
  shop: NumberedShop,
  items: readonly RackItem[],
): Promise<(Planned & { run: SavedRun })[]> {
  const planned: (Planned & { run: SavedRun })[] = [];
  for (const run of runs) {
    planned.push({ run, ...plannedRun(run, shop, onHandFor(items, run.id)) });
    await setImmediate();
  }
  return planned;
}
