import { NextResponse } from 'next/server';
import { createRun } from '@/server/runRepository';
import { answered, keepable, readJson, refused } from '../answers';

/** Keeps a new run. */
export const POST = (request: Request) =>
  answered(async () => {
    const body = await readJson(request);
    if (!body.ok) return refused(body.problems, 400);
    const file = keepable((body.value as { file?: unknown } | null)?.file);
    if (!file.ok) return refused(file.problems);
    return NextResponse.json({ run: await createRun(file.value) }, { status: 201 });
  });
