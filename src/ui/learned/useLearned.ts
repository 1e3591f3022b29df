'use client';
import { useCallback, useEffect, useState } from 'react';
import type { LearnedRun, Taught } from '@/core/lathe/learnFrom';
import { ask } from '../primitives/ask';

type Answer = { learned: LearnedRun[] };

/** What runs taught, and what teaches more. Nothing while it is asked for. */
export function useLearned() {
  const [learned, setLearned] = useState<LearnedRun[]>();
  const [failed, setFailed] = useState(false);
  useEffect(() => {
    let over = false;
    void ask<Answer>('GET', '/api/learned').then(
      (answer) => !over && setLearned(answer.ok ? answer.value.learned : []),
    );
    return () => {
      over = true;
    };
  }, []);
  const learn = useCallback(async (run: string, taught: Taught) => {
    const answer = await ask<Answer>('POST', `/api/runs/${run}/learned`, taught);
    setFailed(!answer.ok);
    if (answer.ok) setLearned(answer.value.learned);
  }, []);
  return { learned, learn, failed };
}
