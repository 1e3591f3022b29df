import { NextResponse } from 'next/server';
import { checkShape } from '@/core/formats/problems';
import type { RunFile } from '@/core/formats/runFile';
import { runFileSchema } from '@/core/formats/schemas';
import { refuse, type Problem, type Result } from '@/core/result';

/** The largest run file taken, bytes: far more than two hundred steps need. */
const LARGEST = 1_000_000;

/** Problems as an answer. */
export const refused = (problems: Problem[], status = 422) => NextResponse.json({ problems }, { status });

/** Reads JSON from a request. */
export async function readJson(request: Request): Promise<Result<unknown>> {
  const text = await request.text();
  if (text.length > LARGEST)
    return refuse('', `the file has ${text.length} characters; run files of up to ${LARGEST} are read`);
  try {
    return { ok: true, value: JSON.parse(text) as unknown };
  } catch (error) {
    return refuse('', `this is not JSON: ${error instanceof Error ? error.message : 'it does not read'}`);
  }
}

/** A document that can be kept: a run file in shape, with a number to find it by. It may still be incomplete. */
export function keepable(value: unknown): Result<RunFile> {
  const shaped = checkShape(runFileSchema, value);
  if (shaped.ok && shaped.value.part.number.trim() === '')
    return refuse('part.number', 'is missing: give the part a number, so that the run can be found again');
  return shaped;
}

/** Runs a handler; a database that does not answer is said in words, not as a trace. */
export async function answered(work: () => Promise<Response>): Promise<Response> {
  try {
    return await work();
  } catch (error) {
    console.error(error instanceof Error ? error.message : error);
    return refused(
      [{ path: '', message: 'the database does not answer; nothing was changed. Try again in a moment.' }],
      503,
    );
  }
}
