'use client';
import { useEffect, useState } from 'react';
import type { Compared } from '@/core/ask/sequences';
import { useWorkspace } from '../run/WorkspaceContext';

/** The sequences of the run as it stands, compared once nothing was changed for a while. @param after ms */
export function useSequences(after = 0): Compared | undefined {
  const { file, sequences } = useWorkspace();
  const [compared, setCompared] = useState<{ of: typeof file; answer: Compared | undefined }>();
  useEffect(() => {
    let over = false;
    const waiting = setTimeout(() => {
      void sequences(file).then((answer) => over || setCompared({ of: file, answer }));
    }, after);
    return () => {
      over = true;
      clearTimeout(waiting);
    };
  }, [file, sequences, after]);
  return compared?.of === file ? compared.answer : undefined;
}
