import { NextResponse } from 'next/server';
import { readShop } from '@/core/formats/readShop';
import { planFile } from '@/core/plan';
import { batchMinutes, compareShops } from '@/core/shop/compareShops';
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
    return NextResponse.json({
      effects: compareShops(runs, (run) => asItIs(run, current, []), shop.value),
      of: runs.length,
    });
  });
