import { format } from 'date-fns';
import { NextResponse } from 'next/server';
import { buyingList } from '@/core/rack/buying';
import { shortages } from '@/core/rack/rack';
import { toOrder } from '@/core/schedule/toOrder';
import { answerDays } from '@/core/schedule/answer';
import { momentOf } from '@/core/schedule/fromRuns';
import { currentDays } from '@/server/daysRepository';
import { listLevels, listRack } from '@/server/rackRepository';
import { listNeeds } from '@/server/runList';
import { runsToMake } from '@/server/runsToMake';
import { currentShop } from '@/server/shopRepository';
import { answered } from '../../answers';

/** The day on which each run is begun by the order of the days that was taken; none without one. */
async function startDays(machines: readonly string[]): Promise<ReadonlyMap<number, string>> {
  const [{ days }, all] = await Promise.all([currentDays(), runsToMake()]);
  if (days.order.length === 0) return new Map();
  const now = new Date();
  const today = format(now, 'yyyy-MM-dd');
  const { placed } = answerDays(
    {
      runs: all.filter(({ lathes }) => lathes !== undefined),
      days,
      machines,
      today,
      now: now.getHours() * 60 + now.getMinutes(),
    },
    { weeks: 0 },
  );
  return new Map(
    placed.filter(({ start }) => start < Infinity).map(({ job, start }) => [job, momentOf(today, start).day]),
  );
}

/** What is to be bought, by supplier and by the day on which it must be ordered. */
export const GET = () =>
  answered(async () => {
    const [items, levels, needs, { materials, machines }] = await Promise.all([
      listRack(),
      listLevels(),
      listNeeds(),
      currentShop(),
    ]);
    const starts = await startDays(machines.map(({ id }) => id));
    const list = toOrder(buyingList(shortages(needs, items, levels), materials), materials, (run) => starts.get(run));
    return NextResponse.json({ list });
  });
