import { NextResponse } from 'next/server';
import { readShop } from '@/core/read/readShop';
import { currentRevision, saveShop } from '@/server/shopRepository';
import { answered, readJson, refused } from '../answers';

/** The shop as it is kept, as a file. */
export const GET = () =>
  answered(async () => {
    const { shop } = await currentRevision();
    return NextResponse.json(shop);
  });

/** Appends a revision of the shop, when the newest is still the one the edit started from. */
export const PUT = (request: Request) =>
  answered(async () => {
    const body = await readJson(request);
    if (!body.ok) return refused(body.problems, 400);
    const { base, shop: document } = (body.value ?? {}) as { base?: unknown; shop?: unknown };
    const shop = readShop(document);
    if (!shop.ok) return refused(shop.problems);
    if (typeof base !== 'number' || !Number.isInteger(base))
      return refused([{ path: 'base', message: 'must be the revision that the edit started from' }]);
    const outcome = await saveShop(base, shop.value);
    return outcome === 'conflict'
      ? refused(
          [
            {
              path: '',
              message:
                'somebody else has changed the shop in the meantime; nothing was overwritten. Put yours out as a file, load the page anew and change it there',
            },
          ],
          409,
        )
      : NextResponse.json({ revision: outcome });
  });
