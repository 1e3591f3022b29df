import { produce, type Draft } from 'immer';
import { temporal } from 'zundo';
import { createStore } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';
import type { RunFile } from '@/core/formats/runFile';

/** A run while it is edited. */
export interface RunState {
  file: RunFile;
  /** Revision the edit started from; 0 for a run never saved. */
  base: number;
  /** What is saved under that revision, as text, to know whether there is anything to save. */
  saved: string;
}

/** Typing in one field within this time is one step of undo. */
const ONE_STEP_MS = 900;

/**
 * The store of one run: the document, its undo, and its copy in this browser, so that nothing typed is lost to a
 * reload, a closed page or a server that is gone.
 */
export function createRunStore(id: string, file: RunFile, revision: number) {
  const store = createStore<RunState>()(
    temporal(
      persist((): RunState => ({ file, base: revision, saved: JSON.stringify(file) }), {
        name: `shingle-run-${id}`,
        version: 1,
        storage: createJSONStorage(() => localStorage),
        skipHydration: true,
      }),
      { partialize: ({ file: document }) => ({ file: document }), equality: (a, b) => a.file === b.file, limit: 300 },
    ),
  );
  let last: { field: string | undefined; at: number } = { field: undefined, at: 0 };

  return {
    store,
    /** Changes the document. Changes of one field in quick succession are one step of undo; without a field it is one by itself. */
    edit(field: string | undefined, recipe: (draft: Draft<RunFile>) => void): void {
      const now = performance.now();
      const history = store.temporal.getState();
      const goesOn = field !== undefined && field === last.field && now - last.at < ONE_STEP_MS;
      last = { field, at: now };
      if (goesOn) history.pause();
      store.setState((state) => ({ file: produce(state.file, recipe) }));
      if (goesOn) history.resume();
    },
    undo(): void {
      last = { field: undefined, at: 0 };
      store.temporal.getState().undo();
    },
    redo(): void {
      last = { field: undefined, at: 0 };
      store.temporal.getState().redo();
    },
    /** Takes up what this browser kept of an unsaved edit; says whether there is one. */
    async restore(): Promise<boolean> {
      await store.persist.rehydrate();
      store.temporal.getState().clear();
      const { file: kept, saved, base } = store.getState();
      if (JSON.stringify(kept) !== saved) return true;
      // Nothing unsaved: what the server gave is as new or newer.
      store.setState({ file, base: Math.max(revision, base), saved: JSON.stringify(file) });
      store.temporal.getState().clear();
      store.persist.clearStorage();
      return false;
    },
    /** The document is saved under a new revision. What was typed meanwhile stays unsaved. */
    markSaved(document: RunFile, newRevision: number): void {
      store.setState({ base: newRevision, saved: JSON.stringify(document) });
      if (store.getState().file === document) store.persist.clearStorage();
    },
    /** Goes on from another's revision: with the own document on top of it, or with theirs, the own one kept in undo. */
    goOnFrom(theirs: RunFile, newRevision: number, keep: 'mine' | 'theirs'): void {
      store.setState((state) => ({
        base: newRevision,
        saved: JSON.stringify(theirs),
        ...(keep === 'theirs' ? { file: theirs } : { file: state.file }),
      }));
    },
    forget(): void {
      store.persist.clearStorage();
    },
  };
}

export type RunStore = ReturnType<typeof createRunStore>;
