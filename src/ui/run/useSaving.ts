'use client';
import { useRouter } from 'next/navigation';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { Problem } from '@/core/model/result';
import { newName } from '../primitives/newName';
import { saveRun, type ServedRun, type Unreachable } from './api';
import { addressOf, placeAt } from './places';
import type { RunStore } from './runStore';

export type SaveState =
  | { kind: 'idle' }
  | { kind: 'saving' }
  /** Asked five seconds ago, and no answer yet. */
  | { kind: 'late' }
  | { kind: 'saved'; at: string }
  | { kind: 'refused'; problems: Problem[] }
  | { kind: 'unreachable'; because: Unreachable }
  | { kind: 'conflict'; current: ServedRun };

/** After so long without an answer the page says so, ms. */
const LATE_MS = 5000;

/** Pauses before a save that could not be is tried again, ms: the first, and the longest. */
const FIRST_MS = 1500;
const LONGEST_MS = 15_000;

/**
 * Saving a run: what is going on with it, and how a conflict ends. What could not be saved for want of a server or a
 * database is saved as soon as that can be again.
 */
export function useSaving(id: string, run: RunStore) {
  const router = useRouter();
  const [state, setState] = useState<SaveState>({ kind: 'idle' });
  const again = useRef<{ timer?: ReturnType<typeof setTimeout>; pause: number; under: string }>({
    pause: FIRST_MS,
    under: '',
  });
  const latest = useRef<() => Promise<void>>(undefined);

  const save = useCallback(async () => {
    const waiting = again.current;
    clearTimeout(waiting.timer);
    const { file, base } = run.store.getState();
    // While it is tried again the page goes on saying that it is not saved.
    setState((before) => (before.kind === 'unreachable' ? before : { kind: 'saving' }));
    const late = setTimeout(
      () => setState((before) => (before.kind === 'saving' ? { kind: 'late' } : before)),
      LATE_MS,
    );
    // What is asked for again stays what it was called: a run that is new is made once, however often it is sent.
    waiting.under ||= newName();
    const outcome = await saveRun(id, base, file, waiting.under);
    clearTimeout(late);
    if (outcome.kind === 'unreachable') {
      setState(outcome);
      waiting.timer = setTimeout(() => void latest.current?.(), waiting.pause);
      waiting.pause = Math.min(2 * waiting.pause, LONGEST_MS);
      return;
    }
    waiting.pause = FIRST_MS;
    if (outcome.kind !== 'done') return setState(outcome);
    run.markSaved(file, outcome.run.revision);
    setState({ kind: 'saved', at: outcome.run.savedAt });
    if (id === 'new') {
      run.forget();
      router.replace(addressOf(String(outcome.run.id), placeAt(window.location.pathname)));
    }
  }, [id, run, router]);

  useEffect(() => {
    latest.current = save;
    const waiting = again.current;
    const online = () => void (waiting.timer !== undefined && latest.current?.());
    window.addEventListener('online', online);
    return () => {
      window.removeEventListener('online', online);
      clearTimeout(waiting.timer);
      delete waiting.timer;
    };
  }, [save]);

  const settle = useCallback(
    async (current: ServedRun, keep: 'mine' | 'theirs') => {
      run.goOnFrom(current.file, current.revision, keep);
      setState({ kind: 'idle' });
      if (keep === 'mine') await save();
    },
    [run, save],
  );

  return { state, save, settle, dismiss: () => setState({ kind: 'idle' }) };
}
