'use client';
import { useEffect, useState } from 'react';
import type { RunFile } from '@/core/read/runFile';
import { routeOf, useWorkspace } from '../run/WorkspaceContext';

/** Until it is asked again what was broken off, ms. */
const AGAIN_MS = 400;

/**
 * What the planner answers about the run as it stands, once nothing was changed for a while: asked after the edit itself is
 * planned, which would break it off, and again when a better route was found.
 * @param ask keeps its identity
 * @param after ms
 */
export function useAsked<Answer>(ask: (file: RunFile) => Promise<Answer | undefined>, after = 0): Answer | undefined {
  const { file, planned } = useWorkspace();
  const route = routeOf(planned);
  const [asked, setAsked] = useState<{ of: RunFile; answer: Answer }>();
  useEffect(() => {
    let over = false;
    let waiting = setTimeout(again, after);
    function again() {
      void ask(file).then((answer) => {
        if (over) return;
        // Broken off by an edit that came in between, or by a planner that is not there yet.
        if (answer === undefined) waiting = setTimeout(again, AGAIN_MS);
        else setAsked({ of: file, answer });
      });
    }
    return () => {
      over = true;
      clearTimeout(waiting);
    };
  }, [file, ask, after, route]);
  return asked?.of === file ? asked.answer : undefined;
}
