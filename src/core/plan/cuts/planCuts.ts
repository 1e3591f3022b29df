import type { OrderedSetup } from '../order/orderedSetup';
import { good, type Result } from '../../model/result';
import { cylinder } from '../../model/workpiece/profile';
import { solid, turnedRound, type Workpiece } from '../../model/workpiece/workpiece';
import { isOnBar, type Setup } from '../../model/plan/setup';
import type { Reason } from '../../model/words';
import type { CutOperation } from './cutOperation';
import { cutWith } from './cutWith';
import { fewestMoves, leverMinutes } from './levers';
import { readyToCut, runsOf, type Ready } from './readyToCut';

export interface CutSetup extends OrderedSetup {
  start: Workpiece;
  cuts: CutOperation[];
}

/** How far the bar goes on in the chuck while its set-ups are made: to where it is held when it is drawn out last, z of their view. */
export const barTo = (setups: readonly Setup[]): number =>
  Math.max(...setups.flatMap((setup) => (isOnBar(setup) ? [setup.holding.to] : [])));

/** What the set-ups before one leave to it. */
export interface CutSoFar {
  done: CutSetup[];
  left: { work: Workpiece; end: Setup['end'] } | undefined;
  number: number;
  /** Cautions that were told: where they first apply, since said everywhere they are read nowhere. */
  told: ReadonlySet<string>;
}

export const NOTHING_CUT: CutSoFar = { done: [], left: undefined, number: 0, told: new Set() };

/** The work as a set-up first sees it. */
function startOf(setup: Setup, { left }: CutSoFar, bar: number): Workpiece {
  if (left) return left.end === setup.end ? left.work : turnedRound(left.work, setup.part.length);
  const { over, bore, piece } = setup.stock;
  if (piece) return setup.end === 'front' ? piece : turnedRound(piece, setup.part.length);
  const to = Math.max(setup.holding.to, bar);
  const whole = solid(-setup.facing, to, over);
  return bore > 0 ? { ...whole, bore: [cylinder(-setup.facing, to, bore / 2)] } : whole;
}

/**
 * Runs one more set-up: every cut on the work as it then is (trade: Cutting). What it leaves is what the next begins with.
 * @param bar how far the bar goes on (`barTo`)
 */
export function cutSetup(ordered: OrderedSetup, before: CutSoFar, bar: number): Result<CutSoFar> {
  const { setup } = ordered;
  const start = startOf(setup, before, bar);
  const told = new Set(before.told);
  const found: (Ready & { reasons: Reason[] })[] = [];
  let work = start;
  for (const [index, operation] of ordered.operations.entries()) {
    const ready = readyToCut(operation, work, setup);
    if (!ready.ok) return ready;
    // Roughing that finds nothing to take is no operation.
    if (ready.value.cuts.passes.length === 0 && operation.stop.means !== 'none') continue;
    work = ready.value.after;
    found.push({ ...ready.value, reasons: ordered.reasons[index] ?? [] });
  }
  const levers = fewestMoves(
    found.map((ready) => runsOf(ready, setup)),
    leverMinutes(setup),
  );
  let { number } = before;
  const cuts = found.map((ready, index): CutOperation => {
    const cut = cutWith(ready, levers[index], setup);
    const cautions = cut.cautions.filter(({ text }) => !told.has(text));
    for (const { text } of cautions) told.add(text);
    return { ...cut, number: (number += 10), reasons: ready.reasons, cautions };
  });
  return good({
    done: [...before.done, { ...ordered, start, cuts }],
    left: { work, end: setup.end },
    number,
    told,
  });
}
