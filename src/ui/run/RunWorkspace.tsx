'use client';
import { useCallback, useEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import { useStore } from 'zustand';
import { endKept } from '@/core/ask/keepEnd';
import { differences } from '@/core/formats/differences';
import type { Skeleton } from '@/core/plan/skeleton';
import type { RunFile } from '@/core/read/runFile';
import type { Shop } from '@/core/model/shop/shop';
import { Button } from '../primitives/Button';
import { download } from '../primitives/download';
import { Notice } from '../primitives/Notice';
import { later } from '../primitives/later';
import { useWindow } from '../primitives/useWindow';
import { BegunWith, type Begun } from './BegunWith';
import { NewerPart } from './NewerPart';
import { RunHeader } from './RunHeader';
import { createRunStore } from './runStore';
import { SavingNotices } from './SavingNotices';
import { goTo, PLACES } from './places';
import { useAddress } from './useAddress';
import { useDrafts } from './useDrafts';
import { usePlanner } from './usePlanner';
import { useSaving } from './useSaving';
import { useShortcuts } from './useShortcuts';
import { WorkspaceContext, type Workspace } from './WorkspaceContext';

// Windows are fetched when they are opened.
const ConflictWindow = later(() => import('./ConflictWindow').then((loaded) => loaded.ConflictWindow));
// What is hardly ever there is fetched when it is.
const OtherDrafts = later(() => import('./OtherDrafts').then((loaded) => loaded.OtherDrafts));
const HelpWindow = later(() => import('./HelpWindow').then((loaded) => loaded.HelpWindow));

/** Edits the run; decisions about a set-up by its number keep to the side that is shown. */
function useEdit(run: ReturnType<typeof createRunStore>, shown: Skeleton | undefined): Workspace['edit'] {
  return useCallback(
    (field, recipe) =>
      run.edit(field, (draft) => {
        recipe(draft);
        const firstEnd = endKept(draft as RunFile, shown);
        if (firstEnd !== undefined) draft.firstEnd = firstEnd;
      }),
    [run, shown],
  );
}

/** Where a run is another by now than what it was begun with. */
const useDiffers = (file: RunFile, copiedFrom: Workspace['copiedFrom']): Workspace['differs'] =>
  useMemo(
    () => new Map(copiedFrom ? differences(file, copiedFrom.file).map((place) => [place.path, place]) : []),
    [copiedFrom, file],
  );

/** The keys of an open run: saving, undo, its places, help. */
function useRunKeys(
  id: string,
  run: ReturnType<typeof createRunStore>,
  save: () => Promise<void>,
  onHelp: () => void,
): void {
  const help = useRef(onHelp);
  useEffect(() => {
    help.current = onHelp;
  }, [onHelp]);
  const keys = useMemo(
    () => ({
      'Ctrl+s': () => void save(),
      'Ctrl+z': run.undo,
      'Ctrl+y': run.redo,
      'Ctrl+Shift+z': run.redo,
      '?': () => help.current(),
      ...Object.fromEntries(PLACES.map((place, index) => [String(index + 1), () => goTo(id, place)])),
    }),
    [save, run, id],
  );
  useShortcuts(keys);
}

interface OpenRun {
  id: string;
  served: RunFile;
  revision: number;
  /** The newest revision of the part, when the run was saved with an earlier one. */
  newerPart: { revision: string; savedAt: string } | undefined;
  /** What the run was begun with. */
  copiedFrom: Workspace['copiedFrom'];
  shop: Shop;
  shopRevision: number;
  /** Where it is begun, and the shop has gone on since. */
  begun: Begun | undefined;
  children: ReactNode;
}

/** One open run: its document with undo and its copy in this browser, its plan, its saving; the places are its children. */
export function RunWorkspace(props: OpenRun) {
  const { id, served, revision, newerPart, copiedFrom, shop, shopRevision, begun, children } = props;
  const [run] = useState(() => createRunStore(served, revision));
  const file = useStore(run.store, (state) => state.file);
  const base = useStore(run.store, (state) => state.base);
  const dirty = useStore(run.store, (state) => state.saved !== JSON.stringify(state.file));
  const can = {
    undo: useStore(run.store.temporal, ({ pastStates }) => pastStates.length > 0),
    redo: useStore(run.store.temporal, ({ futureStates }) => futureStates.length > 0),
  };
  const [help, showHelp] = useWindow('keys');
  const [{ selected, pass }, setSelection] = useState<{ selected?: string | undefined; pass?: number | undefined }>({});
  const select = useCallback<Workspace['select']>((key, at) => setSelection({ selected: key, pass: at }), []);
  const { planned, tools } = usePlanner(file, shop);
  const { state: saving, save, settle, dismiss } = useSaving(id, run);
  const { restored, left, keep, backToSaved, takeUp, letGo } = useDrafts(id, run);
  const exported = async () => {
    const document = await tools.exportFile(file);
    if (document)
      download(`${file.part.number || 'run'}.json`, `${JSON.stringify(document, null, 2)}\n`, 'application/json');
  };
  useRunKeys(id, run, save, () => showHelp('keys'));
  useAddress(file.part, selected, select);

  const problems = useMemo(
    () => [...(saving.kind === 'refused' ? saving.problems : []), ...(planned.answer?.problems ?? [])],
    [planned, saving],
  );
  const edit = useEdit(run, planned.lastPlan?.skeleton);
  const differs = useDiffers(file, copiedFrom);
  const document = useMemo(
    () => ({ id, revision: base, file, edit, save, shop, shopRevision, copiedFrom, differs }),
    [id, base, file, edit, save, shop, shopRevision, copiedFrom, differs],
  );
  const workspace = useMemo<Workspace>(
    () => ({ ...document, planned, problems, selected, pass, select, ...tools }),
    [document, planned, problems, selected, pass, select, tools],
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
          help: () => showHelp('keys'),
          export: () => void exported(),
        }}
      />
      {restored && dirty && <RestoredNotice isNew={id === 'new'} onKeep={keep} onBack={backToSaved} />}
      {left.length > 0 && <OtherDrafts drafts={left} onTake={takeUp} onDrop={letGo} />}
      <NewerPart id={id} file={file} newer={newerPart} />
      {begun && <BegunWith id={id} begun={begun} />}
      <SavingNotices saving={saving} onTry={() => void save()} onDismiss={dismiss} />
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
      {help && <HelpWindow onClose={() => showHelp(undefined)} />}
    </WorkspaceContext.Provider>
  );
}

const RestoredNotice = ({ isNew, onKeep, onBack }: { isNew: boolean; onKeep: () => void; onBack: () => void }) => (
  <Notice
    actions={
      <>
        <Button onPress={onKeep}>Keep them</Button>
        <Button onPress={onBack}>{isNew ? 'Start empty' : 'Back to what is saved'}</Button>
      </>
    }
  >
    Changes that were not saved last time are here again, from this browser. Save keeps them.
  </Notice>
);
