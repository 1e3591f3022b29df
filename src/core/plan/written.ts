import { FACES } from '../model/part/faces';
import type { EdgePlace } from '../model/plan/edgeWay';
import { isBetweenCentres, restBears } from '../model/plan/setup';
import type { Doubt } from './doubts/doubt';
import type { Route } from './route';
import type { WrittenOperation, WrittenPlan, WrittenSetup } from './proof/written';
import { isCentred } from './times/mounts';
import type { PlannedSetup, TimedOperation } from './times/planTimes';

/** A length or a time as it is written into a file: to a tenth of a micrometre, or finer than a thousandth of a minute. */
export const rounded = (value: number, places = 4): number => Number(value.toFixed(places));

/** Ways of edges are written finer, so that what should meet meets. */
const FINE = 6;

/** z of the drawing for a z of a set-up: the second set-up looks from its own end. */
export const toPart =
  ({ setup }: PlannedSetup) =>
  (z: number): number =>
    rounded(setup.end === 'front' ? z : setup.part.length - z);

/** The way of an edge in z of the drawing. */
function pathOf(path: readonly EdgePlace[], { setup }: PlannedSetup): EdgePlace[] {
  const isFront = setup.end === 'front';
  const z = (value: number) => rounded(isFront ? value : setup.part.length - value, FINE);
  const other = { left: 'right', right: 'left' } as const;
  return path.map(({ round, ...place }) => ({
    ...place,
    z: z(place.z),
    r: rounded(place.r, FINE),
    ...(round
      ? { round: { z: z(round.z), r: rounded(round.r, FINE), way: isFront ? round.way : other[round.way] } }
      : {}),
  }));
}

function operationOf(planned: PlannedSetup, operation: TimedOperation): WrittenOperation {
  const { tool, makes, stands } = operation;
  return {
    number: operation.number,
    kind: operation.kind,
    name: operation.name,
    feature: operation.feature === 'face' ? FACES[planned.setup.end] : operation.feature,
    ...(makes ? { makes } : {}),
    tool: tool.id,
    ...(tool.reach === undefined || tool.width === undefined ? {} : { width: rounded(tool.width) }),
    ...(stands ? { stands } : {}),
    centre: isBetweenCentres(planned.setup) || isCentred(operation, planned.setup, planned.operations),
    passes: operation.passes.map(({ depth, path }) => ({ depth: rounded(depth), path: pathOf(path, planned) })),
  };
}

function setupOf(planned: PlannedSetup): WrittenSetup {
  const { number, end, facing, holding, rest } = planned.setup;
  const z = toPart(planned);
  const bears = restBears(planned.setup);
  return {
    number,
    end,
    facing: rounded(facing),
    holding: {
      kind: holding.kind,
      grip: holding.grip,
      diameter: rounded(holding.diameter),
      from: z(holding.from),
      to: z(holding.to),
      ...(holding.over === undefined ? {} : { over: rounded(holding.over) }),
      ...(holding.inside === undefined ? {} : { inside: rounded(holding.inside) }),
      ...(holding.seated ? { seated: true } : {}),
    },
    workStop: { means: planned.workStop.means, ...(planned.workStop.drawnBack ? { drawnBack: true } : {}) },
    ...(rest && bears ? { rest: { kind: rest.kind, from: z(bears[0]), to: z(bears[1]) } } : {}),
    operations: planned.operations.map((operation) => operationOf(planned, operation)),
  };
}

/** What of a plan is written for the proof. */
export type WrittenFrom = Pick<Route, 'stock' | 'setups'> & { doubts: readonly Doubt[] };

/** What the proof reads of a plan, as its file has it (docs/run-file.md). */
export function writtenPlan({ stock, setups, doubts }: WrittenFrom): WrittenPlan {
  return {
    stock: {
      form: stock.form,
      size: rounded(stock.size),
      ...(stock.form === 'tube' ? { bore: rounded(stock.bore) } : {}),
      bladeWidth: stock.blade ? rounded(stock.blade.width) : null,
      blankLength: stock.way === 'from-bar' ? null : rounded(stock.each.value),
    },
    setups: setups.map(setupOf),
    doubts,
  };
}
