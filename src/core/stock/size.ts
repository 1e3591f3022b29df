import { figure, term, type Figure } from '../figure';
import { largestDiameter } from '../part/part';
import { standardTolerance } from '../part/tolerance';
import { bad, good, refuse, type Result } from '../result';
import type { Run } from '../run';
import type { BarCondition } from '../shop/shop';
import { parseLength } from '../units/length';
import { say, sayDiameter, type Reason } from '../words';

/** A bar that the part can be made from. */
export interface Bar {
  size: number;
  condition: BarCondition;
  barLength: number;
  /** The smallest bar that cleans up, with its working. */
  need: Figure;
  /** Steps that stay as the bar was drawn (paths). */
  asDrawn: string[];
  reasons: Reason[];
}

/** The smallest bar that cleans up (handbook 3), and never so little on it that the edge only rubs. */
export function smallestBar(run: Run, condition: BarCondition): Figure {
  const { shop, part } = run;
  const thinnest = Math.max(
    0,
    ...shop.tools.filter(({ does }) => does.includes('turn-finish')).map(({ thinnestCut }) => thinnestCut ?? 0),
  );
  const [largest, skin, runOut] = [largestDiameter(part), shop.allowances.skin[condition], shop.machine.jaws.runOut];
  return figure({
    name: 'smallest bar that cleans up',
    unit: 'mm',
    value: Math.max(largest + 2 * skin + runOut, largest + 2 * thinnest),
    formula: 'max(D + 2 · s + r, D + 2 · t)',
    terms: [
      term('D', 'largest diameter', largest, 'mm', 'drawing'),
      term('s', `skin of ${condition} bar, per side`, skin, 'mm', 'start value'),
      term('r', 'run-out of the three-jaw chuck', runOut, 'mm', 'machine'),
      term('t', 'thinnest cut of the finishing edge', thinnest, 'mm', 'tool'),
    ],
  });
}

/** The steps that a bar of this size leaves as they are: its tolerance lies within theirs, and nobody calls them critical. */
export function stepsAsDrawn({ part, shop }: Run, size: number, condition: BarCondition): string[] {
  if (size < largestDiameter(part) - 0.001) return [];
  const grade = shop.allowances.barGrade[condition];
  const tolerance = grade === undefined ? undefined : standardTolerance(grade, size);
  const atSize = part.steps.filter(({ diameter }) => Math.abs(diameter.nominal - size) < 0.001);
  const serves = atSize.every(
    ({ diameter, critical }) =>
      !critical && tolerance !== undefined && -tolerance >= diameter.lower - 1e-9 && diameter.upper >= 0,
  );
  return serves ? atSize.map(({ path }) => path) : [];
}

function assess(run: Run, bar: Pick<Bar, 'size' | 'condition' | 'barLength'>): Bar | Reason {
  const { units, shop } = run;
  const need = smallestBar(run, bar.condition);
  const asDrawn = stepsAsDrawn(run, bar.size, bar.condition);
  const lost = (because: string): Reason => ({
    rule: 'STOCK-SIZE',
    because: `${sayDiameter(bar.size, units)} ${bar.condition}: ${because}`,
  });
  if (bar.size > shop.machine.swing)
    return lost(`does not swing over the cross-slide (${say(shop.machine.swing, units)})`);
  if (bar.size > shop.machine.jaws.upTo)
    return lost(`does not go into the chuck (${say(shop.machine.jaws.upTo, units)})`);
  if (asDrawn.length > 0)
    return {
      ...bar,
      need,
      asDrawn,
      reasons: [
        {
          rule: 'AS-DRAWN',
          because: `The bar is the size of the largest diameter, and its tolerance is within the drawing's: it stays as drawn.`,
        },
      ],
    };
  if (bar.size < need.value - 1e-9)
    return lost(`will not clean up; ${say(need.value, units)} is the smallest that does`);
  return {
    ...bar,
    need,
    asDrawn,
    reasons: [
      {
        rule: 'STOCK-SIZE',
        because: `The smallest bar in the list that cleans up; ${say(need.value, units)} is needed.`,
      },
    ],
  };
}

const isBar = (outcome: Bar | Reason): outcome is Bar => 'size' in outcome;

/**
 * The bar for a run: the one it names, if the part can be made from it; else the lightest of the shop's list that
 * cleans up, drawn before hot-rolled when they are equal. The nearest that lost says why.
 */
export function chooseBar(run: Run): Result<Bar> {
  const { shop, stock, units } = run;
  if (stock !== 'choose') {
    const outcome = assess(run, stock);
    return isBar(outcome)
      ? good({
          ...outcome,
          reasons: [
            { rule: 'STOCK-SIZE', because: 'Named by the run.' },
            ...outcome.reasons.filter(({ rule }) => rule === 'AS-DRAWN'),
          ],
        })
      : refuse('stock.size', outcome.because);
  }
  const outcomes = shop.material.bars
    .filter((list) => list.units === units)
    .flatMap((list) => {
      const barLength = parseLength(list.barLength, units);
      return list.sizes.map((entry) => ({ size: parseLength(entry, units), condition: list.condition, barLength }));
    })
    .flatMap(({ size, condition, barLength }) =>
      size.ok && barLength.ok ? [assess(run, { size: size.value, condition, barLength: barLength.value })] : [],
    );
  const serving = outcomes.filter(isBar).sort((a, b) => a.size - b.size);
  const best = serving[0];
  const lost = outcomes.filter((outcome): outcome is Reason => !isBar(outcome));
  if (!best)
    return bad({
      path: 'part.outside',
      message:
        lost.length === 0
          ? `the shop lists no ${shop.material.name} bar in ${units} sizes; name the stock`
          : `no bar in the list will do: ${lost.at(-1)?.because}`,
    });
  const dearer = serving.slice(1, 3).map((bar): Reason => ({
    rule: 'RUNNER-UP',
    because: `${sayDiameter(bar.size, units)} ${bar.condition} would do too, and is heavier by ${Math.round(100 * ((bar.size / best.size) ** 2 - 1))} %.`,
  }));
  return good({
    ...best,
    reasons: [...best.reasons, ...dearer, ...lost.filter(({ because }) => because.includes('clean up')).slice(-1)],
  });
}
