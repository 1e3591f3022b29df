import { NextResponse } from 'next/server';
import { tableText, type Cell } from '@/core/formats/table';
import { checkShape } from '@/core/read/problems';
import type { RunFile } from '@/core/read/runFile';
import { runFileSchema } from '@/core/read/schemas';
import { sameNumber } from '@/core/model/part/partNumber';
import { refuse, type Problem, type Result } from '@/core/model/result';
import { troubleOf, type Trouble } from '@/server/trouble';
import { deviceSettings } from '../deviceSettings';

/** The largest run file taken, bytes: far more than two hundred steps need. */
const LARGEST = 1_000_000;

/** Problems as an answer. */
export const refused = (problems: Problem[], status = 422) => NextResponse.json({ problems }, { status });

/** The text of a request, as far as it is taken: what is longer is not read to its end. */
async function textOf(request: Request, largest: number): Promise<string | undefined> {
  const reader = request.body?.getReader();
  const decoder = new TextDecoder();
  let [text, bytes] = ['', 0];
  if (!reader) return text;
  for (;;) {
    const { done, value } = await reader.read();
    if (done) return text + decoder.decode();
    bytes += value.byteLength;
    if (bytes > largest) {
      await reader.cancel();
      return undefined;
    }
    text += decoder.decode(value, { stream: true });
  }
}

/** Reads JSON from a request. @param largest the most bytes that are read of it */
export async function readJson(request: Request, largest = LARGEST): Promise<Result<unknown>> {
  const text = await textOf(request, largest);
  if (text === undefined)
    return refuse(
      '',
      `the file is larger than ${Math.floor(largest)} bytes, the most that is read${largest === LARGEST ? '; a run file has some thousands' : ''}`,
    );
  try {
    return { ok: true, value: JSON.parse(text) as unknown };
  } catch (error) {
    return refuse('', `this is not JSON: ${error instanceof Error ? error.message : 'it does not read'}`);
  }
}

/** A table as a file, written as the device that asks has its tables. */
export const tableAnswer = async (name: string, rows: Cell[][]) =>
  new NextResponse(tableText(rows, (await deviceSettings()).mark), {
    headers: {
      'content-type': 'text/csv; charset=utf-8',
      'content-disposition': `attachment; filename="${name}.csv"`,
    },
  });

/** The id in an address, where it is one. */
export const idIn = ({ id }: { id: string }): number | undefined => (/^\d{1,9}$/.test(id) ? Number(id) : undefined);

/** The device that asks, by its name; the machine of Shingle itself has none. */
export const deviceIn = (request: Request): string => decodeURIComponent(request.headers.get('x-shingle-device') ?? '');

export const noSuchRun = () =>
  refused(
    [
      {
        path: '',
        message: 'there is no such run; it may have been opened from an old address. The board lists them all.',
      },
    ],
    404,
  );

/** A document that can be kept: a run file in shape, with a number to find it by. It may still be incomplete. */
export function keepable(value: unknown): Result<RunFile> {
  const shaped = checkShape(runFileSchema, value);
  if (shaped.ok && sameNumber(shaped.value.part.number) === '')
    return refuse('part.number', 'is missing: give the part a number, so that the run can be found again');
  return shaped;
}

/** What is said of each trouble, and the status that goes with it. All but a bug pass by themselves. */
function told(trouble: Trouble): { message: string; status: number } {
  switch (trouble.kind) {
    case 'gone':
      return { message: 'the database does not answer; nothing was changed. Try again in a moment.', status: 503 };
    case 'busy':
      return {
        message: 'too many are at work on the database at this moment; nothing was changed. Try again.',
        status: 503,
      };
    case 'full':
      return {
        message: 'the disk of the database is full; nothing was changed. Make room on it, then try again.',
        status: 507,
      };
    case 'bug':
      return {
        message: `this is a fault of the program, number ${trouble.number}; nothing was changed. The log has it under that number.`,
        status: 500,
      };
  }
}

/** Runs a handler; what goes wrong in it is said in words, each trouble by its own, and never as a trace. */
export async function answered(work: () => Promise<Response>): Promise<Response> {
  try {
    return await work();
  } catch (error) {
    const trouble = troubleOf(error);
    const { message, status } = told(trouble);
    return NextResponse.json(
      { problems: [{ path: '', message }], trouble },
      { status, ...(status === 503 ? { headers: { 'retry-after': '2' } } : {}) },
    );
  }
}
