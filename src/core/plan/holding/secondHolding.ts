import type { Feature } from '../../model/part/feature';
import type { Part, Tie } from '../../model/part/part';
import { good, refuse, type Result } from '../../model/result';
import type { Run } from '../../model/run';
import { say, sayDiameter, type Reason } from '../../model/words';
import { candidatesFor, decidedHolding, servedBy, type Candidate, type Held } from './means/candidate';
import { holdingKinds } from './means';
import type { Surface } from './means/holding';
import { mandrel } from './means/mandrel';
import { heldBack } from './stickOut';
import { standsByItself } from './support';
import { finishedSurfaces } from './surfaces';
import type { WorkHolding } from '../../model/plan/setup';
import { isReady } from './ready';
import type { Stock } from '../../model/plan/stock';
import { jawsFromAtLeast, throughBores } from './throat';
import { CLOSE } from '../../model/tolerances';
import { shortestGrip } from '../cutting/grip';

/**
 * How long a kind of holding must grip a diameter, mm: its shortest, and so that the work does not lean out of it (trade:
 * Safe holds).
 * @param out how far the work stands out to where it is cut, mm
 */
export const gripNeeded = ({ shop: { cutting } }: Run, kind: string, diameter: number, out: number): number =>
  Math.max(shortestGrip(kind, diameter, cutting), out / cutting.leanTimes);

/** Whether the work sits on a step of what holds it: it does not lean then. */
const isSeated = ({ kind, surface }: Pick<Candidate, 'kind' | 'surface'>): boolean =>
  kind.steps === true && surface.seat === true;

/** Whether its seat bears the work so far out: it is as wide as what is gripped, and squares it like half of that would. */
const isBorne = (candidate: Pick<Candidate, 'kind' | 'surface'>, out: number, { shop }: Run): boolean =>
  isSeated(candidate) && out <= (shop.cutting.leanTimes * candidate.surface.diameter) / 2 + CLOSE;

/** A grip of a diameter that wants no care, mm. */
const easyGrip = ({ shop: { cutting } }: Run, diameter: number): number =>
  Math.max(cutting.gripEasy, cutting.gripEasyTimes * diameter);

/** A surface of the first set-up and a means that could hold it. */
interface SecondCandidate extends Candidate {
  /** How much of the surface it holds, mm, and how much it must. */
  length: number;
  needed: number;
  /** So long, and what stands out so stout, that nobody has to think about it. */
  easy: boolean;
  /** What is left standing out, in diameters. */
  slender: number;
  /** How much that is still to be made it covers, or has behind it. */
  hides: number;
}

interface Sought {
  run: Run;
  view: Part;
  /** Steps finished in the first set-up. */
  count: number;
  /** Features that the second set-up makes on what the first has turned: nothing holds there. */
  kept: readonly Feature[];
  stock: Stock;
  /** Holes and features that the first set-up makes. */
  made: readonly string[];
  /** Run-out asked between what the first set-up makes and what the second does. */
  ties: readonly Tie[];
  /** Whether the second set-up works in the hole as well, where a mandrel would be in the way. */
  boresLater: boolean;
  /** Metal before the face that the second side finishes, mm. */
  facing: number;
  /** What held the first side last: where it holds the second too, nothing is changed. */
  before: WorkHolding | undefined;
}

/** What holds from outside. */
const outsideKinds = holdingKinds.filter((holdingKind) => holdingKind !== mandrel);

/** What the first set-up finishes and the second leaves alone. */
function surfacesOf({ run, stock, view, count, kept, made }: Sought): Surface[] {
  const isKept = ({ inside, from, end }: Surface) => !inside && kept.some(({ z0, z1 }) => z0 < end && z1 > from);
  // Its first end looks into the chuck now.
  const work = view.steps.map(({ diameter, zFrom }, index) => ({
    diameter: index < count ? diameter.nominal : stock.over,
    to: view.length - zFrom,
  }));
  const goesOut = (path: string) => !made.includes(path);
  const bored = throughBores(view, goesOut, view.length, stock, run.shop.allowances.closest);
  const most = view.length - jawsFromAtLeast([...work, ...bored], run.shop.machine);
  return finishedSurfaces(run, view, count, stock.asDrawn, made)
    .filter((finishedSurface) => !isKept(finishedSurface))
    .map((surface) => (surface.inside ? surface : { ...surface, end: Math.min(surface.end, most) }))
    .filter(({ from, end }) => end > from);
}

function candidatesOf(surfaces: readonly Surface[], sought: Sought): SecondCandidate[] {
  const { run, view, ties, boresLater, facing, kept } = sought;
  return surfaces.flatMap((surface) => {
    const { diameter, from, end, gaps, inside } = surface;
    return (
      // On the wrong side of the wall it is no holding at all.
      candidatesFor(surface, run, ties, run.quantity, inside ? [mandrel] : outsideKinds).map(
        ({ kind, figures, against, untrue, minutes }): SecondCandidate => {
          const length = Math.min(end - from, figures.length);
          // In a bore it stands out from where that is held.
          const out = Math.max(0, view.length + facing - (inside ? length : end));
          return {
            surface,
            kind,
            figures,
            untrue,
            minutes,
            against: against ?? (inside && boresLater ? 'the second side works in the hole' : undefined),
            length: length - gaps,
            needed: gripNeeded(run, kind.kind, diameter, isBorne({ kind, surface }, out, run) ? 0 : out),
            easy:
              !surface.close &&
              length - gaps >= easyGrip(run, diameter) - CLOSE &&
              (inside || standsByItself(run, out, diameter)),
            slender: (view.length - (inside ? length : end)) / diameter,
            hides: inside ? 0 : kept.filter(({ z0 }) => z0 < end - CLOSE).length,
          };
        },
      )
    );
  });
}

