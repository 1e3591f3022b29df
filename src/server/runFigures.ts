import { WAY_WORDS } from '@/core/model/way';
import { createHash } from 'node:crypto';
import { missingFrom } from '@/core/present/missing';
import { planFile, type Plan } from '@/core/plan/plan';
import type { Skeleton } from '@/core/plan/skeleton';
import type { SawNeed } from '@/core/saw/fromRack';
import { shopForRun } from '@/core/model/shop/forRun';
import type { OnHand, Shop } from '@/core/model/shop/shop';
import { usesOf, type Uses } from '@/core/ask/usedBy';
import { lengthTaken } from '@/core/plan/stock/cost';
import { sectionName } from '@/core/plan/stock/nameOfBar';
import { lostInTheLathe } from '@/core/plan/stock/stock';
import { formatNominal } from '@/core/model/units/length';
import type { ListedFigures } from '@/core/present/listedRun';
import type { SavedRun } from './savedRun';

/** What a run needs of the rack: what the saw asks for, and how long that is in all, mm. */
export interface StockNeed extends SawNeed {
  name: string;
  length: number;
}

/** What is kept of the plan of a run: what lists show, with the routes for whoever plans it again with a little changed. */
export interface RunFigures {
  board:
    | (Exclude<ListedFigures, { problem: unknown }> & { routes: Skeleton[] })
    | Extract<ListedFigures, { problem: unknown }>;
  need: StockNeed | undefined;
  uses: Uses | undefined;
}

/** A spindle that takes any length, as a number that a file can hold. */
const UNLIMITED = Number.MAX_SAFE_INTEGER;

function stockNeed({ id, file }: SavedRun, { stock, run, way }: Plan): StockNeed {
  const { form, size, bore, condition, barLength, each, toMake, kerf, longest, rackOnly = false } = stock;
  return {
    run: id,
    number: file.part.number,
    name: file.part.name ?? '',
    section: { material: run.shop.material.id, form, size, bore, condition },
    length: lengthTaken(stock),
    ...(way === 'from-bar' && { turned: { lost: lostInTheLathe(stock), longest: Math.min(longest, UNLIMITED) } }),
    each: each.value,
    count: toMake.value,
    sold: !rackOnly,
    barLength,
    kerf,
  };
}

/** What of the rack is of a run's own material: no other can move its plan. */
export const barsFor = ({ file }: Pick<SavedRun, 'file'>, rack: readonly OnHand[]): OnHand[] =>
  rack.filter(({ material }) => [file.part.material].flat().includes(material));

/** Plans a run for the lists. */
export function figuresOf(run: SavedRun, shop: Shop, rack: OnHand[]): RunFigures {
  const planned = planFile(run.file, { ...shop, rack }, 'wanted');
  if (!planned.ok) return { board: { problem: planned.problems[0] }, need: undefined, uses: undefined };
  const plan = planned.value;
  const { times, stock, way } = plan;
  return {
    board: {
      pieceMinutes: times.piece.value,
      batchMinutes: times.batch.value,
      bars: stock.bars.value,
      size: sectionName(stock, plan.run.units),
      // A piece that arrives is no length of a bar.
      barLength: stock.piece ? '' : `${formatNominal(stock.barLength, run.file.units)} ${run.file.units}`,
      way: WAY_WORDS[way],
      proved: plan.proof.passed,
      complete: missingFrom(plan).length === 0,
      routes: plan.route.best,
    },
    need: stock.piece ? undefined : stockNeed(run, plan),
    uses: usesOf(plan),
  };
}

/** Sections of the shop that no plan is made from. */
const BESIDE: (keyof Shop)[] = ['materials', 'machines', 'fits', 'rack'];

/**
 * A digest of everything that the figures of a run are made from: the run itself, the shop narrowed to its own machine
 * and material, what the rack has of that, and the planner. As long as it is the same, so are the figures.
 */
export function basisOf({ revision, file }: SavedRun, shop: Shop, rack: OnHand[], program: string): string {
  const narrowed = shopForRun(shop, { material: file.part.material, machine: file.machine, rules: file.rules });
  const used = narrowed.ok
    ? Object.entries(narrowed.value).filter(([key]) => !BESIDE.includes(key as keyof Shop))
    : narrowed.problems;
  return createHash('sha256')
    .update(JSON.stringify([program, revision, file, used, rack]))
    .digest('hex');
}
