import { produce, type Draft } from 'immer';
import { temporal } from 'zundo';
import { createStore } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';
import type { RunFile } from '@/core/read/runFile';

/** A run while it is edited. */
export interface RunState {
  file: RunFile;
  /** Revision the edit started from; 0 for a run never saved. */
  base: number;
  /** What is saved under that revision, as text, to know whether there is anything to save. */
  saved: string;
  /** When it was changed last, ms. */
  at: number;
}

/** Typing in one field within this time is one step of undo. */
const ONE_STEP_MS = 900;

/** Where a tab keeps its copy of a run: nowhere, until it knows what it is called. */
function copyOfTab() {
  let key: string | undefined;
  return {
    storage: createJSONStorage(() => ({
      getItem: () => (key === undefined ? null : localStorage.getItem(key)),
      setItem: (_, text) => void (key !== undefined && localStorage.setItem(key, text)),
      removeItem: () => void (key !== undefined && localStorage.removeItem(key)),
    })),
    keepAt: (name: string) => {
      key = name;
    },
  };
}

/** The document with its undo, kept in the storage from when that is told to. */
const openStore = (file: RunFile, revision: number, storage: ReturnType<typeof copyOfTab>['storage']) =>
  createStore<RunState>()(
    temporal(
      persist((): RunState => ({ file, base: revision, saved: JSON.stringify(file), at: 0 }), {
        name: 'draft',
        version: 1,
        storage,
        skipHydration: true,
      }),
      { partialize: ({ file: document }) => ({ file: document }), equality: (a, b) => a.file === b.file, limit: 300 },
    ),
  );

/**
 * The store of one run: the document, its undo, and its copy in this browser, so that nothing typed is lost to a
 * reload, a closed page or a server that is gone.
 */
export function createRunStore(file: RunFile, revision: number) {
  const copy = copyOfTab();
  const store = openStore(file, revision, copy.storage);
  let last: { field: string | undefined; at: number } = { field: undefined, at: 0 };

  /** Takes an unsaved edit on top of what it started from: undo goes back to that in one step. */
  const takeUp = (document: RunFile, base: number, saved: string) => {
    store.setState({ file: JSON.parse(saved) as RunFile, base, saved });
    store.temporal.getState().clear();
    store.setState({ file: document, at: Date.now() });
  };

  return {
    store,
    /** Changes the document. Changes of one field in quick succession are one step of undo; without a field it is one by itself. */
    edit(field: string | undefined, recipe: (draft: Draft<RunFile>) => void): void {
      const now = performance.now();
      const history = store.temporal.getState();
      const goesOn = field !== undefined && field === last.field && now - last.at < ONE_STEP_MS;
      last = { field, at: now };
      if (goesOn) history.pause();
      store.setState((state) => ({ file: produce(state.file, recipe), at: Date.now() }));
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
    /** Takes up what this tab kept of an unsaved edit, and keeps its copy there from now on; says whether there is one. */
    async restore(at: string): Promise<boolean> {
      copy.keepAt(at);
      await store.persist.rehydrate();
      const { file: kept, saved, base } = store.getState();
      if (JSON.stringify(kept) !== saved) {
        takeUp(kept, base, saved);
        return true;
      }
      // Nothing unsaved: what the server gave is as new or newer.
      store.setState({ file, base: Math.max(revision, base), saved: JSON.stringify(file) });
      store.temporal.getState().clear();
      store.persist.clearStorage();
      return false;
    },
    /** Takes up an unsaved edit that another tab left; what is here now is one step of undo away. */
    adopt(document: RunFile, base: number): void {
      store.setState((state) => ({ file: document, at: Date.now(), base: state.base === 0 ? state.base : base }));
    },
    /** Back to what is saved, in one step that can be undone. */
    backToSaved(): void {
      last = { field: undefined, at: 0 };
      store.setState((state) => ({ file: JSON.parse(state.saved) as RunFile }));
      store.persist.clearStorage();
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
