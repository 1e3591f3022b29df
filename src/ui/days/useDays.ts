'use client';
import { begun } from '../device/begun';
import { proxy, wrap, type Remote } from 'comlink';
import { format } from 'date-fns';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { DaysAnswer, DaysAsked } from '@/core/schedule/answer';
import type { endangers } from '@/core/schedule/endangers';
import type { Help } from '@/core/schedule/helps';
import type { DaysFile } from '@/core/schedule/days';
import type { RunToMake } from '@/core/schedule/runToMake';
import type { Order } from '@/core/schedule/job';
import type { RushPlace } from '@/core/schedule/rush';
import type { DaysApi } from '@/workers/days.worker';
import { ask } from '../primitives/ask';

/** How often it is asked what has been planned in the meantime, ms. */
const AGAIN_MS = 1500;

export interface Machine {
  id: string;
  name: string;
}

/** What somebody tries before it is taken. */
export interface Proposed {
  words: string;
  order: Order;
  /** Where more is tried than an order. */
  days?: DaysFile;
  answer: DaysAnswer | undefined;
}

/**
 * Runs to be made on every lathe, followed until all are planned. Those that are only planned anew are placed by what they took before
 * until all of them are: each by itself would move the others.
 */
function useRuns(): { runs: readonly RunToMake[] | undefined; waiting: number } {
  const [runs, setRuns] = useState<readonly RunToMake[]>();
  const [waiting, setWaiting] = useState(0);
  useEffect(() => {
    let over = false;
    let complete = false;
    let timer: ReturnType<typeof setTimeout> | undefined;
    const look = async () => {
      const answer = await ask<{ runs: RunToMake[] }>('GET', '/api/schedule');
      if (over) return;
      if (answer.ok) {
        const all = answer.value.runs;
        const old = all.filter(({ lathes, isOld }) => lathes === undefined || isOld).length;
        setWaiting(old);
        if (!complete || old === 0) setRuns(all);
        complete = all.every(({ lathes }) => lathes !== undefined);
        if (old === 0) return;
      }
      timer = setTimeout(() => void look(), AGAIN_MS);
    };
    void look();
    return () => {
      over = true;
      clearTimeout(timer);
    };
  }, []);
  return { runs, waiting };
}

const asEntries = (order: Order): DaysFile['order'] => Object.entries(order).map(([lathe, runs]) => ({ lathe, runs }));

/** A worker of its own that places runs: begun when it is first asked, begun anew after it was ended. */
function useWorker() {
  const worker = useRef<{ ended: Worker; remote: Remote<DaysApi> } | undefined>(undefined);
  const remote = useCallback(() => {
    if (!worker.current) {
      const ended = begun(new Worker(new URL('../../workers/days.worker.ts', import.meta.url), { type: 'module' }));
      worker.current = { ended, remote: wrap<DaysApi>(ended) };
    }
    return worker.current.remote;
  }, []);
  const end = useCallback(() => {
    worker.current?.ended.terminate();
    worker.current = undefined;
  }, []);
  useEffect(() => end, [end]);
  return { remote, end };
}

/** The days as they are kept: every change is a revision, and the one before is brought back. */
function useKept(begun: { revision: number; days: DaysFile }, onKept: () => void) {
  const [{ days, revision }, setKept] = useState(begun);
  const [before, setBefore] = useState<readonly DaysFile[]>([]);
  const [wrong, setWrong] = useState<string>();
  const keep = useCallback(
    async (next: DaysFile, isUndo = false) => {
      const saved = await ask<{ revision: number }>('PUT', '/api/days', { base: revision, days: next });
      if (!saved.ok) return setWrong(saved.problems.map(({ path, message }) => `${path} ${message}`.trim()).join('; '));
      setWrong(undefined);
      setBefore((kept) => (isUndo ? kept.slice(0, -1) : [...kept, days]));
      setKept({ revision: saved.value.revision, days: next });
      onKept();
    },
    [days, revision, onKept],
  );
  const undo = before.length > 0 ? () => void keep(before.at(-1) as DaysFile, true) : undefined;
  return { days, keep, wrong, undo };
}

