import type { Problem } from '@/core/model/result';
import type { ShopEffect } from '@/core/ask/compareShops';
import type { Shop } from '@/core/model/shop/shop';

type Answer<T> = { ok: true; value: T } | { ok: false; problems: Problem[] };

async function ask<T>(
  path: string,
  method: 'PUT' | 'POST',
  body: object,
  read: (answer: unknown) => T,
  signal?: AbortSignal,
): Promise<Answer<T>> {
  try {
    const response = await fetch(path, {
      method,
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
      ...(signal ? { signal } : {}),
    });
    const answer = (await response.json()) as { problems?: Problem[] };
    return response.ok ? { ok: true, value: read(answer) } : { ok: false, problems: answer.problems ?? [] };
  } catch {
    return { ok: false, problems: [{ path: '', message: 'the server does not answer; nothing was changed' }] };
  }
}

/** Keeps the shop as a further revision; its number. */
export const keepShop = (base: number, shop: Shop): Promise<Answer<number>> =>
  ask('/api/shop', 'PUT', { base, shop }, (answer) => (answer as { revision: number }).revision);

/** What another shop would do to the runs; nobody waits for it any more when the signal says so. */
export const previewShop = (shop: Shop, signal?: AbortSignal): Promise<Answer<Preview>> =>
  ask('/api/shop/preview', 'POST', { shop }, (answer) => answer as Preview, signal);

/** The runs that change, and how many there are with what all of them take now, minutes. */
export interface Preview {
  effects: ShopEffect[];
  of: number;
  /** Runs that are begun, which keep to the shop of then. */
  begun: number;
  minutes: number;
}
