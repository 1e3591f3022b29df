import type { Shop } from '@/core/shop/shop';
import { listRack } from '@/server/rackRepository';
import { listRuns, type SavedRun } from '@/server/runRepository';
import { currentRevision } from '@/server/shopRepository';
import { plannedRuns, type Planned } from './planned';
import { Board, type BoardRun } from '@/ui/board/Board';

export const dynamic = 'force-dynamic';

function boardRun({ run, board }: Planned & { run: SavedRun }, shop: Shop): BoardRun {
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
    ...board,
  };
}

export default async function BoardPage() {
  const [{ runs, damaged }, numbered, items] = await Promise.all([listRuns(), currentRevision(), listRack()]);
  const board = (await plannedRuns(runs, numbered, items))
    .map((own) => boardRun(own, numbered.shop))
    .sort((a, b) => (a.due || '9').localeCompare(b.due || '9'));
  return <Board runs={board} damaged={damaged} today={new Date().toISOString().slice(0, 10)} />;
}
