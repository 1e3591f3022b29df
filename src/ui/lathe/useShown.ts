'use client';
import { useState } from 'react';
import type { LatheStep } from '@/core/lathe/steps';
import type { AtTheLathe } from './useHappened';

/** Which step is shown: the next one, or one that is looked back at. */
export function useShown(steps: readonly LatheStep[], { progress, append }: AtTheLathe) {
  const { at } = progress;
  const [back, setBack] = useState(0);
  const index = steps.findIndex(({ key }) => key === at?.operation);
  const shown = Math.max(0, index - back);
  const next = () => {
    if (back > 0) return setBack(back - 1);
    if (!at) return;
    void append({ kind: 'done' }, { piece: at.piece, operation: at.operation });
  };
  return {
    step: steps[shown],
    isBack: back > 0,
    isFirst: shown === 0,
    next,
    before: () => shown > 0 && setBack(back + 1),
  };
}

/** What is being done: made ready, worked, or stopped. */
export function stageOf(steps: readonly LatheStep[], { progress, events }: AtTheLathe): 'ready' | 'works' | 'stopped' {
  if (progress.paused) return 'stopped';
  const isHere = (operation: string | undefined) => steps.some(({ key }) => key === operation);
  return events.some(({ kind, operation }) => (kind === 'begun' || kind === 'done') && isHere(operation))
    ? 'works'
    : 'ready';
}
