import { NextResponse } from 'next/server';
import { readLearned } from '@/core/formats/learnedFile';
import { keepLearned, learnedRuns } from '@/server/learned';
import { answered, deviceIn, idIn, noSuchRun, readJson, refused } from '../../../answers';

/** Learns from a run: keeps what it says of minutes. Answers what all runs say. */
export const POST = (request: Request, { params }: { params: Promise<{ id: string }> }) =>
  answered(async () => {
    const body = await readJson(request);
    if (!body.ok) return refused(body.problems, 400);
    const read = readLearned(body.value);
    if (!read.ok) return refused(read.problems);
    const id = idIn(await params);
    const kept = id !== undefined && (await keepLearned(id, read.value, deviceIn(request)));
    return kept ? NextResponse.json({ learned: await learnedRuns() }) : noSuchRun();
  });
