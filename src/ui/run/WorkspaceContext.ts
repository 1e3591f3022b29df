'use client';
import { createContext, useContext } from 'react';
import type { Draft } from 'immer';
import type { Difference } from '@/core/formats/differences';
import type { RunFile } from '@/core/read/runFile';
import type { Problem } from '@/core/model/result';
import { keyOf } from '@/core/plan/skeleton';
import type { Shop } from '@/core/model/shop/shop';
import type { Planned, PlannerTools } from './usePlanner';

/** What the places of one run share: the document, its plan, what is selected, and what the planner can be asked. */
export interface Workspace extends PlannerTools {
  id: string;
  /** The revision that is open; 0 before it is saved. */
  revision: number;
  file: RunFile;
  edit: (field: string | undefined, recipe: (draft: Draft<RunFile>) => void) => void;
  save: () => Promise<void>;
  shop: Shop;
  /** Revision of the shop that it is planned with. */
  shopRevision: number;
  planned: Planned;
  problems: Problem[];
  /** The run that this one was begun with, as that was then, and where this one is another by now: mine here, theirs there. */
  copiedFrom: { id: number; file: RunFile } | undefined;
  differs: ReadonlyMap<string, Difference>;
  /** Key of the selected operation, and the pass of it that is shown. */
  selected: string | undefined;
  pass: number | undefined;
  select: (key: string | undefined, pass?: number) => void;
}

export const WorkspaceContext = createContext<Workspace | undefined>(undefined);

/** The run that is open here. */
export function useWorkspace(): Workspace {
  const workspace = useContext(WorkspaceContext);
  if (!workspace) throw new Error('there is no run open here');
  return workspace;
}

/** Whether a problem is only that nothing was entered yet: said in the list of what is missing, not in red at the field. */
export const isMissing = ({ missing }: Problem): boolean => missing === true;

/** What stood at a path in the run that this one was begun with, where that is another; empty where nothing did. */
export const wasAt = (differs: Workspace['differs'], path: string): string | undefined => {
  const difference = differs.get(path);
  return difference && (difference.theirs ?? '');
};

/** What is wrong at a path, if anything. */
export const problemAt = (problems: Problem[], path: string): string | undefined =>
  problems.find((problem) => problem.path === path && !isMissing(problem))?.message;

/** The route that is shown, as a word. */
export const routeOf = ({ lastPlan }: Planned): string | undefined => lastPlan && keyOf(lastPlan.skeleton);
