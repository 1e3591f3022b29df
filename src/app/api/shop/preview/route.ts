import { setImmediate } from 'node:timers/promises';
import { NextResponse } from 'next/server';
import { readShop } from '@/core/formats/readShop';
import { onHandFor } from '@/core/rack/rack';
import { effectOn, mostFirst, type ShopEffect } from '@/core/shop/compareShops';
import { listRack } from '@/server/rackRepository';
import { listRuns } from '@/server/runRepository';
import { currentRevision } from '@/server/shopRepository';
import { plannedRun } from '../../../planned';
import { answered, readJson, refused } from '../../answers';

/** What another shop would do to the runs; nothing is kept. */
export const POST = (request: Request) =>
  answered(async () => {
    const body = await readJson(request);
    if (!body.ok) return refused(body.problems, 400);
    const shop = readShop((body.value as { shop?: unknown } | null)?.shop);
    if (!shop.ok) return refused(shop.problems);
    const [current, { runs }, items] = await Promise.all([currentRevision(), listRuns(), listRack()]);
    const effects: ShopEffect[] = [];
    for (const run of runs) {
      // Between two runs others are answered; who has changed it again waits for nothing any more.
      await setImmediate();
      if (request.signal.aborted) break;
      const rack = onHandFor(items, run.id);
      const effect = effectOn(run, plannedRun(run, current, rack).batchMinutes, { ...shop.value, rack });
      if (effect) effects.push(effect);
    }
    return NextResponse.json({ effects: mostFirst(effects), of: runs.length });
  });
