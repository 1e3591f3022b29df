'use client';
import { useState } from 'react';
import { takeRoute } from '@/core/ask/takeRoute';
import { sayMinutes } from '@/core/model/units/show';
import type { Plan } from '@/core/plan/plan';
import { sayRoute } from '@/core/present/route';
import { Button } from '../primitives/Button';
import { Notice } from '../primitives/Notice';
import { useWorkspace } from '../run/WorkspaceContext';

/** A quicker route than the one that is shown: offered, and not taken by itself once somebody works on the plan. */
export function BetterRoute({ plan }: { plan: Plan }) {
  const { edit } = useWorkspace();
  const [left, setLeft] = useState<string | undefined>(undefined);
  const { offered } = plan.route;
  const words = offered && sayRoute(offered);
  if (!offered || words === left) return null;
  const now = plan.times.piece.value;
  return (
    <Notice
      actions={
        <>
          <Button onPress={() => edit(undefined, (file) => void Object.assign(file, takeRoute(file, plan, offered)))}>
            Take it
          </Button>
          <Button onPress={() => setLeft(words)}>Keep this one</Button>
        </>
      }
    >
      <strong>A quicker route was found:</strong> {words}. {sayMinutes(offered.pieceMinutes ?? now)} a piece instead of{' '}
      {sayMinutes(now)}, {sayMinutes(-(offered.lostBy ?? 0))} less over the batch.
    </Notice>
  );
}
