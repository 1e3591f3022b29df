import { randomUUID } from 'node:crypto';
import type { DeviceReading } from '@/core/formats/deviceLine';
import { database } from './database';

type Listener = (reading: DeviceReading) => void;

/** What this process has of it; it survives reloads of the modules around it. */
interface Hearing {
  process: string;
  listeners: Set<Listener>;
  /** Lines of other processes that were told, or came before anybody listened. */
  told: ReadonlySet<number>;
  /** What is being asked of the database: one after the other, so that no line is told twice. */
  asked: Promise<void>;
  isAsking: boolean;
}

const shared = globalThis as { shingleHearing?: Hearing };
const here = (shared.shingleHearing ??= {
  process: randomUUID(),
  listeners: new Set(),
  told: new Set(),
  asked: Promise.resolve(),
  isAsking: false,
});

/** How soon a line of another process is heard, ms. */
const EACH_MS = 150;

/** Each so many times it says that its pages still listen: well within what that counts for. */
const COUNTED_EACH = 20;

/** How long a line is kept for the other processes, and how long one of them counts that no longer says that it is there, s. */
const KEPT_S = 10;

/** What `at` must be behind, in words of the database: its clock is the one that all processes share. */
const LATELY = `at > now(3) - interval ${KEPT_S} second`;

/** Says how many pages of this process listen. */
const countPages = (): Promise<unknown> =>
  database()('device_pages')
    .insert({ process: here.process, pages: here.listeners.size, at: database().fn.now(3) })
    .onConflict('process')
    .merge();

const tellHere = (reading: DeviceReading) => here.listeners.forEach((listener) => listener(reading));

/** Tells what other processes got since it was asked last. */
async function tellNewOfOthers(): Promise<void> {
  const rows = await database()('device_lines')
    .whereNot({ process: here.process })
    .whereRaw(LATELY)
    .orderBy('id')
    .select<{ id: number; document: string }[]>('id', 'document');
  const before = here.told;
  here.told = new Set(rows.map(({ id }) => id));
  for (const { id, document } of rows) if (!before.has(id)) tellHere(JSON.parse(document) as DeviceReading);
}

/** The same, behind what is asked already. While the database is gone, pages of this process still hear its own devices. */
const hearOthers = (): Promise<void> => (here.asked = here.asked.then(tellNewOfOthers).catch(() => undefined));

/** Asks again and again as long as somebody listens, and says now and then that somebody does. */
async function keepAsking(): Promise<void> {
  if (here.isAsking) return;
  here.isAsking = true;
  for (let asked = 1; here.listeners.size > 0; asked += 1) {
    await new Promise((resolve) => setTimeout(resolve, EACH_MS));
    if (asked % COUNTED_EACH === 0) await countPages().catch(() => undefined);
    await hearOthers();
  }
  here.isAsking = false;
}

/** Leaves a line for the other processes. @returns how many of their pages listen */
async function tellOthers(reading: DeviceReading): Promise<number> {
  const knex = database();
  for (const table of ['device_lines', 'device_pages']) await knex(table).whereRaw(`not ${LATELY}`).delete();
  await knex('device_lines').insert({ process: here.process, document: JSON.stringify(reading) });
  const [others] = await knex('device_pages')
    .whereNot({ process: here.process })
    .whereRaw(LATELY)
    .sum<{ pages: string | null }[]>({ pages: 'pages' });
  return Number(others?.pages ?? 0);
}

/**
 * Tells the pages that listen what a device showed: those of this process at once, those of others through the database. What
 * nobody listens to is gone, as on the device itself.
 * @returns how many pages heard it; throws where the database is gone and nobody listens here
 */
export async function tellReading(reading: DeviceReading): Promise<number> {
  tellHere(reading);
  const pages = here.listeners.size;
  try {
    return pages + (await tellOthers(reading));
  } catch (error) {
    if (pages === 0) throw error;
    return pages;
  }
}

/** Listens to the devices of the shop, from now on. @returns what ends it */
export async function onReading(listener: Listener): Promise<() => void> {
  await hearOthers();
  here.listeners.add(listener);
  await countPages().catch(() => undefined);
  void keepAsking();
  return () => {
    here.listeners.delete(listener);
    void countPages().catch(() => undefined);
  };
}
