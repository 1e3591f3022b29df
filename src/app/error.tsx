'use client';
import { Trouble } from '@/ui/primitives/Trouble';

/** When a page cannot be made, nearly always because the database does not answer. */
export default function PageError({ reset }: { reset: () => void }) {
  return (
    <Trouble title="The database does not answer" again={reset}>
      Nothing is lost: what was typed stays in this browser. See that the command npm start is still running in its
      window, then try again.
    </Trouble>
  );
}
