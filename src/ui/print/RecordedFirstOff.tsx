'use client';
import { useMemo } from 'react';
import { formatLength } from '@/core/model/units/length';
import type { Plan } from '@/core/plan/plan';
import { useHappened } from '../lathe/useHappened';
import { PrintedFirstOff } from './PrintedFirstOff';

/** The first-off form with what was measured of the first piece at the lathe. */
export function RecordedFirstOff({ plan }: { plan: Plan }) {
  const { sizes } = useHappened(plan).progress;
  const { units } = plan.run;
  const is = useMemo(
    () =>
      new Map(
        [...sizes].flatMap(([key, readings]): [string, string][] => {
          const first = readings[0];
          return first ? [[key, formatLength(first.size, units, true)]] : [];
        }),
      ),
    [sizes, units],
  );
  return <PrintedFirstOff plan={plan} is={is} />;
}
