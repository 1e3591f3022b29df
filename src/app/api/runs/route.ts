import { NextResponse } from 'next/server';
import { createRun } from '@/server/runRepository';
import { answered, keepable, readJson, refused } from '../answers';

/** Keeps a new run. */
export const POST = (request: Request) =>
  answered(async () => {
    const body = await readJson(request);
    if (!body.ok) return refused(body.problems, 400);
    const { file: document, under } = (body.value ?? {}) as { file?: unknown; under?: unknown };
    const file = keepable(document);
    if (!file.ok) return refused(file.problems);
    if (under !== undefined && !(typeof under === 'string' && /^[\w-]{8,40}$/.test(under)))
      return refused([{ path: 'under', message: 'must be a name of 8 to 40 letters and digits, or left out' }]);
    return NextResponse.json({ run: await createRun(file.value, { under }) }, { status: 201 });
  });
