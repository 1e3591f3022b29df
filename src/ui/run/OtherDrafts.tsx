'use client';
import { format } from 'date-fns';
import { Button } from '../primitives/Button';
import { Notice } from '../primitives/Notice';
import type { FoundDraft } from './drafts';

const when = (at: number) => (at > 0 ? `, changed last on ${format(new Date(at), 'd MMM, HH:mm')}` : '');

/** Unsaved edits that tabs left which are closed now: each is offered, none is lost without a word. */
export function OtherDrafts({
  drafts,
  onTake,
  onDrop,
}: {
  drafts: readonly FoundDraft[];
  onTake: (draft: FoundDraft) => void;
  onDrop: (draft: FoundDraft) => void;
}) {
  return drafts.map((draft) => (
    <Notice
      key={draft.key}
      actions={
        <>
          <Button onPress={() => onTake(draft)}>Take them up</Button>
          <Button onPress={() => onDrop(draft)}>Let them go</Button>
        </>
      }
    >
      Another tab was closed with changes that were not saved
      {draft.run === 'new' && ` (${draft.file.part.number || draft.file.part.name || 'a run without a number'})`}
      {when(draft.at)}. They are kept in this browser; taken up, what is here now is one undo away.
    </Notice>
  ));
}
