'use client';
import { Trouble } from '@/ui/primitives/Trouble';

/** What the server said of it, by its digest. */
const TROUBLES: Record<string, { title: string; words: string }> = {
  gone: {
    title: 'The database does not answer',
    words: 'It is begun again by itself where npm start still runs in its window.',
  },
  busy: { title: 'The database is busy', words: 'Too many are at work on it at this moment.' },
  full: { title: 'The disk of the database is full', words: 'Make room on it; then everything goes on.' },
};

/** When a page cannot be made: which trouble it is, and what would do. */
export default function PageError({ error, reset }: { error: Error & { digest?: string }; reset: () => void }) {
  const trouble = TROUBLES[error.digest ?? ''] ?? {
    title: 'This is a fault of the program',
    words: `The log has it under the number ${error.digest?.replace('bug ', '') ?? 'of this moment'}.`,
  };
  return (
    <Trouble title={trouble.title} again={reset}>
      {trouble.words} Nothing is lost: what was typed stays in this browser. Try again in a moment.
    </Trouble>
  );
}
