import { FLATS, overCorners } from '../../model/shop/section';
import type { BarOnSale, Bar } from '../../model/plan/stock';
import { figure, term, type Figure } from '../../model/figure';
import type { Part, Step } from '../../model/part/part';
import { goesThrough } from '../reach/reached';
import type { Size } from '../../model/part/size';
import { standardTolerance } from '../../model/part/tolerance';
import { finishedPart } from '../../model/workpiece/finishedPart';
import type { Run } from '../../model/run';
import type { BarCondition } from '../../model/shop/shop';
import { say, type Reason } from '../../model/words';
import { nameOfBar } from './nameOfBar';
import { CLOSE } from '../../model/tolerances';

const largestOf = (steps: Step[]) => Math.max(0, ...steps.map(({ diameter }) => diameter.nominal));

/** What the finishing edge must have to cut at all. */
export const thinnestCut = ({ shop }: Run): number =>
  Math.max(
    0,
    ...shop.tools.filter(({ does }) => does.includes('turn-finish')).map(({ thinnestCut: thin }) => thin ?? 0),
  );

/**
 * The smallest bar that cleans up (trade: Stock), and never so little on it that the edge only rubs; of a hexagon or a
 * square, across its flats.
 */
export function smallestBar(run: Run, condition: BarCondition, steps: Step[] = run.part.steps): Figure {
  const { shop } = run;
  const [largest, skin, runOut] = [largestOf(steps), shop.allowances.skin[condition], shop.machine.jaws.runOut];
  const thinnest = thinnestCut(run);
  return figure({
    name: 'smallest bar that cleans up',
    unit: 'mm',
    value: Math.max(largest + 2 * skin + runOut, largest + 2 * thinnest),
    formula: 'max(D + 2 · s + r, D + 2 · t)',
    terms: [
      term('D', 'largest diameter', largest, 'mm', 'drawing'),
      term('s', `skin of ${condition} bar, per side`, skin, 'mm', 'start value'),
      term('r', 'run-out of the chuck', runOut, 'mm', 'machine'),
      term('t', 'thinnest cut of the finishing edge', thinnest, 'mm', 'tool'),
    ],
  });
}

/** Whether a bar is sold closely enough for a size of the drawing to stay as it is. */
function closeEnough(
  run: Run,
  condition: BarCondition,
  size: { nominal: number; lower: number; upper: number },
): boolean {
  const grade = run.shop.allowances.barGrade[condition];
  const tolerance = grade === undefined ? undefined : standardTolerance(grade, size.nominal);
  return tolerance !== undefined && -tolerance >= size.lower - 1e-9 && size.upper >= 0;
}

/** The steps that a bar leaves as they are: its tolerance lies within theirs, and nobody calls them critical. */
export function stepsAsDrawn(
  run: Run,
  { form, size, condition }: Pick<BarOnSale, 'form' | 'size' | 'condition'>,
): string[] {
  const { part } = run;
  if (FLATS[form] > 0) {
    const flats = part.features.filter(
      (feature) => feature.kind === form && feature.size && Math.abs(feature.size.nominal - size) < CLOSE,
    );
    const serves = flats.every(({ size: across }) => across && closeEnough(run, condition, across));
    return serves ? flats.map(({ path }) => path) : [];
  }
  if (size < largestOf(part.steps) - CLOSE) return [];
  const atSize = part.steps.filter(({ diameter }) => Math.abs(diameter.nominal - size) < CLOSE);
  const serves = atSize.every(
    ({ diameter, critical, keep, path }) =>
      keep === true ||
      (!critical && !part.features.some((feature) => feature.path === path) && closeEnough(run, condition, diameter)),
  );
  return serves ? atSize.map(({ path }) => path) : [];
}

/** The smallest diameter of a hole that goes all the way; undefined for a part that is solid somewhere. */
export function openTo(part: Part): number | undefined {
  const least = Math.min(...finishedPart(part).bore.flatMap(({ r0, r1 }) => [r0, r1]));
  return least > CLOSE ? 2 * least : undefined;
}

