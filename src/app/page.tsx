import { sectionName } from '@/core/stock/nameOfBar';
import { planFile } from '@/core/plan';
import { onHandFor, type RackItem } from '@/core/rack/rack';
import type { Shop } from '@/core/shop/shop';
import { formatNominal } from '@/core/units/length';
import { listRack } from '@/server/rackRepository';
import { listRuns, type SavedRun } from '@/server/runRepository';
import { currentShop } from '@/server/shopRepository';
import { remembered } from './remembered';
import { Board, type BoardRun } from '@/ui/board/Board';

export const dynamic = 'force-dynamic';

/** What the plan says of a run, in the figures of the board; or why it has none. */
const figuresOf = remembered(({ file }, shop, rack): Pick<BoardRun, 'figures' | 'problem'> => {
  const plan = planFile(file, { ...shop, rack });
  if (!plan.ok) return { figures: undefined, problem: plan.problems[0] };
  const { times, stock, run, way } = plan.value;
  return {
    figures: {
      pieceMinutes: times.piece.value,
      batchMinutes: times.batch.value,
      bars: stock.bars.value,
      size: sectionName(stock, run.units),
      barLength: `${formatNominal(stock.barLength, file.units)} ${file.units}`,
      way: way === 'from-bar' ? 'from the bar' : 'sawn blanks',
    },
    problem: undefined,
  };
});

function boardRun(run: SavedRun, shop: Shop, items: RackItem[]): BoardRun {
  const { id, file, savedAt, newerPart } = run;
  const { part, units } = file;
  return {
    id,
    number: part.number,
    name: part.name ?? '',
    revision: part.revision ?? '',
    material: shop.materials.find((material) => material.id === part.material)?.name ?? part.material,
    quantity: String(file.quantity),
    units,
    due: file.due,
    newerPart: newerPart?.revision,
    savedAt,
    ...figuresOf(run, shop, onHandFor(items, id)),
  };
}

export default async function BoardPage() {
  const [{ runs, damaged }, shop, items] = await Promise.all([listRuns(), currentShop(), listRack()]);
  const board = runs
    .map((run) => boardRun(run, shop, items))
    .sort((a, b) => (a.due || '9').localeCompare(b.due || '9'));
  return <Board runs={board} damaged={damaged} today={new Date().toISOString().slice(0, 10)} />;
}