/** A bore, a thread, a knurl, or a diameter with grooves in it is held by only where no plain one is, even a close one. */
const carries = ({ inside, thread, knurl, gaps, close }: Surface): number =>
  inside || thread || knurl || gaps > 0 ? 2 : close ? 1 : 0;

/**
 * What leaves everything to be made first, then what is true enough, then what is easily held, then a plain diameter, then
 * what leaves least standing out, then the quickest over the batch.
 */
const better = (a: SecondCandidate, b: SecondCandidate): number =>
  a.hides - b.hides ||
  a.untrue.length - b.untrue.length ||
  Number(b.easy) - Number(a.easy) ||
  carries(a.surface) - carries(b.surface) ||
  (Math.abs(a.slender - b.slender) > 1e-9 ? a.slender - b.slender : a.minutes - b.minutes);

/** Of what could hold it, the best first: then those that are tried beside it, the two next and the quickest of the others. */
function rankedOf(able: readonly SecondCandidate[], { before }: Sought): SecondCandidate[] {
  const minutes = ({ kind, surface, minutes: whole, figures }: SecondCandidate) =>
    whole - (isReady({ kind: kind.kind, diameter: surface.diameter }, before) ? figures.change : 0);
  return [...able.slice(0, 3), ...able.slice(3).toSorted((a, b) => minutes(a) - minutes(b))];
}

const isLong = ({ length, needed }: SecondCandidate): boolean => length >= needed - CLOSE;

/** Why a holding is taken, in words. */
function reasonsOf(candidate: Candidate, { run, ties }: Sought, isDecided: boolean): Reason[] {
  const { kind, surface } = candidate;
  const held = `Held on the finished ${surface.name} ${kind.words}`;
  const because = isDecided
    ? `${held}: so decided.`
    : `${held}: long enough, and it leaves least standing out.${kind.marks ? '' : ' It marks nothing.'}`;
  return [
    { rule: 'GRIP-LEFT', because: kind.mind ? `${because} ${kind.mind(surface)}` : because },
    ...servedBy(candidate, ties, 'what the first set-up made', run),
  ];
}

/**
 * What holds the part for its second side (trade: Holding): never a thread, a knurl, a fit or a thin wall bare; as true as
 * the drawing asks; else what leaves least standing out and is quickest.
 * @param rank which of all that could be, the best being 0
 * @returns the holding with z of the second set-up, or why nothing holds it
 */
export function secondHolding(sought: Sought, rank = 0): Result<Held & Pick<SecondCandidate, 'easy'>> {
  const { run, view } = sought;
  const { units } = run;
  const surfaces = surfacesOf(sought);
  const all = candidatesOf(surfaces, sought);
  const long = all.filter(isLong).sort(better);
  const able = long.filter(({ against }) => against === undefined);
  const { chosen, taken } = decidedHolding(
    run,
    2,
    long,
    'Nothing that the first set-up finishes is of its size and long enough for it.',
  );
  // Of several stretches of one surface the best.
  const distinct = able.filter(
    (candidate, index) =>
      able.findIndex((one) => one.kind === candidate.kind && one.surface.path === candidate.surface.path) === index,
  );
  const best = chosen ?? rankedOf(distinct, sought)[rank];
  if (!best && rank > 0) return refuse('part.outside', 'nothing else holds it for its second side');
  if (!best) {
    const [spoilt] = long;
    const widest = all.toSorted((a, b) => b.length - b.needed - (a.length - a.needed))[0];
    const words = spoilt
      ? `: ${spoilt.surface.name} is long enough, but ${spoilt.kind.words} ${spoilt.against}`
      : widest
        ? `: the best is ${sayDiameter(widest.surface.diameter, units)} with ${say(Math.max(0, widest.length), units)} of ${say(widest.needed, units)} needed`
        : '';
    return refuse(
      'part.outside',
      `nothing finished in the first set-up is long enough to hold the part by for its second side${words}; from sawn blanks a spigot can be left on for it, as long as the shop says under Lengths`,
    );
  }
  const { surface, kind, figures, untrue } = best;
  const { diameter, inside, end, path } = surface;
  // On a mandrel the bore says how far it stands out.
  const stands = view.length - end + sought.facing;
  const whole = end - surface.from;
  const back = inside ? 0 : heldBack(run, 2, stands, whole - surface.gaps - best.needed);
  const length = Math.min(whole - back, figures.length);
  return good({
    holding: {
      kind: kind.kind,
      words: kind.words,
      grip: path,
      on: surface.on,
      diameter,
      // On a mandrel nothing covers the outside: the face itself stands against its shoulder.
      from: inside ? view.length : view.length - end + back,
      to: inside ? view.length : view.length - end + back + length,
      ...(inside ? { inside: length } : {}),
      ...(isSeated(best) ? { seated: true } : {}),
      runOut: figures.runOut,
      ...(figures.over === undefined ? {} : { over: figures.over }),
      load: figures.load,
      change: figures.change,
      ...(figures.kept ? { kept: figures.kept } : {}),
    },
    reasons: reasonsOf(best, sought, chosen !== undefined),
    untrue,
    easy: best.easy,
    taken,
    others: distinct.map((candidate) => ({
      kind: candidate.kind.kind,
      grip: candidate.surface.path,
      name: candidate.surface.name,
    })),
  });
}
