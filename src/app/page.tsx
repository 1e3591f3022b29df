import { partsKeptTwice } from '@/server/partRepository';
import { shortages } from '@/core/rack/rack';
import { listLevels, listRack } from '@/server/rackRepository';
import { LIST_DUES, LIST_GROUPS, LIST_ORDERS, LIST_STATES, listNeeds, listRuns } from '@/server/runList';
import { currentShop } from '@/server/shopRepository';
import { Board } from '@/ui/board/Board';
import { loaded, pageIn, textIn, type Asked } from './pages';

export const dynamic = 'force-dynamic';

/** Runs on a page of the board. */
const ON_A_PAGE = 50;

/** One of a list of words, or the first of them. */
const oneOf = <Word extends string>(words: readonly Word[], text: string): Word =>
  words.find((word) => word === text) ?? (words[0] as Word);

/** Runs that want a section of which the rack has too little. */
async function shortRuns(): Promise<number[]> {
  const [items, levels, needs] = await Promise.all([listRack(), listLevels(), listNeeds()]);
  return shortages(needs, items, levels).flatMap(({ runs }) => runs);
}

export default async function BoardPage({ searchParams }: { searchParams: Asked }) {
  const asked = await searchParams;
  const [find, page, machine, isShort] = [
    textIn(asked.find),
    pageIn(asked.page),
    textIn(asked.machine),
    textIn(asked.stock) === 'short',
  ];
  const order = oneOf(LIST_ORDERS, textIn(asked.order));
  const state = oneOf(LIST_STATES, textIn(asked.state));
  const due = oneOf(LIST_DUES, textIn(asked.due));
  const group = oneOf(LIST_GROUPS, textIn(asked.group));
  const today = new Date().toISOString().slice(0, 10);
  const [{ runs, found, all, stale, damaged }, { materials, machines }, twice] = await loaded(async () => {
    const only = isShort ? { only: await shortRuns() } : {};
    const query = { find, order, state, due, today, group, machine, from: (page - 1) * ON_A_PAGE, most: ON_A_PAGE };
    return Promise.all([listRuns({ ...query, ...only }), currentShop(), partsKeptTwice()]);
  });
  return (
    <Board
      runs={runs.map((run) => ({
        ...run,
        material: materials.find(({ id }) => id === run.material)?.name ?? run.material,
        machine: machines.find(({ id }) => id === run.machine)?.name ?? run.machine,
      }))}
      sought={{
        find,
        order,
        page,
        narrowed: {
          state: textIn(asked.state),
          due: textIn(asked.due),
          group: textIn(asked.group),
          machine,
          stock: isShort ? 'short' : '',
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
