import type { RackItem } from '@/core/rack/rack';
import type { Problem } from '@/core/model/result';

/** How a request to the rack ended. */
export type RackOutcome = { ok: true } | { ok: false; problems: Problem[] };

async function post(path: string, body: unknown): Promise<RackOutcome> {
  try {
    const response = await fetch(path, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    });
    if (response.ok) return { ok: true };
    const { problems } = (await response.json()) as { problems?: Problem[] };
    return { ok: false, problems: problems ?? [] };
  } catch {
    return { ok: false, problems: [{ path: '', message: 'the server does not answer; nothing was changed' }] };
  }
}

/** Puts bars that came in on the rack. */
export const receiveBars = (receipt: object): Promise<RackOutcome> => post('/api/rack', receipt);

/** Reserves of a bar, releases it, uses it up, or brings it back. */
export const actOn = (id: number, action: object): Promise<RackOutcome> => post(`/api/rack/${id}`, action);

/** Sets how much of a section is to be kept. */
export const keepLevel = (level: object): Promise<RackOutcome> => post('/api/rack/levels', level);

/** The rack as it is now; undefined when the server does not answer. */
export async function fetchRack(): Promise<RackItem[] | undefined> {
  try {
    const response = await fetch('/api/rack');
    if (!response.ok) return undefined;
    return ((await response.json()) as { items: RackItem[] }).items;
  } catch {
    return undefined;
  }
}
