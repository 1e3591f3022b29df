import { setImmediate } from 'node:timers/promises';
import { database } from './database';
import { plannedWith, type PlannedWith } from './plannedWith';
import { barsFor, basisOf, figuresOf, type RunFigures } from './runFigures';
import { readRuns } from './runRepository';
import type { SavedRun } from './savedRun';
import { troubleDigest, troubleOf } from './trouble';

/** Runs looked at together: so few that one which was just saved does not wait long behind them. */
const AT_ONCE = 5;

interface Wanted {
  run_id: number;
  wanted: number;
  basis: string;
}

/** What a run shows where the planner stopped on it, which is a fault of ours. */
const stopped = (error: unknown): RunFigures => ({
  board: {
    problem: { path: '', message: `the planner stopped on this run: ${troubleDigest(troubleOf(error))} in the log` },
  },
  need: undefined,
  uses: undefined,
});

function planned(run: SavedRun, { shop, rack }: PlannedWith): RunFigures {
  try {
    return figuresOf(run, shop, rack);
  } catch (error) {
    return stopped(error);
  }
}

const orNull = (value: unknown) => (value === undefined ? null : JSON.stringify(value));

/** The figures are those of `wanted`; what was changed since asks for them again, and stays old until then. */
async function enter({ run_id, wanted }: Wanted, basis: string, { board, need, uses }: RunFigures): Promise<void> {
  await database()('run_list')
    .where({ run_id, wanted })
    .update({
      stale: false,
      basis,
      figures: JSON.stringify(board),
      batch_minutes: 'problem' in board ? null : board.batchMinutes,
      need: orNull(need),
      uses: orNull(uses),
      machine: uses?.machine ?? '',
    });
}

async function figureOut(row: Wanted, run: SavedRun, kept: PlannedWith, program: string): Promise<void> {
  const made = { ...kept, rack: barsFor(run, kept.rack) };
  const basis = basisOf(run, made.shop, made.rack, program);
  if (basis === row.basis)
    await database()('run_list').where({ run_id: row.run_id, wanted: row.wanted }).update({ stale: false });
  else await enter(row, basis, planned(run, made));
}

/**
 * Plans some of the runs whose figures are old again: those saved last first. Where nothing that they are made from has
 * changed, they are as they were.
 * @param program digest of the planner itself, whose changes move figures as well
 * @returns how many were looked at
 */
export async function figureSome(program: string): Promise<number> {
  const rows = await database()('run_list')
    .where({ stale: true })
    .orderBy('run_id', 'desc')
    .limit(AT_ONCE)
    .select<Wanted[]>('run_id', 'wanted', 'basis');
  if (rows.length === 0) return 0;
  const ids = rows.map(({ run_id }) => run_id);
  const [{ runs, damaged }, withOf] = await Promise.all([readRuns(ids), plannedWith(ids)]);
  for (const row of rows) {
    const run = runs.find(({ id }) => id === row.run_id);
    const damage = damaged.get(row.run_id);
    if (run) await figureOut(row, run, withOf(run.id), program);
    else
      await database()('run_list')
        .where({ run_id: row.run_id, wanted: row.wanted })
        .update({ stale: false, ...(damage === undefined ? {} : { damaged: damage.slice(0, 1000) }) });
    await setImmediate();
  }
  return rows.length;
}
