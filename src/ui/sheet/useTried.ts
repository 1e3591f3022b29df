'use client';
import { useEffect, useState } from 'react';
import type { Tile, Trial } from '@/core/ask/trial';
import type { CutState, Tried } from '@/core/ask/whatIf';
import { useWorkspace } from '../run/WorkspaceContext';

/** How an operation cuts as it is planned, and as it would by a trial. */
export function useTried(tile: Tile, trial: Trial) {
  const { file, tryCut } = useWorkspace();
  const [now, setNow] = useState<CutState>();
  const [tried, setTried] = useState<Tried>();
  useEffect(() => {
    let over = false;
    void tryCut(file, tile, { cut: {} }).then((answer) => over || (answer?.ok && setNow(answer.state)));
    return () => {
      over = true;
    };
  }, [file, tile, tryCut]);
  useEffect(() => {
    let over = false;
    void tryCut(file, tile, trial).then((answer) => over || setTried(answer));
    return () => {
      over = true;
    };
  }, [file, tile, trial, tryCut]);
  return { now, tried };
}
