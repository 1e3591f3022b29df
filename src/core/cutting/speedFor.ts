import { figure, term, type Figure } from '../figure';
import type { Operation } from '../route/operation';
import type { Setup } from '../route/setup';
import { FLATS } from '../stock/bar';
import { notAbove, spindleSpeed } from './speed';

/** The speed of a house that has fixed ones, where the kind of operation has no lower limit of its own. */
function fixedSpeed({ kind, tool }: Pick<Operation, 'kind' | 'tool'>, { run }: Setup): Figure {
  const { machine, cutting } = run.shop;
  const own = cutting.fixedSpeed[tool.mount === 'hand' ? 'byHand' : 'cutting'] ?? 0;
  const most = cutting.mostSpeed[kind];
  return figure({
    name: 'spindle speed',
    unit: 'rev/min',
    value: notAbove(machine.speeds, Math.min(own, most ?? Infinity)),
    formula: most === undefined ? 'snap(s)' : 'snap(min(s, m))',
    terms: [
      term('s', 'fixed speed of the house', own, 'rev/min', 'house rule'),
      ...(most === undefined
        ? []
        : [term('m', 'at most for this kind of operation', most, 'rev/min', 'start value' as const)]),
    ],
    note: 'House rule: fixed speeds. See that the cutting speed reached suits the material.',
  });
}

/**
 * The spindle speed of an operation on the diameter it cuts (handbook 6): cutting speed of material and edge, by the
 * factors that apply, then the machine's nearest not above.
 */
export function speedFor(
  operation: Pick<Operation, 'kind' | 'tool'>,
  diameter: number,
  setup: Setup,
  atOverhang: boolean,
): Figure {
  const { material, machine, cutting, houseRules } = setup.run.shop;
  if (houseRules.speed === 'fixed') return fixedSpeed(operation, setup);
  const factor = cutting.speedFactor[operation.kind] ?? 1;
  const overhung =
    atOverhang && !setup.supported && setup.stickOut.value > cutting.overhangTimes * setup.holding.diameter;
  const sawn = operation.kind === 'face' && setup.stock.way === 'sawn-blanks';
  // A bar with flats knocks until it is round; one that stays as drawn is never turned there.
  const knocks = FLATS[setup.stock.form] > 0 && setup.number === 1 && diameter > setup.stock.size + 1e-6;
  const factors = [
    term('k', 'factor of this kind of operation', factor, '', 'start value' as const),
    ...(overhung
      ? [
          term(
            'o',
            `standing out more than ${cutting.overhangTimes} times its diameter`,
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
  const most = cutting.mostSpeed[operation.kind];
  const value = notAbove(machine.speeds, Math.min(wanted, most ?? Infinity));
  const formula = `1000 · v · ${factors.map(({ symbol }) => symbol).join(' · ')} / (π · d)`;
  return figure({
    name: 'spindle speed',
    unit: 'rev/min',
    value,
    formula: most === undefined ? `snap(${formula})` : `snap(min(${formula}, m))`,
    terms: [
      term(
        'v',
        `cutting speed of ${material.name}, ${operation.tool.edge === 'hss' ? 'HSS' : 'carbide'}`,
        base,
        'm/min',
        'material',
      ),
      ...factors,
      term('d', 'diameter being cut', diameter, 'mm', 'computed'),
      ...(most === undefined
        ? []
        : [term('m', 'at most for this kind of operation', most, 'rev/min', 'start value' as const)]),
    ],
    note:
      wanted < value
        ? `The formula gives ${Math.round(wanted)}, below the slowest the machine has.`
        : `The formula gives ${Math.round(wanted)}; ${most !== undefined && wanted > most ? `this kind of operation is never run faster than ${most}, and ` : ''}the machine's nearest speed not above it is taken.`,
  });
}
