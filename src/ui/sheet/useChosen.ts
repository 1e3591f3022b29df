'use client';
import { useCallback, useMemo, useState } from 'react';
import type { Plan } from '@/core/plan/plan';
import { useWorkspace } from '../run/WorkspaceContext';

/** An operation, and a pass of it, chosen by hand. */
interface Chosen {
  key?: string | undefined;
  pass?: number | undefined;
}

/** Which operation of a plan is looked at, which pass of it, and which set-up where there is none. */
export function useChosen(plan: Plan) {
  const { selected, pass, select: show } = useWorkspace();
  const [opened, setOpened] = useState(0);
  // What was chosen by hand: the film goes there, while what the film comes to is only shown.
  const [chosen, setChosen] = useState<Chosen>({});
  const select = useCallback(
    (key: string | undefined, at?: number) => {
      show(key, at);
      setChosen({ key, pass: at });
    },
    [show],
  );
  const open = useCallback(
    (index: number) => {
      setOpened(index);
      select(undefined);
    },
    [select],
  );
  const all = useMemo(
    () => plan.setups.flatMap(({ operations }, index) => operations.map((operation) => ({ operation, index }))),
    [plan],
  );
  const at = all.findIndex(({ operation }) => operation.key === selected);
  const operation = all[at]?.operation;
  return {
    all,
    at,
    selected,
    operation,
    shownPass: pass === undefined || !operation ? undefined : Math.min(pass, operation.passes.length - 1),
    setupIndex: Math.min(all[at]?.index ?? opened, plan.setups.length - 1),
    chosen,
    select,
    open,
  };
}
