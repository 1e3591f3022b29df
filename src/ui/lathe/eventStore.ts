import type { Happening, LatheEvent, Ordered } from '@/core/lathe/events';
import { deviceName } from '../devices/deviceName';
import { newName } from '../primitives/newName';
import { fetchedTo, keepFetchedTo, keepNew, keepServed, keptOf } from './keptEvents';

/** What is known here of what happened in a run. */
export interface Happened {
  events: readonly Ordered[];
  /** How many the server has not got yet. */
  unsent: number;
  /** Whether the server answered last; nothing before it was asked. */
  net: 'there' | 'gone' | undefined;
  /** What it would not take, in words. */
  refused?: string;
}

/** To which piece and operation something happened. */
export type Where = Pick<LatheEvent, 'piece' | 'operation'>;

/** How often the server is asked what others did, ms. */
const EVERY_MS = 4000;
/** What came to the server at the same time may be told out of order: so much is asked for again. */
const AGAIN = 100;
const AT_ONCE = 200;
const PATIENCE_MS = 8000;

/** What this browser is called in the log: as it was named, and a sign of its own, since two may have one name. */
function signature(): string {
  const key = 'shingle-browser';
  const own = localStorage.getItem(key) ?? crypto.getRandomValues(new Uint32Array(1))[0]?.toString(36) ?? '';
  localStorage.setItem(key, own);
  return `${deviceName() || 'this browser'} · ${own}`.slice(0, 60);
}

async function asked<T>(path: string, body?: unknown): Promise<{ status: number; answer: T }> {
  const response = await fetch(path, {
    signal: AbortSignal.timeout(PATIENCE_MS),
    ...(body === undefined
      ? {}
      : { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) }),
  });
  return { status: response.status, answer: (await response.json()) as T };
}

/** What of a run's events goes between this browser and the server. */
interface Exchanged {
  run: string;
  known: () => ReadonlyMap<string, Ordered>;
  /** Takes events as the server has them. */
  take: (events: readonly Ordered[]) => Promise<void>;
  onRefused: (because: string) => void;
}

/** What the server has not got, in the order in which it happened here. */
const unsentOf = (known: ReadonlyMap<string, Ordered>): Ordered[] =>
  [...known.values()].filter(({ order }) => order === undefined).sort((a, b) => a.seq - b.seq);

/** Sends what is unsent; what the server refuses is told, and nothing behind it is sent before. */
async function send({ run, known, take, onRefused }: Exchanged): Promise<void> {
  for (let unsent = unsentOf(known()); unsent.length > 0; unsent = unsentOf(known())) {
    const events = unsent.slice(0, AT_ONCE);
    const { status, answer } = await asked<{ order?: Record<string, number>; problems?: { message: string }[] }>(
      `/api/runs/${run}/events`,
      { events },
    );
    const { order } = answer;
    if (!order) {
      if (status < 500) onRefused(answer.problems?.[0]?.message ?? 'the server does not take it');
      throw new Error('not taken');
    }
    await take(
      events.flatMap((event) => {
        const at = order[event.id];
        return at === undefined ? [] : [{ ...event, order: at }];
      }),
    );
  }
}

/** Fetches what others wrote behind the last place of the order that is known here. */
async function fetchOthers({ run, known, take }: Exchanged): Promise<void> {
  const from = await fetchedTo(run);
  const after = Math.max(0, from - AGAIN);
  const { status, answer } = await asked<{ events?: Ordered[] }>(`/api/runs/${run}/events?after=${after}`);
  if (!answer.events) throw new Error(`answered ${status}`);
  await take(answer.events.filter(({ id }) => known().get(id)?.order === undefined));
  const last = answer.events.at(-1)?.order ?? from;
  if (last > from) await keepFetchedTo(run, last);
}

/**
 * What happens in a run, as this browser keeps it: written on its disk before it is told as kept, sent in the order in which it
 * happened as soon as the server answers, and what other devices wrote fetched from it.
 */
export function openEvents(run: string) {
  let told: Happened = { events: [], unsent: 0, net: undefined };
  let exchanging: Promise<void> | undefined;
  /** What is being written, by what it says. */
  const writing = new Map<string, Promise<void>>();
  const known = new Map<string, Ordered>();
  const listeners = new Set<() => void>();
  const tell = (next: Partial<Happened>) => {
    told = { ...told, ...next };
    listeners.forEach((listener) => listener());
  };
  const learn = (events: readonly Ordered[]) => {
    if (events.length === 0) return;
    for (const event of events) known.set(event.id, event);
    tell({ events: [...known.values()], unsent: unsentOf(known).length });
  };
  const take = async (events: readonly Ordered[]) => {
    await keepServed(run, events);
    learn(events);
  };
  const exchanged: Exchanged = { run, known: () => known, take, onRefused: (refused) => tell({ refused }) };
  const isNet = (net: Happened['net']) => told.net !== net && tell({ net });
  const exchange = (): Promise<void> =>
    (exchanging ??= send(exchanged)
      .then(() => fetchOthers(exchanged))
      .then(
        () => void isNet('there'),
        () => void isNet('gone'),
      )
      .finally(() => (exchanging = undefined)));

  const write = async (happened: Happening & Where & Pick<LatheEvent, 'revision' | 'shop'>): Promise<void> => {
    const event = await keepNew(run, (seq) => ({
      id: newName(),
      device: signature(),
      seq,
      at: new Date().toISOString(),
      ...happened,
    }));
    learn([event]);
    void exchange();
  };

  return {
    now: () => told,
    subscribe: (listener: () => void) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    /** Exchanges with the server now and again until it is closed. */
    open: () => {
      void keptOf(run).then(learn).then(exchange);
      const timer = setInterval(() => void exchange(), EVERY_MS);
      const online = () => void exchange();
      window.addEventListener('online', online);
      return () => {
        clearInterval(timer);
        window.removeEventListener('online', online);
      };
    },
    /**
     * Writes down what happened, by which revisions of run and shop; done when it is on the disk of this device. The same again
     * before that is one press that bounced: nobody has seen yet what it did.
     */
    append: (happening: Happening, where: Where, by: Pick<LatheEvent, 'revision' | 'shop'>): Promise<void> => {
      const press = JSON.stringify([happening, where]);
      const written =
        writing.get(press) ?? write({ ...by, ...where, ...happening }).finally(() => writing.delete(press));
      writing.set(press, written);
      return written;
    },
  };
}
