'use client';
import { useCallback, useEffect, useState } from 'react';
import type { LearnedRun } from '@/core/lathe/learnFrom';

async function asked(path: string, body?: unknown): Promise<LearnedRun[] | undefined> {
  try {
    const response = await fetch(path, {
      ...(body === undefined
        ? {}
        : { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) }),
    });
    return response.ok ? ((await response.json()) as { learned: LearnedRun[] }).learned : undefined;
  } catch {
    return undefined;
  }
}

/** What runs taught of their minutes, and what teaches more. Nothing while it is asked for. */
export function useLearned() {
  const [learned, setLearned] = useState<LearnedRun[]>();
  const [failed, setFailed] = useState(false);
  useEffect(() => {
    let over = false;
    void asked('/api/learned').then((answer) => !over && setLearned(answer ?? []));
    return () => {
      over = true;
    };
  }, []);
  const learn = useCallback(async (run: string, taught: Pick<LearnedRun, 'machine' | 'says'>) => {
    const answer = await asked(`/api/runs/${run}/learned`, taught);
    setFailed(answer === undefined);
    if (answer) setLearned(answer);
  }, []);
  return { learned, learn, failed };
}
