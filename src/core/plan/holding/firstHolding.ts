import { FLATS } from '../../model/shop/section';
import type { Stock } from '../../model/plan/stock';
import type { Feature } from '../../model/part/feature';
import type { Tie } from '../../model/part/part';
import { radiusAt } from '../../model/workpiece/profile';
import { good, refuse, type Result } from '../../model/result';
import type { Run } from '../../model/run';
import { say, sayDiameter, type Reason } from '../../model/words';
import { candidatesFor, decidedHolding, servedBy, type Candidate, type Held } from './means/candidate';
import { holdingKinds } from './means';
import type { HoldingKind, Surface } from './means/holding';
import { threeJaw } from './means/threeJaw';
import { shortestGrip } from '../cutting/grip';
import { CLOSE } from '../../model/tolerances';

interface Sought {
  run: Run;
  stock: Stock;
  /** Over what the jaws close; of a piece as it arrives another at every place. */
  diameter: number;
  /** Where the jaws begin, and up to where there is stock for them, mm. */
  from: number;
  end: number;
  /** Run-out asked between the bar's own skin and what this set-up makes. */
  ties: readonly Tie[];
  /** The means that holds the second side too, where that is taken for both. */
  alike?: string;
}

/** Four jaws that close together hold a square as quickly as three hold a round. */
const fourTogether: HoldingKind = {
  ...threeJaw,
  kind: '4-jaw',
  words: 'in a four-jaw chuck',
  against: () => undefined,
};

/** What is cut into a piece as it arrives where it has a diameter. */
const cutInto = ({ piece }: Stock, diameter: number): Feature[] =>
  (piece?.features ?? []).filter(
    ({ bore, z0, z1 }) => !bore && Math.abs(2 * radiusAt(piece?.outside ?? [], (z0 + z1) / 2) - diameter) < CLOSE,
  );

/** The stock as something to hold. */
function surfaceOf({ run, stock, diameter, from, end }: Sought): Surface {
  const { part, shop } = run;
  const name = stock.blade ? 'the bar' : stock.piece ? 'the piece' : 'the blank';
  const flats = FLATS[stock.form];
  return {
    path: 'stock',
    name,
    on: name,
    diameter,
    from,
    end,
    gaps: 0,
    close: false,
    inside: false,
    fit: part.steps.some(
      ({ path, critical, diameter: { nominal, from: limits } }) =>
        stock.asDrawn.includes(path) && Math.abs(nominal - diameter) < CLOSE && (critical || limits !== 'general'),
    ),
    thread: cutInto(stock, diameter).some(({ thread }) => thread),
    knurl: cutInto(stock, diameter).some(({ knurl }) => knurl),
    ...(flats > 0 ? { flats } : {}),
    thin: stock.bore > 0 && (stock.size - stock.bore) / 2 / stock.size < shop.cutting.thinWall,
    raw: shop.allowances.skin[stock.condition] > 0,
  };
}

const kindsFor = ({ form }: Stock): readonly HoldingKind[] => (form === 'square' ? [fourTogether] : holdingKinds);

/** Means that take the stock of a run. */
export const takersOf = (run: Run, stock: Stock, diameter: number): HoldingKind[] =>
  candidatesFor(surfaceOf({ run, stock, diameter, from: 0, end: 0, ties: [] }), run, [], 1, kindsFor(stock)).flatMap(
    ({ kind, against }) => (against === undefined ? [kind] : []),
  );

/** Whether a piece of unknown make is bored: its wall is even only where it runs true by what stays of it. */
const isDialled = ({ run, stock }: Sought): boolean =>
  stock.piece?.grade !== undefined &&
  [...run.part.holes, ...run.part.features.filter(({ bore }) => bore)].some(
    ({ path }) => !stock.asDrawn.includes(path),
  );

const better =
  (sought: Sought) =>
  (a: Candidate, b: Candidate): number =>
    a.untrue.length - b.untrue.length ||
    (isDialled(sought) ? a.figures.runOut - b.figures.runOut : 0) ||
    a.minutes - b.minutes;

function reasonsOf(candidate: Candidate, sought: Sought, isDecided: boolean): Reason[] {
  const { run, ties } = sought;
  const { kind, figures, surface } = candidate;
  const held = `${surface.name.replace(/^t/, 'T')} ${kind.words}`;
  const why = isDecided
    ? 'so decided'
    : isDialled(sought)
      ? 'of unknown make and bored: the truest there is, so that its wall is even'
      : kind.kind === sought.alike
        ? 'it holds the second side too, and nothing is changed between them'
        : `of what holds it, the quickest over the batch`;
  const marks = kind.marks ? '' : ' It marks nothing.';
  return [
    { rule: 'HOLDING', because: `${held}: ${why}; its run-out is ${say(figures.runOut, run.units)}.${marks}` },
    ...servedBy(candidate, ties, 'the bar’s own skin', run),
  ];
}

/** Why a means does not grip a blank long enough. */
function tooShort({ kind }: Candidate, { run, stock, diameter, from, end }: Sought): string | undefined {
  if (stock.blade || end - from >= shortestGrip(kind.kind, diameter, run.shop.cutting) - CLOSE) return undefined;
  return `grips no less than ${say(shortestGrip(kind.kind, diameter, run.shop.cutting), run.units)}`;
}

/**
 * What holds the stock while the first side is made (trade: Holding): as true as the drawing asks to what stays as drawn,
 * else the quickest over the batch.
 * @returns the holding with z of the first set-up, or why nothing takes the stock
 */
export function firstHolding(sought: Sought): Result<Held> {
  const { run, stock, diameter, from, end, ties } = sought;
  const loads = stock.blade ? stock.bars.value : run.quantity;
  const surface = surfaceOf(sought);
  const all = candidatesFor(surface, run, ties, loads, kindsFor(stock))
    .map((candidate) => ({ ...candidate, against: candidate.against ?? tooShort(candidate, sought) }))
    .sort(better(sought));
  const able = all.filter(({ against }) => against === undefined);
  const { chosen, taken } = decidedHolding(run, 1, all, `Nothing of that kind takes ${surface.name}.`);
  const alike = isDialled(sought) ? undefined : able.find(({ kind }) => kind.kind === sought.alike);
  const best = chosen ?? alike ?? able[0];
  if (!best) {
    const [spoilt] = all;
    return refuse(
      'stock',
      `nothing here holds a bar of ${sayDiameter(diameter, run.units)}${spoilt ? `: ${spoilt.kind.words} ${spoilt.against}` : ''}`,
      'stock',
    );
  }
  const { kind, figures } = best;
  return good({
    holding: {
      kind: kind.kind,
      words: kind.words,
      grip: 'stock',
      on: surface.on,
      diameter,
      from,
      to: stock.blade ? Math.max(end, from + figures.length) : end,
      runOut: figures.runOut,
      ...(figures.over === undefined ? {} : { over: figures.over }),
      load: figures.load,
      change: figures.change,
      ...(figures.kept ? { kept: figures.kept } : {}),
    },
    reasons: reasonsOf(best, sought, chosen !== undefined),
    untrue: best.untrue,
    taken,
    others: able.map((candidate) => ({ kind: candidate.kind.kind, grip: 'stock', name: surface.name })),
  });
}
