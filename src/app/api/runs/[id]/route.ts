import { NextResponse } from 'next/server';
import { findRun, saveRun } from '@/server/runRepository';
import { answered, keepable, readJson, refused } from '../../answers';

type Context = { params: Promise<{ id: string }> };

const missing = () =>
  refused(
    [
      {
        path: '',
        message: 'there is no such run; it may have been opened from an old address. The board lists them all.',
      },
    ],
    404,
  );

const idOf = async ({ params }: Context) => {
  const { id } = await params;
  return /^\d{1,9}$/.test(id) ? Number(id) : undefined;
};

/** One run as it is kept. */
export const GET = (_: Request, context: Context) =>
  answered(async () => {
    const id = await idOf(context);
    const run = id === undefined ? undefined : await findRun(id);
    return run ? NextResponse.json({ run }) : missing();
  });

/** Appends a revision, when the newest is still the one the edit started from; else both are shown. */
export const PUT = (request: Request, context: Context) =>
  answered(async () => {
    const id = await idOf(context);
    const body = await readJson(request);
    if (!body.ok) return refused(body.problems, 400);
    const { base, file: document } = (body.value ?? {}) as { base?: unknown; file?: unknown };
    const file = keepable(document);
    if (!file.ok) return refused(file.problems);
    if (typeof base !== 'number' || !Number.isInteger(base))
      return refused([{ path: 'base', message: 'must be the revision that the edit started from' }]);
    if (id === undefined) return missing();
    const outcome = await saveRun(id, base, file.value);
    if (outcome.kind === 'missing') return missing();
    if (outcome.kind === 'conflict') return NextResponse.json({ current: outcome.current }, { status: 409 });
    return NextResponse.json({ run: outcome.run });
  });
