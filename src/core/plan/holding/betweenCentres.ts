import type { Stock } from '../../model/plan/stock';
import { sum, term } from '../../model/figure';
import { isHolding } from '../../model/overrule';
import { turnRound, type Part } from '../../model/part/part';
import { good, refuse, type Result } from '../../model/result';
import type { Run } from '../../model/run';
import { say, sayDiameter, type Caution } from '../../model/words';
import { chamferedIn, edgeFacingJaws, splits, turnedSteps } from './division';
import { centred, common } from './centring';
import { betweenCentres as means } from './means/betweenCentres';
import type { HoldingFigures } from './means/holding';
import { reachedFeatures } from '../reach/reached';
import type { Setup, WorkHolding } from '../../model/plan/setup';
import { setupCautions } from './setupCautions';
import { supportOf } from './support';

/** The overrule that asks for it, by its place; −1 where there is none. */
export const askedFor = ({ overrules }: Run): number =>
  overrules.findIndex((overrule) => isHolding(overrule) && overrule.holding.kind === means.kind);

const heat: Caution = {
  kind: 'mistake',
  text: 'A hot part grows and pushes on the centre: ease and set it again before finishing. Both centres greased.',
};
const dog: Caution = {
  kind: 'danger',
  text: 'The dog and its screw turn with the work: guarded, nothing near them; its tail free in the driving plate.',
};

/** Whether the ends of a part may have centres at all, and the blank both of its ends. */
function hasBothEnds({ part, shop }: Run, stock: Stock): Result<HoldingFigures> {
  if (stock.blade) return refuse('way', 'between centres both ends must be free: from sawn blanks only');
  if (stock.spigot > 0 || stock.centreEnd > 0)
    return refuse('allowances', 'between centres nothing is left on the blank');
  if (stock.bore > 0 || part.holes.length > 0 || part.features.some(({ bore }) => bore))
    return refuse('part.bores', 'a hole on the axis takes the place of the centre');
  const figures = means.figures(shop);
  return figures ? good(figures) : refuse('machine', 'the shop has no figures for work between centres');
}

/** How many steps are turned from the front: as many as are clear of the dog there, the rest clear of it at the other end. */
function countFor({ part, shop }: Run, { asDrawn }: Stock, dogs: number): Result<number> {
  const counts = splits(part, asDrawn);
  if (!counts.ok) return counts;
  const { overrun, toolClearance } = shop.allowances;
  const most = part.length - dogs - toolClearance;
  const clear = (turned: { to: number }[]) => turned.every(({ to }) => to <= most + 1e-6);
  const back = turnRound(part);
  const count = counts.value.find(
    (fromFront) =>
      edgeFacingJaws(part, fromFront, asDrawn).ok &&
      clear(turnedSteps(part, fromFront, asDrawn, undefined, overrun)) &&
      clear(turnedSteps(back, part.steps.length - fromFront, asDrawn, undefined, overrun)),
  );
  return count === undefined
    ? refuse('part.outside', 'between centres the dog is in the way, whichever end it is on')
    : good(count);
}

/** The dog sits on a straight piece of the finished front, under soft sheet: on no thread, no knurl and no shoulder. */
function dogOn(
  front: Part,
  features: readonly string[],
  dogs: number,
  { units }: Run,
): Result<Pick<WorkHolding, 'grip' | 'on' | 'diameter'>> {
  const first = front.steps[0];
  const spoilt = front.features.find(
    ({ path, thread, knurl, outside, z0 }) => features.includes(path) && (thread || knurl || outside) && z0 < dogs,
  );
  if (spoilt) return refuse(spoilt.path, `between centres the dog would sit on the ${spoilt.name}`);
  if (!first || first.zTo < dogs)
    return refuse(
      first?.path ?? 'part.outside',
      `between centres the dog takes ${say(dogs, units)} of the front, and its first step is ${say(first?.zTo ?? 0, units)} long`,
    );
  const { nominal } = first.diameter;
  return good({ grip: first.path, on: sayDiameter(nominal, units), diameter: nominal });
}

/** What all of its set-ups share, and the figures of the means. */
interface Work {
  run: Run;
  stock: Stock;
  figures: HoldingFigures;
}

