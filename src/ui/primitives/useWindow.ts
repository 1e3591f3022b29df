'use client';
import { useSearchParams } from 'next/navigation';
import { useCallback } from 'react';

/** What the address calls the window that is open. */
const NAME = 'window';

/** Writes in the address which window is open; the rest of it stays. */
function write(name: string | undefined): void {
  const { pathname, search, hash } = window.location;
  const asked = new URLSearchParams(search);
  if (name === undefined) asked.delete(NAME);
  else asked.set(NAME, name);
  window.history.replaceState(null, '', `${pathname}${asked.size > 0 ? `?${asked}` : ''}${hash}`);
}

/**
 * Which of some windows is open: the address alone says so, and a reload or a link comes back to it.
 * @param names what the address calls them; what else stands there opens none
 */
export function useWindow<Name extends string>(
  ...names: readonly Name[]
): [Name | undefined, (name: Name | undefined) => void] {
  // Where there is no address, as on paper, there is nothing asked for.
  const named = (useSearchParams() as URLSearchParams | null)?.get(NAME);
  const show = useCallback((name: Name | undefined) => write(name), []);
  return [names.find((name) => name === named), show];
}
