import { NextResponse } from 'next/server';
import { readLevel } from '@/core/formats/rackFile';
import { setLevel } from '@/server/rackRepository';
import { materialIds } from '@/server/shopRepository';
import { answered, readJson, refused } from '../../answers';

/** Sets how much of a section is to be kept on the rack. */
export const POST = (request: Request) =>
  answered(async () => {
    const body = await readJson(request);
    if (!body.ok) return refused(body.problems, 400);
    const level = readLevel(body.value, await materialIds());
    if (!level.ok) return refused(level.problems);
    await setLevel(level.value);
    return NextResponse.json({});
  });