/** A side turned between the two centres, the dog on the other. */
function turned(
  work: Work,
  { number, part, steps }: { number: 3 | 4; part: Part; steps: number },
  on: Pick<WorkHolding, 'grip' | 'on' | 'diameter'>,
  earlier: readonly string[],
): Result<Setup> {
  const { run, stock, figures } = work;
  const { asDrawn } = stock;
  const dogs = figures.length;
  const turnedHere = turnedSteps(part, steps, asDrawn, undefined, run.shop.allowances.overrun);
  const dogAt = part.length - dogs;
  const length = term('L', 'between the two centres', part.length, 'mm', 'drawing');
  const whole = sum('between the centres', 'mm', [length]);
  const support = supportOf(run, whole.value, stock.over, dogAt - Math.max(0, ...turnedHere.map(({ to }) => to)));
  if (!support.ok) return support;
  const { rest } = support.value;
  const reached = reachedFeatures(part, { turned: turnedHere, asDrawn, jaws: dogAt });
  return good({
    ...common(work),
    number,
    side: number === 3 ? 1 : 2,
    end: number === 3 ? 'front' : 'back',
    part,
    holding: {
      kind: means.kind,
      words: means.words,
      ...on,
      from: dogAt,
      to: part.length,
      runOut: figures.runOut,
      load: figures.load,
      change: number === 3 ? figures.change : 0,
    },
    stickOut: sum('stick-out', 'mm', [length, term('d', 'taken by the dog, inwards', -dogs, 'mm', 'start value')]),
    facing: 0,
    behind: 0,
    turned: turnedHere,
    features: reached.filter((path) => !earlier.includes(path)),
    chamfered: chamferedIn(part, earlier),
    earlier: [...earlier],
    centres: false,
    supported: true,
    ...(rest ? { rest } : {}),
    reasons: [
      {
        rule: 'HOLDING',
        because: `Between centres: what is turned so, from either end, runs true to the same two holes within ${say(figures.runOut, run.units)}. The centre holes stay: see that the drawing allows them.`,
      },
      ...(rest ? support.value.reasons.filter(({ rule }) => rule === 'REST') : []),
    ],
    cautions: [...setupCautions(run, stock, { first: false, supported: false, rest }), dog, heat],
  });
}

/**
 * The set-ups of a part that is turned between centres (trade: Holding): each end faced and centred in the chuck, then one
 * side turned with the dog on the blank, and the other with the dog on what is finished, under soft sheet.
 * @returns the set-ups, or why it cannot be held so
 */
export function betweenCentres(run: Run, stock: Stock): Result<Setup[]> {
  const figures = hasBothEnds(run, stock);
  if (!figures.ok) return figures;
  const { part: front } = run;
  const back = turnRound(front);
  const dogs = figures.value.length;
  const count = countFor(run, stock, dogs);
  if (!count.ok) return count;
  const work: Work = { run, stock, figures: figures.value };
  const one = centred(work, {
    number: 1,
    end: 'front',
    part: front,
    facing: stock.frontFacing,
    behind: stock.backFacing,
  });
  if (!one.ok) return one;
  const two = centred(work, { number: 2, end: 'back', part: back, facing: stock.backFacing, behind: 0 });
  if (!two.ok) return two;
  const blank = { grip: 'stock', on: 'the blank', diameter: stock.over };
  const three = turned(work, { number: 3, part: front, steps: count.value }, blank, []);
  if (!three.ok) return three;
  const done = [...three.value.turned.map(({ path }) => path), ...three.value.features, ...three.value.chamfered];
  const on = dogOn(front, done, dogs, run);
  if (!on.ok) return on;
  const four = turned(work, { number: 4, part: back, steps: front.steps.length - count.value }, on.value, done);
  if (!four.ok) return four;
  const asked = askedFor(run);
  const taken = asked < 0 ? [] : [{ index: asked, state: 'kept' as const, breaks: [] }];
  const all = [one.value, two.value, { ...three.value, taken }];
  const isNeeded = four.value.turned.length + four.value.features.length + four.value.chamfered.length > 0;
  return good(isNeeded ? [...all, four.value] : all);
}
