'use client';
import { useRouter } from 'next/navigation';
import { useCallback, useState } from 'react';
import type { Problem } from '@/core/result';
import { saveRun, type ServedRun } from './api';
import { addressOf, placeAt } from './places';
import type { RunStore } from './runStore';

export type SaveState =
  | { kind: 'idle' }
  | { kind: 'saving' }
  | { kind: 'saved'; at: string }
  | { kind: 'refused'; problems: Problem[] }
  | { kind: 'unreachable' }
  | { kind: 'conflict'; current: ServedRun };

/** Saving a run: what is going on with it, and how a conflict ends. */
export function useSaving(id: string, run: RunStore) {
  const router = useRouter();
  const [state, setState] = useState<SaveState>({ kind: 'idle' });

  const save = useCallback(async () => {
    const { file, base } = run.store.getState();
    setState({ kind: 'saving' });
    const outcome = await saveRun(id, base, file);
    if (outcome.kind !== 'done') return setState(outcome);
    run.markSaved(file, outcome.run.revision);
    setState({ kind: 'saved', at: outcome.run.savedAt });
    if (id === 'new') {
      run.forget();
      router.replace(addressOf(String(outcome.run.id), placeAt(window.location.pathname)));
    }
  }, [id, run, router]);

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
