import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { Ordered } from '@/core/lathe/events';

/** What this browser keeps of what happened, until the server has it and after. */
interface Kept extends DBSchema {
  events: {
    key: string;
    value: { run: string; event: Ordered };
    indexes: { run: string };
  };
  counters: { key: string; value: number };
}

let opened: Promise<IDBPDatabase<Kept>> | undefined;

const kept = (): Promise<IDBPDatabase<Kept>> =>
  (opened ??= openDB<Kept>('shingle-lathe', 1, {
    upgrade(database) {
      database.createObjectStore('events', { keyPath: 'event.id' }).createIndex('run', 'run');
      database.createObjectStore('counters');
    },
  }));

/** Only what is on the disk is told as kept. */
const STRICT = { durability: 'strict' } as const;

/** Keeps a new event under the next number of this device; done when it is on the disk. */
export async function keepNew(run: string, make: (seq: number) => Ordered): Promise<Ordered> {
  const transaction = (await kept()).transaction(['events', 'counters'], 'readwrite', STRICT);
  const counters = transaction.objectStore('counters');
  const seq = ((await counters.get('seq')) ?? 0) + 1;
  const event = make(seq);
  await Promise.all([
    counters.put(seq, 'seq'),
    transaction.objectStore('events').put({ run, event }),
    transaction.done,
  ]);
  return event;
}

/** Keeps events as the server has them. */
export async function keepServed(run: string, events: readonly Ordered[]): Promise<void> {
  if (events.length === 0) return;
  const transaction = (await kept()).transaction('events', 'readwrite', STRICT);
  await Promise.all([...events.map((event) => transaction.store.put({ run, event })), transaction.done]);
}

const fetchedKey = (run: string) => `fetched ${run}`;

/** Up to which place of the server's order a run is known here. */
export const fetchedTo = async (run: string): Promise<number> =>
  (await (await kept()).get('counters', fetchedKey(run))) ?? 0;
export const keepFetchedTo = async (run: string, order: number): Promise<void> =>
  void (await (await kept()).put('counters', order, fetchedKey(run)));

/** Everything that this browser has of a run; what the server has not got is without a place in its order. */
export const keptOf = async (run: string): Promise<Ordered[]> =>
  (await (await kept()).getAllFromIndex('events', 'run', run)).map(({ event }) => event);
