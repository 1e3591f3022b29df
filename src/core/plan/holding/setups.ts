import type { Attempt } from './layout';
import type { Stock } from '../../model/plan/stock';
import { isHolding } from '../../model/overrule';
import { largestDiameter, turnRound } from '../../model/part/part';
import { andThen, good, refuse, type Result } from '../../model/result';
import type { Run } from '../../model/run';
import { say, sayDiameter } from '../../model/words';
import { attempt, type Divided } from './attempt';
import { askedFor, betweenCentres } from './betweenCentres';
import { orificesOf } from '../reach/orifices';
import { crossedKnurls } from '../outside/acrossKnurl';
import { splits } from './division';
import type { Setup } from '../../model/plan/setup';
import { takenWishes, keepsWishes, wishedElsewhere, wishesOf, type Wish } from '../reach/wishes';

/** How many ties work between centres is not true enough for. */
const untrueBetween = ({ part }: Run, setups: readonly Setup[]): number =>
  part.ties.filter(({ limit }) => (setups.at(-1)?.holding.runOut ?? 0) > limit + 1e-9).length;

/** Set-ups that say what else could hold the second side. */
const withOthers = (setups: readonly Setup[], others: Setup['others']): Setup[] =>
  setups.map((setup) => (setup.number === 2 ? { ...setup, others } : setup));

/** Set-ups as they are held instead, and why not between centres. */
const notBetween = (setups: readonly Setup[], run: Run, because = 'it cannot be'): Setup[] =>
  setups.map((setup) =>
    setup.number === 1
      ? setup
      : {
          ...setup,
          taken: setup.taken.map((taken) =>
            taken.index === askedFor(run)
              ? { ...taken, breaks: [{ rule: 'GRIP-LEFT', because: `${because}.`, strength: 'H' as const }] }
              : taken,
          ),
        },
  );

/** Whether the work fits the machine at all. */
function checkCapacity(run: Run): Result<null> {
  const { machine } = run.shop;
  const { units, part } = run;
  if (part.length > machine.betweenCentres)
    return refuse(
      'part.outside',
      `${say(part.length, units)} is longer than ${machine.name} takes (${say(machine.betweenCentres, units)})`,
    );
  const largest = part.steps.find(({ diameter }) => diameter.nominal > machine.swing);
  if (largest)
    return refuse(
      `${largest.path}.diameter`,
      `${sayDiameter(largestDiameter(part), units)} does not swing over the cross-slide of ${machine.name} (${say(machine.swing, units)})`,
    );
  return good(null);
}

const withTaken = (setups: readonly Setup[], taken: Setup['taken']): Setup[] =>
  setups.map((setup) => (setup.number === 1 ? { ...setup, taken: [...setup.taken, ...taken] } : setup));

/** What leaves nothing out first, then the truer, then what is held more easily. */
const compare = (a: Divided, b: Divided): number => a.missed - b.missed || a.untrue - b.untrue || a.uneasy - b.uneasy;

/** How the end that is worked first comes out of its holding, centred before or a piece at a time, and what holds the other. */
export interface Drawn {
  centred: boolean;
  drawnOut: boolean;
  /** An end for that centre goes last, in a holding of its own. */
  endLast: boolean;
  /** Which of what could hold its second side does, the best being 0. */
  hold: number;
  /** One means holds both sides. */
  bothAlike: boolean;
  /** What the end that is worked first leaves to the other (paths). */
  later?: readonly string[];
}

/** The best division of the work that keeps what was decided of ends. */
function dividedBy(
  run: Run,
  stock: Stock,
  wishes: readonly Wish[],
  { centred, drawnOut, endLast, hold, bothAlike, later: left = [] }: Drawn,
): Result<Setup[]> {
  const ends = run.firstEnd === 'choose' ? (['front', 'back'] as const) : [run.firstEnd];
  const attempts = ends.flatMap((firstEnd): (Attempt | Result<never>)[] => {
    const counts = splits(firstEnd === 'front' ? run.part : turnRound(run.part), stock.asDrawn);
    if (!counts.ok) return [counts];
    const across = crossedKnurls(run.part, stock.asDrawn);
    const later = [...left, ...wishedElsewhere(wishes, firstEnd, centred ? 2 : 1)];
    // From its own end, after the wide ones that open it, where that can be.
    const own = orificesOf(run.part, run.shop.cutting)
      .filter(({ path, opened }) => opened === firstEnd && !wishes.some(({ paths }) => paths.includes(path)))
      .map(({ path }) => path);
    const sooner = [...across, ...own];
    const waits = sooner.length > 0 ? [[...sooner, ...later], later] : [later];
    return waits.flatMap((deferred) =>
      counts.value.map((count) => ({
        run,
        stock,
        firstEnd,
        count,
        centred,
        drawnOut,
        endLast,
        hold,
        bothAlike,
        deferred,
        wishes,
      })),
    );
  });
  const refused: Result<never>[] = [];
  let best: Divided | undefined;
  for (const division of attempts) {
    const outcome: Result<Divided> = 'ok' in division ? division : attempt(division);
    if (!outcome.ok) refused.push(outcome);
    else if (!best || compare(outcome.value, best) < 0) best = outcome.value;
    if (best && best.missed + best.untrue + best.uneasy === 0) break;
  }
  // Between centres where it is asked for, where nothing else is true enough, and where nothing else holds.
  const asked = askedFor(run) >= 0;
  const decided = run.overrules.some((overrule) => isHolding(overrule) && overrule.setup !== 1);
  if (
    asked ||
    (!centred && !drawnOut && !endLast && hold === 0 && !bothAlike && !decided && (!best || best.untrue > 0))
  ) {
    const centred = andThen(betweenCentres(run, stock), (setups) =>
      andThen(keepsWishes(wishes, setups), () => good(setups)),
    );
    if (centred.ok && (asked || !best || untrueBetween(run, centred.value) < best.untrue))
      return good(withOthers(centred.value, best?.setups[1]?.others ?? []));
    if (best && asked && !centred.ok) return good(notBetween(best.setups, run, centred.problems[0]?.message));
  }
  if (best) return good(best.setups);
  // When nothing holds, the attempt that divides the work most evenly says most about what is missing.
  return (
    refused[Math.floor(run.part.steps.length / 2)] ??
    refused[0] ??
    refuse('part.outside', 'the part cannot be divided between two set-ups')
  );
}

/**
 * The set-ups of a run (trade: The job, Holding, Order): what is turned from which end, and what the second side is held by. The
 * front first, unless only the back first leaves something to hold, or holds as true as the drawing asks.
 * @returns the set-ups, or why the part cannot be held
 */
export function planSetups(run: Run, stock: Stock, drawn: Drawn): Result<Setup[]> {
  const capacity = checkCapacity(run);
  if (!capacity.ok) return capacity;
  const wishes = wishesOf(run);
  const wished = dividedBy(run, stock, wishes, drawn);
  if (wishes.length === 0) return wished;
  if (wished.ok) return good(withTaken(wished.value, takenWishes(wishes)));
  const problem = wished.problems[0]?.message ?? 'it cannot be';
  return andThen(dividedBy(run, stock, [], drawn), (setups) => good(withTaken(setups, takenWishes(wishes, problem))));
}
