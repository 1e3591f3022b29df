import { figure, term, termOf, type Figure } from '../model/figure';
import { isBetweenCentres } from '../model/plan/setup';
import { drivenBy, frictionOf, gripLength, isBacked, LEVER, outOf, tippingMoment } from '../plan/cutting/grip';
import { isCentred } from '../plan/times/mounts';
import type { PlannedSetup, TimedOperation } from '../plan/times/planTimes';

/** What the hardest cut of a set-up asks of its hold, and what that bears, with the safety of the shop. */
export interface Strain {
  operation: number;
  name: string;
  asks: Figure;
  bears: Figure;
}

/** How a set-up holds its work, by the two that it is judged by (trade: Safe holds); a dog or a thread has neither. */
export interface Hold {
  gripLength: number;
  /** What turns the work in its holding, N at the diameter that is gripped. */
  slip?: Strain;
  /** What tips it out, N·m; a centre takes that away. */
  tipping?: Strain;
}

/** What friction carries of the force of the jaws. */
function frictionFigure({ setup }: PlannedSetup): Figure {
  const { gripForce, gripFriction, gripSafety } = setup.run.shop.cutting;
  const { kind, words } = setup.holding;
  return figure({
    name: `friction ${words}`,
    unit: 'N',
    value: frictionOf(setup),
    formula: 'm * W / S',
    terms: [
      term('m', 'friction', gripFriction[kind] ?? 0, '', 'start value'),
      term('W', 'force of what grips', gripForce[kind] ?? 0, 'N', 'start value'),
      term('S', 'safety', gripSafety, '', 'start value'),
    ],
  });
}

/** What turns the work and pushes it along on the diameter that is gripped: a cut by its force, a drill by its torque. */
function slipFigures({ on, passes }: TimedOperation, { setup }: PlannedSetup): Figure[] {
  const { holding, run } = setup;
  const gripped = term('d', 'diameter gripped', holding.diameter, 'mm', 'computed');
  return passes.flatMap(({ load }): Figure[] => {
    if (load?.torque) {
      const { torque, push } = drivenBy(load, setup);
      const along = isBacked(setup) ? 0 : push;
      return [
        figure({
          name: 'what turns the work and pushes it along',
          unit: 'N',
          value: Math.hypot((2000 * torque) / holding.diameter, along),
          formula: '√((2000 * T / d)^2 + P^2)',
          terms: [
            termOf('T', load.torque),
            gripped,
            term('P', isBacked(setup) ? 'along, taken by the stop behind' : 'along', along, 'N', 'computed'),
          ],
        }),
      ];
    }
    if (!load?.force) return [];
    const share = isBacked(setup) ? 0 : run.shop.cutting.feedForce;
    return [
      figure({
        name: 'what turns the work and pushes it along',
        unit: 'N',
        value: load.force.value * Math.hypot(on / holding.diameter, share),
        formula: 'F * √((D / d)^2 + k^2)',
        terms: [
          termOf('F', load.force),
          term('D', 'diameter at the cut', on, 'mm', 'computed'),
          gripped,
          term(
            'k',
            isBacked(setup) ? 'feed force, taken by the stop behind' : 'feed force, share of it',
            share,
            '',
            'start value',
          ),
        ],
      }),
    ];
  });
}

/** What a grip bears before the work tips out of it. */
function leverFigure({ setup }: PlannedSetup): Figure {
  const { cutting } = setup.run.shop;
  const { kind, words } = setup.holding;
  const length = gripLength(setup);
  return figure({
    name: `against tipping, ${words}`,
    unit: 'N·m',
    value: tippingMoment(kind, length, cutting) / 1000,
    formula: 'c * W * g / 2 / S / 1000',
    terms: [
      term('c', 'how it grips round', cutting.gripTips[kind] ?? 0, '', 'start value'),
      term('W', 'force of what grips', cutting.gripForce[kind] ?? 0, 'N', 'start value'),
      term('g', 'grip length', length, 'mm', 'computed'),
      term('S', 'safety', cutting.gripSafety, '', 'start value'),
    ],
  });
}

/** What tips the work out at its place farthest from the jaws; nothing of what is done under a centre. */
function tippingFigures(operation: TimedOperation, { setup, operations }: PlannedSetup): Figure[] {
  if (isCentred(operation, setup, operations) || operation.tool.mount !== 'post') return [];
  const { holding, run } = setup;
  const { on, from, to } = operation;
  const out = outOf(Math.min(from, to), setup);
  const share = holding.seated && on <= holding.diameter ? 0 : run.shop.cutting.feedForce;
  return operation.passes.flatMap(({ load }): Figure[] =>
    load?.force
      ? [
          figure({
            name: 'what tips the work',
            unit: 'N·m',
            value: (load.force.value * Math.hypot(LEVER * out, (share * on) / 2)) / 1000,
            formula: 'F * √((l * L)^2 + (k * D / 2)^2) / 1000',
            terms: [
              termOf('F', load.force),
              term('l', 'pushes down as well as round', LEVER, '', 'computed'),
              term('L', 'from the jaws to the cut', out, 'mm', 'computed'),
              term(
                'k',
                share === 0 ? 'feed force, taken by the step behind' : 'feed force, share of it',
                share,
                '',
                'start value',
              ),
              term('D', 'diameter at the cut', on, 'mm', 'computed'),
            ],
          }),
        ]
      : [],
  );
}

/** The hardest of the cuts, and what bears it; nothing where no cut asks anything, or nothing gives way. */
function hardest(
  planned: PlannedSetup,
  asked: (operation: TimedOperation, planned: PlannedSetup) => Figure[],
  bears: Figure,
): Strain | undefined {
  if (!Number.isFinite(bears.value)) return undefined;
  const all = planned.operations.flatMap((operation) =>
    asked(operation, planned).map((asks) => ({ operation: operation.number, name: operation.name, asks, bears })),
  );
  return all.toSorted((a, b) => b.asks.value - a.asks.value)[0];
}

/** How a set-up holds its work against its own cuts. */
export function holdOf(planned: PlannedSetup): Hold {
  const { setup } = planned;
  if (isBetweenCentres(setup)) return { gripLength: gripLength(setup) };
  const slip = hardest(planned, slipFigures, frictionFigure(planned));
  const tipping = hardest(planned, tippingFigures, leverFigure(planned));
  return { gripLength: gripLength(setup), ...(slip ? { slip } : {}), ...(tipping ? { tipping } : {}) };
}

/** How much of what it bears a hold is asked for, in words: `62 % by Rough ⌀12.5`. */
export const sayStrain = ({ name, asks, bears }: Strain): string =>
  `${Math.round((100 * asks.value) / bears.value)} % by ${name}`;
