import { WAY_WORDS } from '../../model/way';
import type { Unit } from '../../model/figure';
import type { Plan } from '../../plan/plan';
import type { WorkHolding } from '../../model/plan/setup';
import { nameOfBar } from '../../plan/stock/nameOfBar';
import { pinOf } from '../../plan/stops/planStops';
import type { PlannedSetup, TimedOperation } from '../../plan/times/planTimes';
import { align, type Row } from './align';
import type { PathMap } from './compareParts';

/** A figure of the plan on both sides: a number in its unit, or words; a side that has it not is left out. */
export interface PlanFigure {
  what: string;
  unit: Unit;
  before?: number | string;
  after?: number | string;
  changed: boolean;
  /** Settings held closely are shown to one place more. */
  fine?: boolean;
}

/** What a revision does to the plan, as people ask for it. */
export interface PlanChange {
  stock: PlanFigure[];
  /** What holds each side, and how far it stands out. */
  held: PlanFigure[];
  /** Where operations stop: those that move, come and go. */
  stops: PlanFigure[];
  /** Speeds, feeds and passes of the operations that both have, where they are otherwise. */
  cuts: PlanFigure[];
  time: PlanFigure[];
}

/** Two numbers that no figure on paper tells apart, mm or minutes. */
const SAME = 5e-4;

function figureOf(what: string, unit: Unit, before?: number | string, after?: number | string): PlanFigure {
  const near = typeof before === 'number' && typeof after === 'number' && Math.abs(before - after) < SAME;
  return {
    what,
    unit,
    changed: before !== after && !near,
    ...(before === undefined ? {} : { before }),
    ...(after === undefined ? {} : { after }),
  };
}

interface Cut {
  planned: PlannedSetup;
  operation: TimedOperation;
}

const cutsOf = ({ setups }: Plan): Cut[] =>
  setups.flatMap((planned) => planned.operations.map((operation) => ({ planned, operation })));

const titleOf = ({ planned, operation }: Cut) => `Set-up ${planned.setup.number} · ${operation.name}`;

/** The operations of two plans side by side. */
function pairs(before: Plan, after: Plan, paths: PathMap): Row<Cut>[] {
  const same = (feature: string) => paths.get(feature) ?? feature;
  return align(cutsOf(before), cutsOf(after), (a, b) => {
    if (a.operation.kind !== b.operation.kind || a.planned.setup.end !== b.planned.setup.end) return 1.5;
    return a.operation.feature === same(b.operation.feature) ? 0 : 1;
  });
}

/** Operations that cut otherwise. */
const cutsBetween = (rows: readonly Row<Cut>[]): PlanFigure[] =>
  rows.flatMap(({ before: old, after: now }): PlanFigure[] => {
    if (!old || !now) return [];
    const [a, b] = [old.operation, now.operation];
    const title = titleOf(now);
    return [
      figureOf(`${title}, speed`, 'rev/min', a.speed.value, b.speed.value),
      figureOf(`${title}, feed`, 'mm/rev', a.feed.value, b.feed.value),
      figureOf(`${title}, passes`, '', a.passes.length, b.passes.length),
      figureOf(`${title}, tool`, '', a.tool.name, b.tool.name),
    ].filter(({ changed }) => changed);
  });

/** What holds each side, where it is held otherwise or stands out otherwise. */
const heldBetween = (before: Plan, after: Plan): PlanFigure[] =>
  Array.from({ length: Math.max(before.setups.length, after.setups.length) }, (_, index) => {
    const [a, b] = [before, after].map(({ setups }) => setups[index]?.setup);
    return [
      figureOf(`Set-up ${index + 1}, held`, '', a && wordsOf(a.holding), b && wordsOf(b.holding)),
      figureOf(`Set-up ${index + 1}, standing out`, 'mm', a?.stickOut.value, b?.stickOut.value),
    ].filter(({ changed }) => changed);
  }).flat();

const wordsOf = ({ words, on }: WorkHolding): string => `${words}, on ${on}`;

/** Operations that stop elsewhere, or that only one of the plans has. */
function stopsBetween(rows: readonly Row<Cut>[]): PlanFigure[] {
  return rows.flatMap(({ before: old, after: now }): PlanFigure[] => {
    const [a, b] = [old, now].map((cut) => cut && pinOf(cut.planned, cut.operation.key));
    const named = now ?? old;
    const row = figureOf(named ? titleOf(named) : '', 'mm', a?.setting, b?.setting);
    return row.changed ? [{ ...row, fine: (a?.fine ?? false) || (b?.fine ?? false) }] : [];
  });
}

/**
 * What the second plan does otherwise than the first: bars, holding, stops, cuts and minutes.
 * @param paths which entry of the second part is which of the first, so that their operations are compared
 */
export function comparePlans(before: Plan, after: Plan, paths: PathMap): PlanChange {
  const both = (what: string, unit: Unit, of: (plan: Plan) => number | string) =>
    figureOf(what, unit, of(before), of(after));
  const rows = pairs(before, after, paths);
  return {
    stock: [
      both('Bar', '', ({ stock, run }) => nameOfBar(stock, run.units)),
      both('Made', '', ({ way }) => WAY_WORDS[way]),
      both('Length taken by a piece', 'mm', ({ stock }) => stock.each.value),
      both('Pieces from a bar', '', ({ stock }) => stock.piecesPerBar.value),
      both('Bars', '', ({ stock }) => stock.bars.value),
      both('Mass of the stock', 'kg', ({ stock }) => stock.mass.value),
      both('Cost of the stock', 'money', ({ stock }) => stock.cost.material.value),
    ],
    held: heldBetween(before, after),
    stops: stopsBetween(rows),
    cuts: cutsBetween(rows),
    time: [
      both('Operations', '', (plan) => cutsOf(plan).length),
      both('Setting up', 'min', ({ times }) => times.setup.value),
      both('A piece', 'min', ({ times }) => times.piece.value),
      both('The batch', 'min', ({ times }) => times.batch.value),
    ],
  };
}
