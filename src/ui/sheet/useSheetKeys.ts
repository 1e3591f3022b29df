'use client';
import { useMemo } from 'react';
import type { TimedOperation } from '@/core/plan/times/planTimes';
import { useShortcuts } from '../run/useShortcuts';
import type { OrderEdits } from './useOrder';

/** Where on the sheet one is. */
interface Standing {
  /** Every operation with the place of its set-up. */
  all: { operation: TimedOperation; index: number }[];
  /** The one that is chosen; −1 where none is. */
  at: number;
  setupIndex: number;
  shownPass: number | undefined;
  playing: boolean;
}

/** What the keys do. */
interface Doing {
  select: (key: string | undefined, pass?: number) => void;
  edits: OrderEdits;
  /** Ends the film. */
  stop: () => void;
  /** Lets go of the operation; its set-up stays open. */
  letGo: () => void;
}

/** The keys of the sheet: on and back through operations and passes, an operation moved, let go. */
export function useSheetKeys(
  { all, at, setupIndex, shownPass, playing }: Standing,
  { select, edits, stop, letGo }: Doing,
): void {
  const operation = all[at]?.operation;
  const keys = useMemo(() => {
    const go = (by: number) => {
      // With none chosen, on from where the set-up begins that is looked at.
      const start = all.findIndex(({ index }) => index === setupIndex);
      const to = at < 0 ? (by > 0 ? start : start - 1) : Math.max(0, Math.min(all.length - 1, at + by));
      const next = all.at(to);
      if (next) select(next.operation.key);
    };
    const goPass = (by: number) => {
      if (!operation) return go(1);
      const last = operation.passes.length - 1;
      select(operation.key, Math.max(0, Math.min(last, (shownPass ?? last) + by)));
    };
    return {
      ArrowDown: () => go(1),
      ArrowUp: () => go(-1),
      ArrowRight: () => goPass(1),
      ArrowLeft: () => goPass(-1),
      'Alt+ArrowUp': () => operation && edits.shift(operation.key, -1),
      'Alt+ArrowDown': () => operation && edits.shift(operation.key, 1),
      Escape: () => {
        if (playing) return stop();
        letGo();
      },
    };
  }, [all, at, setupIndex, operation, shownPass, playing, select, edits, stop, letGo]);
  useShortcuts(keys);
}
