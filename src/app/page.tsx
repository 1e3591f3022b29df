import { partsKeptTwice } from '@/server/partRepository';
import { LIST_ORDERS, listRuns, type ListOrder } from '@/server/runList';
import { currentShop } from '@/server/shopRepository';
import { Board } from '@/ui/board/Board';
import { loaded, pageIn, textIn, type Asked } from './pages';

export const dynamic = 'force-dynamic';

/** Runs on a page of the board. */
const ON_A_PAGE = 50;

const orderIn = (text: string): ListOrder => LIST_ORDERS.find((order) => order === text) ?? 'due';

export default async function BoardPage({ searchParams }: { searchParams: Asked }) {
  const asked = await searchParams;
  const [find, order, page] = [textIn(asked.find), orderIn(textIn(asked.order)), pageIn(asked.page)];
  const [{ runs, found, all, stale, damaged }, { materials }, twice] = await loaded(() =>
    Promise.all([
      listRuns({ find, order, from: (page - 1) * ON_A_PAGE, most: ON_A_PAGE }),
      currentShop(),
      partsKeptTwice(),
    ]),
  );
  return (
    <Board
      runs={runs.map((run) => ({
        ...run,
        material: materials.find(({ id }) => id === run.material)?.name ?? run.material,
      }))}
      sought={{ find, order, page }}
      pages={Math.ceil(found / ON_A_PAGE)}
      found={found}
      progress={{ all, stale }}
      damaged={damaged}
      twice={twice}
      today={new Date().toISOString().slice(0, 10)}
    />
  );
}
