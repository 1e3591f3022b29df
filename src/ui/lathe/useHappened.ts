'use client';
import { useCallback, useEffect, useMemo, useState, useSyncExternalStore } from 'react';
import { inOrder, type Happening } from '@/core/lathe/events';
import { progressOf } from '@/core/lathe/progress';
import { shapeOf } from '@/core/lathe/steps';
import type { Plan } from '@/core/plan/plan';
import { useWorkspace } from '../run/WorkspaceContext';
import { openEvents, type Happened, type Where } from './eventStore';

const NOTHING: Happened = { events: [], unsent: 0, net: undefined };

/** What happened in a run and how far it has come, followed as it goes on; and what writes down more. @param from the set-up from which on it is worked at here */
export function useHappened(plan: Plan, from = 1) {
  const { id, revision, shopRevision } = useWorkspace();
  const [store] = useState(() => openEvents(id));
  const happened = useSyncExternalStore(store.subscribe, store.now, () => NOTHING);
  useEffect(() => store.open(), [store]);
  const events = useMemo(() => inOrder(happened.events), [happened.events]);
  const progress = useMemo(() => progressOf(shapeOf(plan), events, from), [plan, events, from]);
  const append = useCallback(
    (happening: Happening, where: Where = {}) => store.append(happening, where, { revision, shop: shopRevision }),
    [store, revision, shopRevision],
  );
  return { ...happened, events, progress, append };
}
export type AtTheLathe = ReturnType<typeof useHappened>;
