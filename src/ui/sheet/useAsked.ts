'use client';
import { useEffect, useState } from 'react';
import type { RunFile } from '@/core/read/runFile';
import { useWorkspace } from '../run/WorkspaceContext';

/**
 * What the planner answers about the run as it stands, once nothing was changed for a while: asked after the edit itself is
 * planned, which would break it off.
 * @param ask keeps its identity
 * @param after ms
 */
export function useAsked<Answer>(ask: (file: RunFile) => Promise<Answer | undefined>, after = 0): Answer | undefined {
  const { file } = useWorkspace();
  const [asked, setAsked] = useState<{ of: RunFile; answer: Answer | undefined }>();
  useEffect(() => {
    let over = false;
    const waiting = setTimeout(() => {
      void ask(file).then((answer) => over || setAsked({ of: file, answer }));
    }, after);
    return () => {
      over = true;
      clearTimeout(waiting);
    };
  }, [file, ask, after]);
  return asked?.of === file ? asked.answer : undefined;
}
