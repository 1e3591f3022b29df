import type { Bar, BarOnSale, Piece } from '../../model/plan/stock';
import { figure, term } from '../../model/figure';
import type { Feature } from '../../model/part/feature';
import type { Part, Step } from '../../model/part/part';
import { isCutInto, isSame } from '../../model/plan/isCutInto';
import type { Size } from '../../model/part/size';
import { refuse, good, type Result } from '../../model/result';
import type { Run } from '../../model/run';
import { CLOSE } from '../../model/tolerances';
import { say, sayDiameter, type Reason } from '../../model/words';
import { finishedPart, isBlank, withBlanks } from '../../model/workpiece/finishedPart';
import { radiusAt } from '../../model/workpiece/profile';
import type { Profile } from '../../model/workpiece/segment';
import { thinnestCut } from './bar';

/** Where either of two profiles changes between two places, each a hair to both sides. */
function places(a: Profile, b: Profile, from: number, to: number): number[] {
  const edges = [from, to, ...[...a, ...b].flatMap(({ z0, z1 }) => [z0, z1])];
  return edges.flatMap((z) => [z - CLOSE, z + CLOSE]).filter((z) => z > from && z < to);
}

/** Whether a surface of the piece is all along at a radius already. */
const isAt = (profile: Profile, from: number, to: number, radius: number): boolean =>
  places(profile, [], from, to).every((z) => Math.abs(radiusAt(profile, z) - radius) < CLOSE);

/** Whether a hole of the piece is as wide as one of the drawing all along; where the drawing has it wider, at least so. */
const isOpenAt = (bore: Profile, drawn: Profile, from: number, to: number, radius: number): boolean =>
  places(bore, drawn, from, to).every((z) => {
    const wider = radiusAt(bore, z) - radius;
    return Math.abs(wider) < CLOSE || (wider > 0 && radiusAt(drawn, z) > radius + CLOSE);
  });

/** Steps, straight holes, threads and the like of the drawing that a piece has already (paths). */
function thereAlready(piece: Piece, part: Part): string[] {
  const { outside, bore } = piece;
  // At its nominal size a close fit may be outside of its own limits.
  const isWithin = ({ lower, upper }: Size) => lower <= CLOSE && upper >= -CLOSE;
  const isThere = (step: Step) => {
    const { zFrom, zTo, diameter } = step;
    if (!isBlank(part, step)) return isWithin(diameter) && isAt(outside, zFrom, zTo, diameter.nominal / 2);
    // What a thread was cut on lies anywhere within its limits.
    return places(outside, [], zFrom, zTo).every((z) => {
      const off = 2 * radiusAt(outside, z) - diameter.nominal;
      return off > diameter.lower - CLOSE && off < diameter.upper + CLOSE;
    });
  };
  const steps = part.steps.filter(isThere);
  const drawn = finishedPart(withBlanks(part)).bore;
  const holes = part.holes.filter(({ through, from, depth, diameter }) =>
    isOpenAt(
      bore,
      drawn,
      through || from === 'front' ? 0 : part.length - depth,
      through || from === 'back' ? part.length : depth,
      diameter.nominal / 2,
    ),
  );
  const bored = part.features.filter(
    ({ bore: cut, size, z0, z1 }) =>
      cut?.length === 1 && size && isWithin(size) && isAt(bore, z0, z1, size.nominal / 2),
  );
  const cut = part.features.filter((feature) => !feature.bore && isCutInto(piece, feature));
  return [...steps, ...holes, ...bored, ...cut].map(({ path }) => path);
}

/** Threads and knurls of a piece: they leave the metal as wide as it was. */
const marksOf = ({ features }: Piece): Feature[] =>
  features.filter(({ bore, thread, knurl }) => !bore && (thread !== undefined || knurl !== undefined));

