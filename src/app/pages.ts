import { cache } from 'react';
import { findRun } from '@/server/runRepository';
import { troubleDigest, troubleOf } from '@/server/trouble';

/** Loads what a page shows; what goes wrong reaches the browser as the trouble that it is, and never as a trace. */
export async function loaded<T>(work: () => Promise<T>): Promise<T> {
  try {
    return await work();
  } catch (error) {
    if (isOfNext(error)) throw error;
    throw Object.assign(new Error('the page could not be made'), { digest: troubleDigest(troubleOf(error)) });
  }
}

/** A run by the id in its address; asked for by its layout and by its title, one answer serves both. */
export const loadRun = cache((id: string) =>
  loaded(async () => (/^\d{1,9}$/.test(id) ? findRun(Number(id)) : undefined)),
);

/** What Next itself throws to leave a page: not found, and the like. */
const isOfNext = (error: unknown): boolean => /^(NEXT_|DYNAMIC_)/.test(String((error as { digest?: string }).digest));

/** What is in the address after the question mark, as the pages get it. */
export type Asked = Promise<Record<string, string | string[] | undefined>>;

/** The first value of a name in the address, at most 100 signs of it. */
export const textIn = (value: string | string[] | undefined): string =>
  ((Array.isArray(value) ? value[0] : value) ?? '').slice(0, 100);

/** A page number in the address, from 1; anything else is the first. */
export function pageIn(value: string | string[] | undefined): number {
  const page = Number(textIn(value));
  return Number.isInteger(page) && page >= 1 && page <= 100_000 ? page : 1;
}
