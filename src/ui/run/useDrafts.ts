'use client';
import { useEffect, useState } from 'react';
import { draftKey, dropDraft, findDrafts, openTabs, tabName, type FoundDraft } from './drafts';
import type { RunStore } from './runStore';

/** What is in this browser of a run and was never saved: this tab's own is taken up, those of closed tabs are offered. */
export function useDrafts(id: string, run: RunStore) {
  const [restored, setRestored] = useState(false);
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
  return {
    /** Whether changes from before are here again, and nobody has said yet what of them. */
    restored,
    left,
    takeUp,
    letGo,
    keep: () => setRestored(false),
    backToSaved: () => {
      run.backToSaved();
      setRestored(false);
    },
  };
}