/** Where metal of the drawing is not there: outside less of it, or a hole wider. */
function missingMetal({ outside, bore }: Piece, { part, units }: Run): Result<null> {
  const drawn = finishedPart(withBlanks(part, ({ nominal, lower }) => nominal + lower));
  const thin = places(outside, drawn.outside, 0, part.length).find(
    (z) => radiusAt(outside, z) < radiusAt(drawn.outside, z) - CLOSE,
  );
  if (thin !== undefined)
    return refuse(
      'stock.outside',
      `${say(Number(thin.toFixed(2)), units)} behind the front face the piece is ${sayDiameter(Number((2 * radiusAt(outside, thin)).toFixed(3)), units)}, and the drawing wants ${sayDiameter(Number((2 * radiusAt(drawn.outside, thin)).toFixed(3)), units)}`,
    );
  const wide = places(bore, drawn.bore, 0, part.length).find(
    (z) => radiusAt(bore, z) > radiusAt(drawn.bore, z) + CLOSE,
  );
  if (wide !== undefined)
    return refuse(
      'stock.bores',
      `${say(Number(wide.toFixed(2)), units)} behind the front face the hole of the piece is ${sayDiameter(Number((2 * radiusAt(bore, wide)).toFixed(3)), units)}, and the drawing wants ${sayDiameter(Number((2 * radiusAt(drawn.bore, wide)).toFixed(3)), units)}`,
    );
  return good(null);
}

/**
 * Whether a part can be made from a piece as it arrives, and what of it is there already (trade: Stock): only what differs
 * from the drawing is made, and that must clean up.
 */
export function assessPiece(run: Run, bar: BarOnSale & { piece: Piece }): Result<Bar> {
  const { part, shop, units } = run;
  const { piece, condition, size } = bar;
  const enough = missingMetal(piece, run);
  if (!enough.ok) return enough;
  const there = thereAlready(piece, part);
  const other = part.steps.find(({ keep, path }) => keep && !there.includes(path));
  if (other)
    return refuse('stock.outside', `${other.name ?? 'a step'} stays as it came, and the piece has another size there`);
  const strange = marksOf(piece).find(
    (mark) =>
      !part.features.some((feature) => isSame(feature, mark)) &&
      part.steps.some(({ path, zFrom, zTo }) => there.includes(path) && zFrom < mark.z1 && zTo > mark.z0),
  );
  if (strange) return refuse('stock.details', `${strange.name} is on a surface that stays, and the drawing has it not`);
  const skin = shop.allowances.skin[condition];
  // A skin may lie as far out of true as the chuck holds it.
  const least = skin > 0 ? skin + shop.machine.jaws.runOut / 2 : thinnestCut(run);
  const tight = part.steps.find(
    ({ path, zFrom, zTo, diameter }) =>
      !there.includes(path) &&
      places(piece.outside, [], zFrom, zTo).some(
        (z) => radiusAt(piece.outside, z) - diameter.nominal / 2 < least - CLOSE,
      ),
  );
  if (tight)
    return refuse(
      'stock.outside',
      `${tight.name ?? sayDiameter(tight.diameter.nominal, units)} does not clean up: ${say(Number(least.toFixed(3)), units)} a side are needed`,
    );
  const reasons: Reason[] = [
    { rule: 'STOCK-SIZE', because: 'The piece as it arrives: only what differs from the drawing is made.' },
    ...(there.length > 0
      ? [
          {
            rule: 'AS-DRAWN',
            because: `${there.length === 1 ? 'One surface is' : `${there.length} surfaces are`} there already, and ${there.length === 1 ? 'stays' : 'stay'}.`,
          },
        ]
      : []),
  ];
  return good({
    ...bar,
    over: size,
    need: figure({
      name: 'on a side that is turned, at least',
      unit: 'mm',
      value: least,
      formula: 's',
      terms: [
        term(
          's',
          skin > 0 ? 'skin, and half the run-out' : 'thinnest cut of the finishing edge',
          least,
          'mm',
          'computed',
        ),
      ],
    }),
    asDrawn: there,
    reasons,
  });
}
