import { NextResponse } from 'next/server';
import { findRun, saveRun } from '@/server/runRepository';
import { answered, idIn, keepable, noSuchRun, readJson, refused } from '../../answers';

type Context = { params: Promise<{ id: string }> };

/** One run as it is kept. */
export const GET = (_: Request, context: Context) =>
  answered(async () => {
    const id = idIn(await context.params);
    const run = id === undefined ? undefined : await findRun(id);
    return run ? NextResponse.json({ run }) : noSuchRun();
  });

/** Appends a revision, when the newest is still the one the edit started from; else both are shown. */
export const PUT = (request: Request, context: Context) =>
  answered(async () => {
    const id = idIn(await context.params);
    const body = await readJson(request);
    if (!body.ok) return refused(body.problems, 400);
    const { base, file: document } = (body.value ?? {}) as { base?: unknown; file?: unknown };
    const file = keepable(document);
    if (!file.ok) return refused(file.problems);
    if (typeof base !== 'number' || !Number.isInteger(base))
      return refused([{ path: 'base', message: 'must be the revision that the edit started from' }]);
    if (id === undefined) return noSuchRun();
    const outcome = await saveRun(id, base, file.value);
    if (outcome.kind === 'missing') return noSuchRun();
    if (outcome.kind === 'conflict') return NextResponse.json({ current: outcome.current }, { status: 409 });
    return NextResponse.json({ run: outcome.run });
  });