/** What a tube's bore does for the part: nothing to drill there, or why it is of no use. */
function tubeFits(
  run: Run,
  { bore, condition }: BarOnSale,
  open: number | undefined,
): { asDrawn: string[] } | { because: string } {
  const { part, units } = run;
  if (open === undefined) return { because: 'the part is not hollow all the way' };
  const isSame = ({ nominal, from }: Size) =>
    Math.abs(nominal - bore) < CLOSE && from === 'general' && condition === 'drawn';
  const same = [
    ...part.holes.filter(({ through, diameter }) => through && isSame(diameter)),
    ...part.features.filter(
      (feature) => feature.kind === 'bore' && feature.size && goesThrough(feature, part) && isSame(feature.size),
    ),
  ];
  if (same.length > 0 && Math.abs(open - bore) < CLOSE) return { asDrawn: same.map(({ path }) => path) };
  const most = open - 2 * thinnestCut(run) - run.shop.machine.jaws.runOut;
  return bore <= most + 1e-9
    ? { asDrawn: [] }
    : {
        because: `its bore does not clean up to ${say(open, units)}; ${say(Number(most.toFixed(3)), units)} is the largest that does`,
      };
}

/** The rule by which a bar is too small; what the machine does not take, or a tube that does not fit, is another. */
export const TOO_SMALL = 'STOCK-SIZE';

/**
 * Whether the part can be made from a bar, and what stays of it as drawn.
 * @param open the diameter to which the part is hollow all the way (`openTo`)
 * @returns the bar, or why it will not do
 */
export function assessBar(run: Run, bar: BarOnSale, open: number | undefined): Bar | Reason {
  const { units, shop, part } = run;
  const over = overCorners(bar.form, bar.size);
  const lost = (because: string, rule = 'STOCK-TAKES'): Reason => ({
    rule,
    because: `${nameOfBar(bar, units)}: ${because}`,
  });
  if (over > shop.machine.swing) return lost(`does not swing over the cross-slide (${say(shop.machine.swing, units)})`);
  if (over > shop.machine.jaws.upTo) return lost(`does not go into the chuck (${say(shop.machine.jaws.upTo, units)})`);
  const inside = bar.form === 'tube' ? tubeFits(run, bar, open) : { asDrawn: [] };
  if ('because' in inside) return lost(inside.because);
  const asDrawn = stepsAsDrawn(run, bar);
  const kept = part.steps.find(({ keep, path }) => keep && !asDrawn.includes(path));
  if (kept) return lost(`${kept.name ?? 'a step'} stays as it came, and is of another size`);
  const turned = part.steps.filter(({ path }) => !asDrawn.includes(path));
  const need = smallestBar(run, bar.condition, FLATS[bar.form] > 0 || asDrawn.length === 0 ? turned : part.steps);
  const roundAsDrawn = asDrawn.length > 0 && FLATS[bar.form] === 0;
  if (!roundAsDrawn && turned.length > 0 && bar.size < need.value - 1e-9)
    return lost(`will not clean up; ${say(Number(need.value.toFixed(3)), units)} is the smallest that does`, TOO_SMALL);
  const words =
    FLATS[bar.form] > 0
      ? `Its flats are the drawing's, and its tolerance is within theirs: they stay as drawn.`
      : `The bar is the size of the largest diameter, and its tolerance is within the drawing's: it stays as drawn.`;
  return {
    ...bar,
    over,
    need,
    asDrawn: [...asDrawn, ...inside.asDrawn],
    reasons: [
      asDrawn.length > 0
        ? { rule: 'AS-DRAWN', because: words }
        : { rule: 'STOCK-SIZE', because: `It cleans up; ${say(Number(need.value.toFixed(3)), units)} is needed.` },
      ...(inside.asDrawn.length > 0
        ? [{ rule: 'AS-DRAWN', because: 'The bore of the tube is the hole of the drawing: nothing to drill.' }]
        : []),
    ],
  };
}

/** Whether a bar was found to do. */
export const serves = (outcome: Bar | Reason): outcome is Bar => 'size' in outcome;
