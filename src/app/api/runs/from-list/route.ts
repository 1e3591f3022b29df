import { NextResponse } from 'next/server';
import { readRunRows } from '@/core/formats/runsCsv';
import { createFromList } from '@/server/runRepository';
import { answered, readJson, refused } from '../../answers';

/** Makes the runs of a list, each begun with the newest run of its part: all of them, or none and what is wrong row by row. */
export const POST = (request: Request) =>
  answered(async () => {
    const body = await readJson(request);
    if (!body.ok) return refused(body.problems, 400);
    const read = readRunRows(body.value);
    if (!read.ok) return refused(read.problems);
    const { rows } = read.value;
    const outcome = await createFromList(rows);
    if ('unknown' in outcome)
      return refused(
        outcome.unknown.map((index) => ({
          path: `rows[${index}].number`,
          message: `“${rows[index]?.number ?? ''}” is the number of no part that was planned here: make its first run by hand`,
        })),
      );
    return NextResponse.json({ made: outcome.made.map(({ id }) => id) }, { status: 201 });
  });
