import { NextResponse } from 'next/server';
import { chamfersOnSteps } from '@/core/formats/chamfers';
import type { RunFile } from '@/core/read/runFile';
import { planFile } from '@/core/plan/plan';
import { createRun } from '@/server/runRepository';
import { currentShop } from '@/server/shopRepository';
import { answered, readJson, refused } from '../answers';

/** Brings in a run file. It must be one that can be planned: the same check as on the command line. */
export const POST = (request: Request) =>
  answered(async () => {
    const body = await readJson(request);
    if (!body.ok) return refused(body.problems, 400);
    const plan = planFile(body.value, await currentShop(), 'wanted', { until: 'sound' });
    if (!plan.ok) return refused(plan.problems);
    const file = { units: 'mm', ...(body.value as object) } as RunFile;
    return NextResponse.json({ run: await createRun(chamfersOnSteps(file)) }, { status: 201 });
  });
