import { sayFigure } from '../../model/units/mark';
import { FLATS } from '../../model/shop/section';
import { figure, term, type Figure, type Term } from '../../model/figure';
import type { Operation } from '../../model/plan/operation';
import type { Setup } from '../../model/plan/setup';
import { EDGES } from '../../model/shop/material';
import { notAbove, spindleSpeed } from './speed';
import { barSpeed } from './whip';

/** What a kind of operation, and what holds the work, are never run faster than. */
function mostOf({ kind }: Pick<Operation, 'kind'>, setup: Setup): Term[] {
  const { run, holding } = setup;
  const { mostSpeed, holdingSpeed } = run.shop.cutting;
  const bar = barSpeed(setup);
  const [forKind, forHolding] = [mostSpeed[kind], holdingSpeed[holding.kind]];
  return [
    ...(forKind === undefined
      ? []
      : [term('m', 'at most for this kind of operation', forKind, 'rev/min', 'start value')]),
    ...(forHolding === undefined ? [] : [term('h', `at most ${holding.words}`, forHolding, 'rev/min', 'start value')]),
    ...(bar ? [bar] : []),
  ];
}

/** What each limit is about, in words, but for that of what holds the work. */
const NEVER: Record<string, string> = { m: 'this kind of operation is', w: 'the bar behind the spindle is' };

/** Of a wanted speed and what it is at most, what the machine has; the limit that counts, where one does. */
function snapped(wanted: number, most: readonly Term[], { run }: Setup) {
  const limit = most.reduce<Term | undefined>(
    (least, next) => (next.value < (least?.value ?? wanted) ? next : least),
    undefined,
  );
  return { value: notAbove(run.shop.machine.speeds, limit?.value ?? wanted), limit };
}

const formulaOf = (wanted: string, most: readonly Term[]): string =>
  most.length > 0 ? `snap(min(${[wanted, ...most.map(({ symbol }) => symbol)].join(', ')}))` : `snap(${wanted})`;

/** The speed of a house that has fixed ones, where neither the operation nor what holds the work has a lower limit. */
function fixedSpeed(operation: Pick<Operation, 'kind' | 'tool'>, setup: Setup): Figure {
  const { cutting } = setup.run.shop;
  const fixed = cutting.fixedSpeed[operation.tool.mount === 'hand' ? 'byHand' : 'cutting'] ?? 0;
  const most = mostOf(operation, setup);
  return figure({
    name: 'spindle speed',
    unit: 'rev/min',
    value: snapped(fixed, most, setup).value,
    formula: formulaOf('s', most),
    terms: [term('s', 'fixed speed of the house', fixed, 'rev/min', 'house rule'), ...most],
    note: 'House rule: fixed speeds. See that the cutting speed reached suits the material.',
  });
}

/** A speed, and that the slowest of the machine is faster than was wanted. */
export type SpeedFigure = Figure & { tooFast?: true };

/**
 * The spindle speed of an operation on the diameter it cuts (trade: Cutting): cutting speed of material and edge, by the
 * factors that apply, then the machine's nearest not above.
 */
export function speedFor(
  operation: Pick<Operation, 'kind' | 'tool' | 'cutsAs'>,
  diameter: number,
  setup: Setup,
  atOverhang: boolean,
): SpeedFigure {
  const { material, cutting, houseRules } = setup.run.shop;
  if (houseRules.speed === 'fixed') return fixedSpeed(operation, setup);
  const factor = cutting.speedFactor[operation.cutsAs ?? operation.kind] ?? 1;
  const overhung =
    atOverhang && !setup.supported && setup.stickOut.value > cutting.overhangTimes * setup.holding.diameter;
  const sawn = operation.kind === 'face' && setup.stock.way === 'sawn-blanks';
  // A bar with flats knocks until it is round; one that stays as drawn is never turned there.
  const knocks = FLATS[setup.stock.form] > 0 && setup.holding.grip === 'stock' && diameter > setup.stock.size + 1e-6;
  const factors = [
    term('k', 'factor of this kind of operation', factor, '', 'start value' as const),
    ...(overhung
      ? [
          term(
            'o',
            `standing out more than ${sayFigure(cutting.overhangTimes)} times its diameter`,
            cutting.overhangFactor,
            '',
            'start value' as const,
          ),
        ]
      : []),
    ...(sawn || knocks
      ? [
          term(
            'i',
            knocks ? 'interrupted cut until it is round' : 'interrupted cut on a sawn face',
            cutting.interruptedFactor,
            '',
            'start value' as const,
          ),
        ]
      : []),
  ];
  const base = material.speed[operation.tool.edge];
  const wanted = spindleSpeed(
    factors.reduce((v, { value }) => v * value, base),
    diameter,
  );
  const most = mostOf(operation, setup);
  const { value, limit } = snapped(wanted, most, setup);
  const formula = `1000 · v · ${factors.map(({ symbol }) => symbol).join(' · ')} / (π · d)`;
  const found = figure({
    name: 'spindle speed',
    unit: 'rev/min',
    value,
    formula: formulaOf(formula, most),
    terms: [
      term('v', `cutting speed of ${material.name}, ${EDGES[operation.tool.edge]}`, base, 'm/min', 'material'),
      ...factors,
      term('d', 'diameter being cut', diameter, 'mm', 'computed'),
      ...most,
    ],
    note:
      wanted < value
        ? `The formula gives ${Math.round(wanted)}, below the slowest the machine has.`
        : `The formula gives ${Math.round(wanted)}; ${limit ? `${NEVER[limit.symbol] ?? `${setup.holding.words} nothing is`} never run faster than ${Math.floor(limit.value)}, and ` : ''}the machine's nearest speed not above it is taken.`,
  });
  return { ...found, ...(wanted < value ? { tooFast: true as const } : {}) };
}
