import { NextResponse } from 'next/server';
import { createRun, findRun } from '@/server/runRepository';
import { answered, idIn, noSuchRun } from '../../../answers';

/** Another run of the same part, as this one is saved, promised for no day yet. */
export const POST = (_: Request, { params }: { params: Promise<{ id: string }> }) =>
  answered(async () => {
    const id = idIn(await params);
    const run = id === undefined ? undefined : await findRun(id);
    if (!run) return noSuchRun();
    const { due, order, ...file } = run.file;
    void [due, order];
    return NextResponse.json({ run: await createRun(file, { copiedFrom: run }) }, { status: 201 });
  });
