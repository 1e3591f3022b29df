'use client';
import { Button } from '../primitives/Button';
import { Notice } from '../primitives/Notice';
import type { Unreachable } from './api';
import { entryName } from './entryName';
import type { SaveState } from './useSaving';

/** What stands in the way of a save, in words. */
const UNREACHABLE: Record<Unreachable, string> = {
  server: 'the server does not answer',
  gone: 'the database does not answer',
  busy: 'too many are at work on the database at this moment',
  full: 'the disk of the database is full',
};

/** What a save came to, where it did not simply go through. */
export function SavingNotices({
  saving,
  onTry,
  onDismiss,
}: {
  saving: SaveState;
  onTry: () => void;
  onDismiss: () => void;
}) {
  return (
    <>
      {saving.kind === 'late' && (
        <Notice>
          The server has not answered for five seconds. Everything typed is kept in this browser meanwhile.
        </Notice>
      )}
      {saving.kind === 'unreachable' && (
        <Notice danger actions={<Button onPress={onTry}>Try again now</Button>}>
          Not saved: {UNREACHABLE[saving.because]}. Everything typed is kept in this browser, also when the page is
          closed; it is saved by itself as soon as that can be.
        </Notice>
      )}
      {saving.kind === 'refused' && (
        <Notice danger actions={<Button onPress={onDismiss}>Close</Button>}>
          Not saved: {saving.problems.map(({ path, message }) => `${entryName(path)} ${message}`).join('; ')}
        </Notice>
      )}
    </>
  );
}