/** What the order that stands can be asked: nothing before there is one. */
function useQuestions(asked: DaysAsked | undefined, answer: DaysAnswer | undefined, remote: () => Remote<DaysApi>) {
  return {
    rush: useCallback(
      async (run: number): Promise<RushPlace[]> => (asked && answer ? remote().rush(asked, answer.order, run) : []),
      [asked, answer, remote],
    ),
    endangers: useCallback(
      async (run: number): Promise<ReturnType<typeof endangers> | undefined> =>
        asked && answer && remote().endangers(asked, answer.order, run),
      [asked, answer, remote],
    ),
    helps: useCallback(
      async (): Promise<Help[]> => (asked && answer ? remote().helps(asked, answer) : []),
      [asked, answer, remote],
    ),
  };
}

/** The days of the shop: what they hold, where each run is placed, and what changes them; every change is kept and taken back. */
export function useDays(begun: { revision: number; days: DaysFile }, machines: readonly Machine[]) {
  const [answered, setAnswered] = useState<{ to: DaysAsked; answer: DaysAnswer }>();
  const answer = answered?.answer;
  const [round, setRound] = useState<number>();
  const [proposed, setProposed] = useState<Proposed>();
  const leave = useCallback(() => setProposed(undefined), []);
  const { days, keep, wrong, undo } = useKept(begun, leave);
  const { runs, waiting } = useRuns();
  const [opened] = useState(() => new Date());
  const today = format(opened, 'yyyy-MM-dd');
  const now = opened.getHours() * 60 + opened.getMinutes();
  // Placed once all are planned: each by itself would be in another place a moment later.
  const planned = useMemo(() => (runs?.every(({ lathes }) => lathes) ? runs : undefined), [runs]);
  const asked = useMemo<DaysAsked | undefined>(
    () => planned && { runs: planned, days, machines: machines.map(({ id }) => id), today, now },
    [planned, days, machines, today, now],
  );
  const { remote, end } = useWorker();
  const questions = useQuestions(asked, answer, remote);
  useEffect(() => {
    let over = false;
    if (asked)
      void remote()
        .answer(
          asked,
          false,
          proxy(() => undefined),
        )
        .then((found) => over || setAnswered({ to: asked, answer: found }));
    return () => {
      over = true;
    };
  }, [asked, remote]);

  const tryOrder = useCallback(
    async (words: string, order: Order, other?: DaysFile) => {
      if (!asked) return;
      const answered = await remote().try({ ...asked, days: other ?? asked.days }, order);
      setProposed({ words, order, answer: answered, ...(other ? { days: other } : {}) });
    },
    [asked, remote],
  );
  return {
    days,
    runs,
    waiting,
    answer,
    /** The days that it is the answer to: which runs are in parts. */
    placedBy: answered?.to.days ?? days,
    /** What is shown is of what was asked before. */
    isPlacing: answered?.to !== asked,
    proposed,
    wrong,
    round,
    today,
    now,
    tryOrder,
    bestAnew: useCallback(async () => {
      if (!asked) return;
      setRound(0);
      const found = await remote().answer(asked, true, proxy(setRound));
      setRound(undefined);
      setProposed({ words: 'The best order anew', order: found.order, answer: found });
    }, [asked, remote]),
    /** Gives up what is being searched for. */
    cancel: useCallback(() => {
      end();
      setRound(undefined);
    }, [end]),
    ...questions,
    keep,
    take: useCallback(
      ({ order, days: other }: Pick<Proposed, 'order' | 'days'>) =>
        keep({ ...(other ?? days), order: asEntries(order) }),
      [days, keep],
    ),
    leave,
    undo,
  };
}
export type AtTheDays = ReturnType<typeof useDays>;
