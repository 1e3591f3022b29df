'use client';
import { useMemo } from 'react';
import { isOutside } from '@/core/model/overrule';
import { moveOperation } from '@/core/plan/order/moveOperation';
import type { PlannedSetup } from '@/core/plan/times/planTimes';
import { useWorkspace } from '../run/WorkspaceContext';

/** What can be decided of the operations of a set-up: each an edit of the run, which undo takes back. */
export interface OrderEdits {
  /** Moves an operation to a place among those of its set-up. */
  move: (key: string, to: number) => void;
  /** Moves it one place; negative is earlier. */
  shift: (key: string, by: number) => void;
  /** Signs for an overrule, so that it may break a hard rule. */
  sign: (index: number, because: string, signed: string) => void;
  /** Leaves an operation out. */
  skip: (key: string) => void;
  /** Work on another machine, by the path of what asks for it, after a set-up. */
  outside: (path: string, after: number) => void;
  /** Takes back some overrules: the planner decides again. */
  release: (indices: readonly number[]) => void;
}

/** The edits of a set-up's order. */
export function useOrder({ operations }: PlannedSetup): OrderEdits {
  const { edit } = useWorkspace();
  return useMemo(() => {
    const keys = operations.map(({ key }) => key);
    const move = (key: string, to: number) =>
      edit(undefined, (run) => {
        run.overrules = moveOperation(run.overrules ?? [], keys, key, to);
      });
    return {
      move,
      shift: (key, by) => {
        const to = keys.indexOf(key) + by;
        if (to >= 0 && to < keys.length) move(key, to);
      },
      sign: (index, because, signed) =>
        edit(undefined, (run) => {
          const decided = run.overrules?.[index];
          if (decided) Object.assign(decided, { because, signed });
        }),
      skip: (key) =>
        edit(undefined, (run) => {
          run.overrules = [...(run.overrules ?? []), { skip: key }];
        }),
      outside: (path, after) =>
        edit(undefined, (run) => {
          const others = (run.overrules ?? []).filter(
            (overrule) => !(isOutside(overrule) && overrule.outside === path),
          );
          run.overrules = [...others, { outside: path, after }];
        }),
      release: (indices) =>
        edit(undefined, (run) => {
          run.overrules = (run.overrules ?? []).filter((_, index) => !indices.includes(index));
        }),
    };
  }, [operations, edit]);
}
