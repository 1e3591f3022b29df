import { setImmediate } from 'node:timers/promises';
import { NextResponse } from 'next/server';
import { readShop } from '@/core/formats/readShop';
import { planFile } from '@/core/plan';
import { batchMinutes, effectOn, mostFirst, type ShopEffect } from '@/core/shop/compareShops';
import { listRuns } from '@/server/runRepository';
import { currentRevision } from '@/server/shopRepository';
import { remembered } from '../../../remembered';
import { answered, readJson, refused } from '../../answers';

// How the runs are now is asked again with every change that is tried.
const asItIs = remembered((run, shop) => batchMinutes(planFile(run.file, shop)));

/** What another shop would do to the runs; nothing is kept. */
export const POST = (request: Request) =>
  answered(async () => {
    const body = await readJson(request);
    if (!body.ok) return refused(body.problems, 400);
    const shop = readShop((body.value as { shop?: unknown } | null)?.shop);
    if (!shop.ok) return refused(shop.problems);
    const [{ shop: current }, { runs }] = await Promise.all([currentRevision(), listRuns()]);
    const effects: ShopEffect[] = [];
    for (const run of runs) {
      // Between two runs others are answered; who has changed it again waits for nothing any more.
      await setImmediate();
      if (request.signal.aborted) break;
      const effect = effectOn(run, asItIs(run, current, []), shop.value);
      if (effect) effects.push(effect);
    }
    return NextResponse.json({ effects: mostFirst(effects), of: runs.length });
  });
