'use client';
import { useSearchParams } from 'next/navigation';
import { useCallback } from 'react';

/** What the address calls the window that is open. */
const NAME = 'window';

/** Writes a word of the address, or takes it out; the rest of it stays. */
function write(word: string, value: string | undefined): void {
  const { pathname, search, hash } = window.location;
  const asked = new URLSearchParams(search);
  if (value === undefined) asked.delete(word);
  else asked.set(word, value);
  window.history.replaceState(null, '', `${pathname}${asked.size > 0 ? `?${asked}` : ''}${hash}`);
}

/** A word of the address, and how it is written there: a reload or a link comes back to it. */
export function useAddressWord(word: string): [string | undefined, (value: string | undefined) => void] {
  // Where there is no address, as on paper, there is nothing asked for.
  const value = (useSearchParams() as URLSearchParams | null)?.get(word) ?? undefined;
  const show = useCallback((next: string | undefined) => write(word, next), [word]);
  return [value, show];
}

/**
 * Which of some windows is open: the address alone says so, and a reload or a link comes back to it.
 * @param names what the address calls them; what else stands there opens none
 */
export function useWindow<Name extends string>(
  ...names: readonly Name[]
): [Name | undefined, (name: Name | undefined) => void] {
  const [named, show] = useAddressWord(NAME);
  return [names.find((name) => name === named), show];
}

/**
 * Of windows that there is one of for each of many things, the thing whose window is open: `tools:drill-9.9` in the address.
 * @param kind what the address says before it
 */
export function useWindowOf(kind: string): [string | undefined, (which: string | undefined) => void] {
  const [named, write] = useAddressWord(NAME);
  const show = useCallback(
    (which: string | undefined) => write(which === undefined ? undefined : `${kind}:${which}`),
    [kind, write],
  );
  return [named?.startsWith(`${kind}:`) ? named.slice(kind.length + 1) : undefined, show];
}
