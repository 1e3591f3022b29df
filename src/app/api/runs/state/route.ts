import { NextResponse } from 'next/server';
import { readStateChange } from '@/core/formats/runStateFile';
import { changeStates } from '@/server/runStates';
import { answered, readJson, refused } from '../../answers';

/** Says how far some runs have come; answers what they were before. */
export const POST = (request: Request) =>
  answered(async () => {
    const body = await readJson(request);
    if (!body.ok) return refused(body.problems, 400);
    const change = readStateChange(body.value);
    return change.ok ? NextResponse.json({ before: await changeStates(change.value) }) : refused(change.problems);
  });
