import { runsTable } from '@/core/formats/runsTable';
import { boardAsked, boardRuns } from '../../../boardAsked';
import { answered, tableAnswer } from '../../answers';

/** The most runs of a table: more than any board has. */
const MOST = 100_000;

/** The runs that the board shows as a table, all of its pages; asked for as the board is (`?find=`, `?state=` …). */
export const GET = (request: Request) =>
  answered(async () => {
    const asked = Object.fromEntries(new URL(request.url).searchParams);
    const { runs } = await boardRuns(boardAsked(asked), { from: 0, most: MOST });
    return tableAnswer('board', runsTable(runs));
  });
