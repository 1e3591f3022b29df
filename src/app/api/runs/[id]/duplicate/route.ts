import { NextResponse } from 'next/server';
import { createRun, findRun } from '@/server/runRepository';
import { answered, refused } from '../../../answers';

/** Another run of the same part, as this one is saved, promised for no day yet. */
export const POST = (_: Request, { params }: { params: Promise<{ id: string }> }) =>
  answered(async () => {
    const { id } = await params;
    const run = /^\d{1,9}$/.test(id) ? await findRun(Number(id)) : undefined;
    if (!run) return refused([{ path: '', message: 'there is no such run; the board lists them all' }], 404);
    const { due, order, ...file } = run.file;
    void [due, order];
    return NextResponse.json({ run: await createRun(file) }, { status: 201 });
  });
