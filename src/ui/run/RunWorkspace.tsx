'use client';
import { useCallback, useEffect, useMemo, useState, type ReactNode } from 'react';
import { useStore } from 'zustand';
import type { RunFile } from '@/core/read/runFile';
import type { Shop } from '@/core/model/shop/shop';
import { Button } from '../primitives/Button';
import { download } from '../primitives/download';
import { Notice } from '../primitives/Notice';
import { later } from '../primitives/later';
import type { Unreachable } from './api';
import { draftKey, dropDraft, findDrafts, openTabs, tabName, type FoundDraft } from './drafts';
import { entryName } from './entryName';
import { NewerPart } from './NewerPart';
import { RunHeader } from './RunHeader';
import { createRunStore } from './runStore';
import { usePlanner } from './usePlanner';
import { useSaving } from './useSaving';
import { useShortcuts } from './useShortcuts';
import { WorkspaceContext, type Workspace } from './WorkspaceContext';

// Windows are fetched when they are opened.
const ConflictWindow = later(() => import('./ConflictWindow').then((loaded) => loaded.ConflictWindow));
// What is hardly ever there is fetched when it is.
const OtherDrafts = later(() => import('./OtherDrafts').then((loaded) => loaded.OtherDrafts));
const HelpWindow = later(() => import('./HelpWindow').then((loaded) => loaded.HelpWindow));

/** What stands in the way of a save, in words. */
const UNREACHABLE: Record<Unreachable, string> = {
  server: 'the server does not answer',
  gone: 'the database does not answer',
  busy: 'too many are at work on the database at this moment',
  full: 'the disk of the database is full',
};

/** One open run: its document with undo and its copy in this browser, its plan, its saving; the places are its children. */
export function RunWorkspace({
  id,
  served,
  revision,
  newerPart,
  shop,
  children,
}: {
  id: string;
  served: RunFile;
  revision: number;
  /** The newest revision of the part, when the run was saved with an earlier one. */
  newerPart: { revision: string; savedAt: string } | undefined;
  shop: Shop;
  children: ReactNode;
}) {
  const [run] = useState(() => createRunStore(served, revision));
  const file = useStore(run.store, (state) => state.file);
  const dirty = useStore(run.store, (state) => state.saved !== JSON.stringify(state.file));
  const can = {
    undo: useStore(run.store.temporal, ({ pastStates }) => pastStates.length > 0),
    redo: useStore(run.store.temporal, ({ futureStates }) => futureStates.length > 0),
  };
  const [restored, setRestored] = useState(false);
  const [help, setHelp] = useState(false);
  const [{ selected, pass }, setSelection] = useState<{ selected?: string | undefined; pass?: number | undefined }>({});
  const select = useCallback<Workspace['select']>((key, at) => setSelection({ selected: key, pass: at }), []);
  const { planned, exportFile, compare, sequences, refusal, choices, tryCut } = usePlanner(file, shop);
  const { state: saving, save, settle, dismiss } = useSaving(id, run);

  const [left, setLeft] = useState<FoundDraft[]>([]);
  useEffect(() => {
    const restore = async () => {
      const tab = await tabName();
      setRestored(await run.restore(draftKey(id, tab)));
      const open = await openTabs();
      setLeft(findDrafts().filter((draft) => draft.run === id && !open.has(draft.tab) && draft.tab !== tab));
    };
    void restore();
  }, [run, id]);
  const takeUp = (draft: FoundDraft) => {
    run.adopt(draft.file, draft.base);
    letGo(draft);
  };
  const letGo = (draft: FoundDraft) => {
    dropDraft(draft.key);
    setLeft((before) => before.filter(({ key }) => key !== draft.key));
  };
  const backToSaved = () => {
    run.backToSaved();
    setRestored(false);
  };

  const exported = async () => {
    const document = await exportFile(file);
    if (document)
      download(`${file.part.number || 'run'}.json`, `${JSON.stringify(document, null, 2)}\n`, 'application/json');
  };
  const keys = useMemo(
    () => ({
      'Ctrl+s': () => void save(),
      'Ctrl+z': run.undo,
      'Ctrl+y': run.redo,
      'Ctrl+Shift+z': run.redo,
      '?': () => setHelp(true),
    }),
    [save, run],
  );
  useShortcuts(keys);

  const problems = useMemo(
    () => [...(saving.kind === 'refused' ? saving.problems : []), ...(planned.answer?.problems ?? [])],
    [planned, saving],
  );
  const workspace = useMemo<Workspace>(
    () => ({
      id,
      file,
      edit: run.edit,
      shop,
      planned,
      problems,
      selected,
      pass,
      select,
      compare,
      sequences,
      refusal,
      choices,
      tryCut,
    }),
    [id, file, run, shop, planned, problems, selected, pass, select, compare, sequences, refusal, choices, tryCut],
  );

  return (
    <WorkspaceContext.Provider value={workspace}>
      <RunHeader
        id={id}
        file={file}
        dirty={dirty}
        saving={saving}
        can={can}
        on={{
          undo: run.undo,
          redo: run.redo,
          save: () => void save(),
          help: () => setHelp(true),
          export: () => void exported(),
        }}
      />
      {restored && dirty && (
        <Notice
          actions={
            <>
              <Button onPress={() => setRestored(false)}>Good</Button>
              <Button onPress={backToSaved}>{id === 'new' ? 'Start empty' : 'Back to what is saved'}</Button>
            </>
          }
        >
          Changes that were not saved last time are here again, from this browser. Save keeps them.
        </Notice>
      )}
      {left.length > 0 && <OtherDrafts drafts={left} onTake={takeUp} onDrop={letGo} />}
      <NewerPart id={id} file={file} newer={newerPart} />
      {saving.kind === 'late' && (
        <Notice>
          The server has not answered for five seconds. Everything typed is kept in this browser meanwhile.
        </Notice>
      )}
      {saving.kind === 'unreachable' && (
        <Notice danger actions={<Button onPress={() => void save()}>Try again now</Button>}>
          Not saved: {UNREACHABLE[saving.because]}. Everything typed is kept in this browser, also when the page is
          closed; it is saved by itself as soon as that can be.
        </Notice>
      )}
      {saving.kind === 'refused' && (
        <Notice danger actions={<Button onPress={dismiss}>Good</Button>}>
          Not saved: {saving.problems.map(({ path, message }) => `${entryName(path)} ${message}`).join('; ')}
        </Notice>
      )}
      {planned.failed && (
        <Notice danger>
          The planner stopped on this run, which is a fault of the program. Nothing typed is lost; save the run file
          with the arrow above and send it in.
        </Notice>
      )}
      {children}
      {saving.kind === 'conflict' && (
        <ConflictWindow
          mine={file}
          current={saving.current}
          onSettle={(keep) => void settle(saving.current, keep)}
          onClose={dismiss}
        />
      )}
      {help && <HelpWindow onClose={() => setHelp(false)} />}
    </WorkspaceContext.Provider>
  );
}
