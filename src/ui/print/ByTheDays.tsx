'use client';
import { begun } from '../device/begun';
import { wrap } from 'comlink';
import { format, parseISO } from 'date-fns';
import { useEffect, useRef, useState } from 'react';
import type { Delivery } from '@/core/schedule/delivery';
import type { DaysFile } from '@/core/schedule/days';
import { momentOf } from '@/core/schedule/fromRuns';
import type { RunToMake } from '@/core/schedule/runToMake';
import type { DaysApi } from '@/workers/days.worker';
import { ask } from '../primitives/ask';
import { Button } from '../primitives/Button';
import { useWorkspace } from '../run/WorkspaceContext';

/** How often it is asked whether it is planned on every lathe by now, ms. */
const AGAIN_MS = 1000;

type Told =
  | { state: 'idle' | 'asked' | 'never' | 'gone' }
  | { state: 'there'; delivery: Delivery; day: (at: number) => string; runs: readonly RunToMake[] };

const pause = () => new Promise((resolve) => setTimeout(resolve, AGAIN_MS));

/** Asks the server until every run is planned on every lathe, then a worker when this one would be there. */
async function askDelivery(run: number, isOver: () => boolean): Promise<Told> {
  const kept = await ask<{ days: DaysFile }>('GET', '/api/days');
  if (!kept.ok) return { state: 'gone' };
  while (!isOver()) {
    const answer = await ask<{ runs: RunToMake[] }>('GET', `/api/schedule?also=${run}`);
    if (!answer.ok) return { state: 'gone' };
    const { runs } = answer.value;
    if (runs.some(({ lathes, isOld }) => lathes === undefined || isOld)) {
      await pause();
      continue;
    }
    const stamp = new Date();
    const today = format(stamp, 'yyyy-MM-dd');
    const machines = [...new Set(runs.flatMap(({ lathes = [] }) => lathes.map(({ lathe }) => lathe)))];
    const worker = begun(new Worker(new URL('../../workers/days.worker.ts', import.meta.url), { type: 'module' }));
    const now = stamp.getHours() * 60 + stamp.getMinutes();
    const delivery = await wrap<DaysApi>(worker).delivery({ runs, days: kept.value.days, machines, today, now }, run);
    worker.terminate();
    const day = (at: number) => momentOf(today, Math.max(0, at - 1)).day;
    return delivery ? { state: 'there', delivery, day, runs } : { state: 'never' };
  }
  return { state: 'idle' };
}

/** When the run would be there by the days of the shop, asked for by a press; and a press that puts that on the quotation. */
export function ByTheDays({ onDay }: { onDay: (words: string) => void }) {
  const { id, shop } = useWorkspace();
  const [told, setTold] = useState<Told>({ state: 'idle' });
  const over = useRef(false);
  useEffect(() => {
    over.current = false;
    return () => {
      over.current = true;
    };
  }, []);
  if (id === 'new') return null;
  const press = () => {
    setTold({ state: 'asked' });
    void askDelivery(Number(id), () => over.current).then((answer) => over.current || setTold(answer));
  };
  if (told.state === 'there') {
    const { delivery, day, runs } = told;
    const { lathe, delivered, p80, harmed } = delivery;
    const said = (at: number) => (at < Infinity ? format(parseISO(day(at)), 'd MMMM yyyy') : 'never within the hours');
    const words = said(p80);
    return (
      <p className="wide" role="status">
        On {shop.machines.find((machine) => machine.id === lathe)?.name ?? lathe} it is there by {said(delivered)} as
        planned, four of five times by <b>{words}</b>
        {harmed.length === 0
          ? ', and makes nobody late. '
          : `, and makes late: ${harmed.map((late) => runs.find((run) => run.id === late)?.number).join(', ')}. `}
        {p80 < Infinity && <Button onPress={() => onDay(`by ${words}`)}>Offer that day</Button>}
      </p>
    );
  }
  return (
    <div className="wide">
      <Button isDisabled={told.state === 'asked'} onPress={press}>
        Delivery by the days …
      </Button>
      <span role="status">
        {told.state === 'asked' && ' It is being planned on every lathe …'}
        {told.state === 'never' && ' No lathe can make it within the hours.'}
        {told.state === 'gone' && ' The server does not answer; try again.'}
      </span>
    </div>
  );
}
