import { NextResponse } from 'next/server';
import { buyingList } from '@/core/rack/buying';
import { shortages } from '@/core/rack/rack';
import { toOrder } from '@/core/schedule/toOrder';
import { momentOf } from '@/core/schedule/fromRuns';
import { placedNow } from '@/server/placedNow';
import { listLevels, listRack } from '@/server/rackRepository';
import { listNeeds } from '@/server/runList';
import { currentShop } from '@/server/shopRepository';
import { answered } from '../../answers';

/** What is to be bought, by supplier and by the day on which it must be ordered. */
export const GET = () =>
  answered(async () => {
    const [items, levels, needs, { materials, machines }] = await Promise.all([
      listRack(),
      listLevels(),
      listNeeds(),
      currentShop(),
    ]);
    const { placed, today } = await placedNow(machines.map(({ id }) => id));
    const starts = new Map(
      // By its first part, which comes last here so that it counts.
      placed
        .filter(({ start }) => start < Infinity)
        .sort((a, b) => b.start - a.start)
        .map(({ run, start }) => [run, momentOf(today, start).day]),
    );
    const list = toOrder(buyingList(shortages(needs, items, levels), materials), materials, (run) => starts.get(run));
    return NextResponse.json({ list });
  });
