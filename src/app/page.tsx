import { onHandFor, type RackItem } from '@/core/rack/rack';
import { listRack } from '@/server/rackRepository';
import { listRuns, type SavedRun } from '@/server/runRepository';
import { currentRevision } from '@/server/shopRepository';
import { plannedRun } from './planned';
import type { NumberedShop } from './remembered';
import { Board, type BoardRun } from '@/ui/board/Board';

export const dynamic = 'force-dynamic';

function boardRun(run: SavedRun, numbered: NumberedShop, items: RackItem[]): BoardRun {
  const { shop } = numbered;
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
    ...plannedRun(run, numbered, onHandFor(items, id)).board,
  };
}

export default async function BoardPage() {
  const [{ runs, damaged }, shop, items] = await Promise.all([listRuns(), currentRevision(), listRack()]);
  const board = runs
    .map((run) => boardRun(run, shop, items))
    .sort((a, b) => (a.due || '9').localeCompare(b.due || '9'));
  return <Board runs={board} damaged={damaged} today={new Date().toISOString().slice(0, 10)} />;
}
