'use client';
import { useEffect, useSyncExternalStore } from 'react';
import { useAddressWord } from '../primitives/useWindow';

const listeners = new Set<() => void>();
const subscribe = (listener: () => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

/**
 * From which set-up on a run is worked at at this lathe, while another makes those before it: kept on this device, and said anew by an
 * address that has it.
 */
export function useFromSetup(run: string, setups: number): { from: number; change: (from: number) => void } {
  const key = `shingle-from-setup-${run}`;
  const kept = useSyncExternalStore(
    subscribe,
    () => Number(localStorage.getItem(key) ?? 1),
    () => 1,
  );
  const [asked, ask] = useAddressWord('from');
  const change = (from: number) => {
    localStorage.setItem(key, String(from));
    ask(undefined);
    listeners.forEach((listener) => listener());
  };
  useEffect(() => {
    if (asked !== undefined) localStorage.setItem(key, asked);
  }, [key, asked]);
  const from = Number(asked ?? kept);
  return { from: Number.isInteger(from) && from >= 1 && from <= setups ? from : 1, change };
}
