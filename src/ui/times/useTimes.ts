'use client';
import { begun } from '../device/begun';
import { proxy, wrap } from 'comlink';
import { useEffect, useMemo, useState } from 'react';
import type { RunFile } from '@/core/read/runFile';
import type { PriceBreak, RunningWay } from '@/core/ask/running';
import type { Swing } from '@/core/ask/sensitivity';
import type { BatchRange } from '@/core/ask/promise';
import type { BatchAccount, TimesApi } from '@/workers/times.worker';
import { useWorkspace } from '../run/WorkspaceContext';

/** What is known so far of the run as it stands; what is still worked out is open. */
export interface Known {
  account?: BatchAccount;
  range?: BatchRange;
  ways?: RunningWay[];
  breaks?: PriceBreak[];
  swings?: Swing[];
  /** What is worked out now, and how far it is; nothing when all of it is there. */
  doing?: { what: string; share: number } | undefined;
}

/** How long nothing is typed before the heavy part begins, ms. */
const QUIET = 350;

/** Times a batch is played for its promise. */
const RUNS = 10_000;

/** The run without what it is offered for, by others or to others: the same object until something changes that is planned. */
function usePlannedFile(file: RunFile): RunFile {
  const written = JSON.stringify({ ...file, offer: undefined, quote: undefined });
  return useMemo(() => JSON.parse(written) as RunFile, [written]);
}

const timesWorker = () =>
  begun(new Worker(new URL('../../workers/times.worker.ts', import.meta.url), { type: 'module' }));

/** A batch played for its promise, by itself: played again, nothing else is worked out anew. */
function useRange(account: BatchAccount | undefined, seed: number): BatchRange | undefined {
  const { shop } = useWorkspace();
  const [played, setPlayed] = useState<{ of: BatchAccount; seed: number; range: BatchRange }>();
  useEffect(() => {
    if (!account) return;
    const worker = timesWorker();
    void wrap<TimesApi>(worker)
      .range(account.elements, shop, RUNS, seed)
      .then((range) => {
        setPlayed({ of: account, seed, range });
        worker.terminate();
      });
    return () => worker.terminate();
  }, [account, shop, seed]);
  return played?.of === account && played?.seed === seed ? played.range : undefined;
}

/** Works out times and costs in a worker of its own; a change ends it, so that the last answer wins. */
export function useTimes(seed: number): Known {
  const { file: shown, shop } = useWorkspace();
  const file = usePlannedFile(shown);
  const [known, setKnown] = useState<{ of: typeof file; answer: Known }>();
  useEffect(() => {
    let worker: Worker | undefined;
    const told = (more: Known) =>
      setKnown((before) => ({ of: file, answer: { ...(before?.of === file ? before.answer : {}), ...more } }));
    const waiting = setTimeout(() => {
      worker = timesWorker();
      const times = wrap<TimesApi>(worker);
      const share = (what: string) => proxy((done: number) => told({ doing: { what, share: done } }));
      void (async () => {
        const account = await times.account(file, shop);
        if (!account) return;
        told({ account });
        told({ ways: await times.ways(file, shop) });
        told({ doing: { what: 'Pricing quantities', share: 0 } });
        told({ breaks: await times.breaks(file, shop) });
        told({ swings: await times.swings(file, shop, share('Trying each figure')), doing: undefined });
        worker?.terminate();
      })();
    }, QUIET);
    return () => {
      clearTimeout(waiting);
      worker?.terminate();
    };
  }, [file, shop]);
  const answer = known?.of === file ? known.answer : {};
  const range = useRange(answer.account, seed);
  return { ...answer, ...(range ? { range } : {}) };
}
