import { sectionName } from '@/core/stock/nameOfBar';
import { planFile } from '@/core/plan';
import { onHandFor, type RackItem } from '@/core/rack/rack';
import type { Shop } from '@/core/shop/shop';
import { formatNominal } from '@/core/units/length';
import { listRack } from '@/server/rackRepository';
import { listRuns, type SavedRun } from '@/server/runRepository';
import { currentShop } from '@/server/shopRepository';
import { Board, type BoardRun } from '@/ui/board/Board';

export const dynamic = 'force-dynamic';

function boardRun({ id, file, savedAt, newerPart }: SavedRun, shop: Shop, items: RackItem[]): BoardRun {
  const plan = planFile(file, { ...shop, rack: onHandFor(items, id) });
  const { part, units } = file;
  const size = (mm: number) => `${formatNominal(mm, units)} ${units}`;
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
    figures: plan.ok
      ? {
          pieceMinutes: plan.value.times.piece.value,
          batchMinutes: plan.value.times.batch.value,
          bars: plan.value.stock.bars.value,
          size: sectionName(plan.value.stock, plan.value.run.units),
          barLength: size(plan.value.stock.barLength),
          way: plan.value.way === 'from-bar' ? 'from the bar' : 'sawn blanks',
        }
      : undefined,
    problem: plan.ok ? undefined : plan.problems[0],
  };
}

export default async function BoardPage() {
  const [{ runs, damaged }, shop, items] = await Promise.all([listRuns(), currentShop(), listRack()]);
  const board = runs
    .map((run) => boardRun(run, shop, items))
    .sort((a, b) => (a.due || '9').localeCompare(b.due || '9'));
  return <Board runs={board} damaged={damaged} today={new Date().toISOString().slice(0, 10)} />;
}
