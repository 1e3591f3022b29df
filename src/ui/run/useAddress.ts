'use client';
import { usePathname } from 'next/navigation';
import { useEffect, useRef } from 'react';
import type { PartFile } from '@/core/read/runFile';
import { placeAt, titleOf } from './places';
import type { Workspace } from './WorkspaceContext';

/**
 * Keeps in the address what is looked at, so that a reload and a link come back to it: the operation as its last part. The title says
 * the run and the place.
 */
export function useAddress(
  { number, name = '' }: PartFile,
  selected: string | undefined,
  select: Workspace['select'],
): void {
  const place = placeAt(usePathname());
  const first = useRef(true);
  useEffect(() => {
    // What the address says when the run is opened; from then on the address follows.
    if (first.current) {
      first.current = false;
      const key = decodeURIComponent(window.location.hash.slice(1));
      if (key !== '') return select(key);
    }
    const { pathname, search, hash } = window.location;
    const next = selected === undefined ? '' : `#${encodeURIComponent(selected)}`;
    if (next !== hash) window.history.replaceState(null, '', `${pathname}${search}${next}`);
  }, [selected, select, place]);
  useEffect(() => {
    document.title = `${titleOf({ number, name }, place)} · Shingle`;
  }, [number, name, place]);
}
