import { shortages } from '@/core/rack/rack';
import { listLevels, listRack } from '@/server/rackRepository';
import {
  LIST_DUES,
  LIST_GROUPS,
  LIST_ORDERS,
  LIST_STATES,
  listNeeds,
  listRuns,
  type ListQuery,
} from '@/server/runList';
import { currentShop } from '@/server/shopRepository';
import { textIn } from './pages';

/** One of a list of words, or the first of them. */
const oneOf = <Word extends string>(words: readonly Word[], text: string): Word =>
  words.find((word) => word === text) ?? (words[0] as Word);

/** What of the board is asked for, from its address. */
export const boardAsked = (asked: Record<string, string | string[] | undefined>) => ({
  find: textIn(asked.find),
  machine: textIn(asked.machine),
  isShort: textIn(asked.stock) === 'short',
  order: oneOf(LIST_ORDERS, textIn(asked.order)),
  state: oneOf(LIST_STATES, textIn(asked.state)),
  due: oneOf(LIST_DUES, textIn(asked.due)),
  group: oneOf(LIST_GROUPS, textIn(asked.group)),
  today: new Date().toISOString().slice(0, 10),
});

/** Runs that want a section of which the rack has too little. */
async function shortRuns(): Promise<number[]> {
  const [items, levels, needs] = await Promise.all([listRack(), listLevels(), listNeeds()]);
  return shortages(needs, items, levels).flatMap(({ runs }) => runs);
}

/** Some of the runs that are asked for, materials and lathes by their names. @param some from which on, and how many at most */
export async function boardRuns(
  { isShort, ...query }: ReturnType<typeof boardAsked>,
  some: Pick<ListQuery, 'from' | 'most'>,
) {
  const only = isShort ? { only: await shortRuns() } : {};
  const [found, { materials, machines }] = await Promise.all([listRuns({ ...query, ...some, ...only }), currentShop()]);
  const runs = found.runs.map((run) => ({
    ...run,
    material: materials.find(({ id }) => id === run.material)?.name ?? run.material,
    machine: machines.find(({ id }) => id === run.machine)?.name ?? run.machine,
  }));
  return { ...found, runs, machines };
}
