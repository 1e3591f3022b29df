import { NextResponse } from 'next/server';
import { readDays } from '@/core/formats/daysFile';
import { currentDays, saveDays } from '@/server/daysRepository';
import { answered, deviceIn, readJson, refused } from '../answers';

/** When the shop works and what is decided of its runs, with the revision that an edit starts from. */
export const GET = () => answered(async () => NextResponse.json(await currentDays()));

/** Appends a revision of it, when the newest is still the one that the edit started from. */
export const PUT = (request: Request) =>
  answered(async () => {
    const body = await readJson(request);
    if (!body.ok) return refused(body.problems, 400);
    const { base, days: document } = (body.value ?? {}) as { base?: unknown; days?: unknown };
    const days = readDays(document);
    if (!days.ok) return refused(days.problems);
    if (typeof base !== 'number' || !Number.isInteger(base))
      return refused([{ path: 'base', message: 'must be the revision that the edit started from' }]);
    const outcome = await saveDays(base, days.value, deviceIn(request));
    return outcome === 'conflict'
      ? refused(
          [
            {
              path: '',
              message: 'somebody else has changed the days in the meantime; load the page anew and do it there',
            },
          ],
          409,
        )
      : NextResponse.json({ revision: outcome });
  });
