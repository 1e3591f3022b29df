import type { Problem } from '@/core/model/result';

/** How a request ended: with what was asked for, or with what is in the way. */
export type Asked<T> = { ok: true; value: T } | { ok: false; problems: Problem[] };

/** Asks the server; what cannot be reached is a problem in words like any other. */
export async function ask<T>(method: string, path: string, body?: unknown): Promise<Asked<T>> {
  try {
    const response = await fetch(path, {
      method,
      headers: { 'content-type': 'application/json' },
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
    });
    const answer = (await response.json()) as T & { problems?: Problem[] };
    return response.ok ? { ok: true, value: answer } : { ok: false, problems: answer.problems ?? [] };
  } catch {
    return { ok: false, problems: [{ path: '', message: 'the server does not answer; nothing was changed' }] };
  }
}
