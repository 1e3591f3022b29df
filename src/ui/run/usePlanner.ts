'use client';
import { begun } from '../device/begun';
import { wrap, type Remote } from 'comlink';
import { useEffect, useMemo, useRef, useState } from 'react';
import { comparedSo, type Answer } from '@/core/formats/answer';
import type { RunFile } from '@/core/read/runFile';
import type { Comparison } from '@/core/ask/revisions/compareRuns';
import type { Choice } from '@/core/ask/choices';
import type { Question } from '@/core/ask/question';
import type { FamilyStops } from '@/core/ask/familyStops';
import type { OnMachines } from '@/core/ask/onEachMachine';
import type { Compared } from '@/core/ask/sequences';
import type { Refusal } from '@/core/ask/refusal';
import type { StopsAsked } from '@/core/ask/stopsAsked';
import type { Problem } from '@/core/model/result';
import type { Shop } from '@/core/model/shop/shop';
import type { Tile, Trial } from '@/core/ask/trial';
import type { Tried } from '@/core/ask/whatIf';
import type { PlannerApi } from '@/workers/planner.worker';

/** What is known of the run as it stands: its answer, and the last plan that was possible, to go on showing it. */
export interface Planned {
  answer: Answer | undefined;
  lastPlan: Answer['plan'];
  /** The search came to its end: nothing better comes by itself. */
  settled: boolean;
  /** Set when the planner itself failed, which is a bug and said so. */
  failed: boolean;
}

/** What else the planner is asked for, off the page's own thread. */
export interface PlannerTools {
  exportFile: (file: RunFile) => Promise<RunFile | undefined>;
  /** Plans the run with two revisions of its part. */
  compare: (before: RunFile, after: RunFile) => Promise<Comparison | undefined>;
  /** Plans runs that share the name of a family, and one set of stops for them. */
  family: (files: readonly RunFile[]) => Promise<FamilyStops | Problem | undefined>;
  /** Plans the run on every lathe of the shop. */
  machines: (file: RunFile) => Promise<OnMachines | undefined>;
  /** Plans the run both ways, each end first. */
  sequences: (file: RunFile) => Promise<Compared | undefined>;
  /** What was tried for a run that has no plan, and what would do. */
  refusal: (file: RunFile, problems: readonly Problem[]) => Promise<Refusal | undefined>;
  /** Plans what could be decided of a tool or a holding. */
  choices: (file: RunFile, question: Question) => Promise<Choice[] | undefined>;
  /** What else would stop each place, and what one more would save. */
  stops: (file: RunFile) => Promise<StopsAsked | undefined>;
  /** Plans the run with one operation cutting otherwise. */
  tryCut: (file: RunFile, tile: Tile, trial: Trial) => Promise<Tried | undefined>;
}

/** How long nothing is typed before a way is planned that is only compared, ms. */
const PAUSE = 150;

const pauseOfTyping = () => new Promise((resolve) => setTimeout(resolve, PAUSE));

/** Plans every change in a worker; only the newest answer counts. */
export function usePlanner(file: RunFile, shop: Shop): { planned: Planned; tools: PlannerTools } {
  const [planned, setPlanned] = useState<Planned>({
    answer: undefined,
    lastPlan: undefined,
    settled: false,
    failed: false,
  });
  const planner = useRef<Remote<PlannerApi> | undefined>(undefined);
  const newest = useRef(0);

  useEffect(() => {
    const worker = begun(new Worker(new URL('../../workers/planner.worker.ts', import.meta.url), { type: 'module' }));
    const remote = wrap<PlannerApi>(worker);
    planner.current = remote;
    void remote.useShop(shop);
    return () => {
      planner.current = undefined;
      worker.terminate();
    };
  }, [shop]);

  useEffect(() => {
    const turn = (newest.current += 1);
    const show = (settled: boolean, next: (now: Answer | undefined) => Answer | undefined) => {
      if (turn !== newest.current) return;
      setPlanned(({ answer: now, lastPlan }) => {
        const answer = next(now);
        return { answer, lastPlan: answer?.plan ?? lastPlan, settled, failed: false };
      });
    };
    const ask = async () => {
      const step = await planner.current?.answer(file);
      if (!step) return;
      show(step.last, () => step.answer);
      if (step.last) return;
      await pauseOfTyping();
      const rest = turn === newest.current ? await planner.current?.rest(step.edit, file) : undefined;
      if (rest) show(true, (now) => ('way' in rest ? now && comparedSo(now, rest) : rest));
    };
    ask().catch(() => setPlanned((before) => ({ ...before, failed: true })));
  }, [file, shop]);

  const tools = useMemo<PlannerTools>(
    () => ({
      exportFile: async (runFile) => planner.current?.export(runFile),
      compare: async (before, after) => planner.current?.compare(before, after),
      family: async (files) => planner.current?.family([...files]),
      machines: async (runFile) => planner.current?.machines(runFile),
      sequences: async (runFile) => planner.current?.sequences(runFile),
      refusal: async (runFile, problems) => planner.current?.refusal(runFile, problems),
      choices: async (runFile, question) => planner.current?.choices(runFile, question),
      stops: async (runFile) => planner.current?.stops(runFile),
      tryCut: async (runFile, tile, trial) => planner.current?.tryCut(runFile, tile, trial),
    }),
    [],
  );
  return { planned, tools };
}
