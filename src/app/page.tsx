import { partsKeptTwice } from '@/server/partRepository';
import { Board } from '@/ui/board/Board';
import { boardAsked, boardRuns } from './boardAsked';
import { loaded, pageIn, textIn, type Asked } from './pages';

export const dynamic = 'force-dynamic';

/** Runs on a page of the board. */
const ON_A_PAGE = 50;

export default async function BoardPage({ searchParams }: { searchParams: Asked }) {
  const asked = await searchParams;
  const page = pageIn(asked.page);
  const query = boardAsked(asked);
  const { find, order, group, machine, today } = query;
  const [{ runs, found, all, stale, damaged, machines }, twice] = await loaded(() =>
    Promise.all([boardRuns(query, { from: (page - 1) * ON_A_PAGE, most: ON_A_PAGE }), partsKeptTwice()]),
  );
  return (
    <Board
      runs={runs}
      sought={{
        find,
        order,
        page,
        narrowed: {
          state: textIn(asked.state),
          due: textIn(asked.due),
          group: textIn(asked.group),
          machine,
          stock: query.isShort ? 'short' : '',
        },
      }}
      group={group}
      machines={machines.map(({ id, name }) => [id, name] as const)}
      pages={Math.ceil(found / ON_A_PAGE)}
      found={found}
      progress={{ all, stale }}
      damaged={damaged}
      twice={twice}
      today={today}
    />
  );
}
