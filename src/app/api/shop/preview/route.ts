import { setImmediate } from 'node:timers/promises';
import { NextResponse } from 'next/server';
import { readShop } from '@/core/read/readShop';
import { effectOn, mostFirst, type ShopEffect } from '@/core/ask/compareShops';
import { onHandFor } from '@/core/rack/rack';
import { begunRuns } from '@/server/plannedWith';
import { listRack } from '@/server/rackRepository';
import { barsFor, basisOf } from '@/server/runFigures';
import { batchMinutes } from '@/server/runList';
import { readRuns } from '@/server/runRepository';
import { currentShop } from '@/server/shopRepository';
import { answered, readJson, refused } from '../../answers';

/** Runs read together. */
const AT_ONCE = 50;

/** What another shop would do to the runs; nothing is kept. */
export const POST = (request: Request) =>
  answered(async () => {
    const body = await readJson(request);
    if (!body.ok) return refused(body.problems, 400);
    const shop = readShop((body.value as { shop?: unknown } | null)?.shop);
    if (!shop.ok) return refused(shop.problems);
    const [current, all, items, begun] = await Promise.all([currentShop(), batchMinutes(), listRack(), begunRuns()]);
    // What is begun keeps to the shop that it was begun with.
    const listed = all.filter(({ id }) => !begun.has(id));
    const effects: ShopEffect[] = [];
    for (let from = 0; from < listed.length && !request.signal.aborted; from += AT_ONCE) {
      const some = listed.slice(from, from + AT_ONCE);
      const { runs } = await readRuns(some.map(({ id }) => id));
      for (const run of runs) {
        // Between two runs others are answered; who has changed it again waits for nothing any more.
        await setImmediate();
        if (request.signal.aborted) break;
        const rack = barsFor(run, onHandFor(items, run.id));
        // What is made from nothing that changes stays as it is.
        if (basisOf(run, current, rack, '') === basisOf(run, shop.value, rack, '')) continue;
        const known = some.find(({ id }) => id === run.id);
        const effect = effectOn(run, known?.minutes, { ...shop.value, rack }, known?.routes);
        if (effect) effects.push(effect);
      }
    }
    const minutes = listed.reduce((sum, { minutes = 0 }) => sum + minutes, 0);
    return NextResponse.json({
      effects: mostFirst(effects),
      of: listed.length,
      begun: all.length - listed.length,
      minutes,
    });
  });
