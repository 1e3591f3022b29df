'use client';
import { useEffect, useSyncExternalStore } from 'react';

type Side = 'right' | 'left';
const KEY = 'shingle-hand';
const listeners = new Set<() => void>();
const current = (): Side => (localStorage.getItem(KEY) === 'left' ? 'left' : 'right');
const subscribe = (listener: () => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

/** The hand that presses, kept on this device: the largest button lies under it. */
export function useHand(): { side: Side; other: Side; change: () => void } {
  const side = useSyncExternalStore(subscribe, current, () => 'right' as const);
  const other = side === 'right' ? 'left' : 'right';
  return {
    side,
    other,
    change: () => {
      localStorage.setItem(KEY, other);
      listeners.forEach((listener) => listener());
    },
  };
}

/** Keeps the screen awake while the lathe is worked at, where the browser lets a page do that: on secure pages. */
export function useStaysAwake(): void {
  useEffect(() => {
    let held: WakeLockSentinel | undefined;
    let over = false;
    const hold = () => {
      if (document.visibilityState !== 'visible' || !('wakeLock' in navigator)) return;
      navigator.wakeLock.request('screen').then(
        (lock) => {
          if (over) void lock.release();
          else held = lock;
        },
        // Saving power, or not allowed: the screen goes dark as it always does.
        () => undefined,
      );
    };
    hold();
    document.addEventListener('visibilitychange', hold);
    return () => {
      over = true;
      document.removeEventListener('visibilitychange', hold);
      void held?.release();
    };
  }, []);
}
