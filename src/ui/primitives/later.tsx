'use client';
import dynamic from 'next/dynamic';
import type { ComponentType } from 'react';

type Load = () => Promise<unknown>;
const wanted: Load[] = [];

/**
 * A component whose script comes when it is first shown, or in a quiet moment before: the first page stays small, and
 * what is opened later is there even when the server no longer answers.
 *
 * Not made on the server: a field that stands there before it listens would lose what is typed into it.
 */
export function later<Props>(load: () => Promise<ComponentType<Props>>, loading?: ComponentType): ComponentType<Props> {
  wanted.push(load);
  const Loading = loading ?? (() => null);
  return dynamic(load, { ssr: false, loading: () => <Loading /> });
}

/** Fetches every script put off so far, and what they in turn put off. True when all came. */
export async function fetchLater(): Promise<boolean> {
  while (wanted.length > 0) {
    const fetching = wanted.splice(0);
    const fetched = await Promise.allSettled(fetching.map((load) => load()));
    const failed = fetching.filter((_, index) => fetched[index]?.status === 'rejected');
    // What cannot be fetched now is fetched when it is wanted.
    if (failed.length > 0) return (wanted.push(...failed), false);
  }
  return true;
}
