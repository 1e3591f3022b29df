import { withEndKept } from './keepEnd';
import type { Skeleton } from '../plan/skeleton';
import type { RunFile } from '../read/runFile';
import { lifeAt } from '../plan/cost/edgeLife';
import { gripAt, torqueAt } from '../plan/cutting/grip';
import { motorOf } from '../plan/cutting/limitsOn';
import { planFile, type Plan } from '../plan/plan';
import { kindOf } from '../plan/operations';
import { isBetweenCentres } from '../model/plan/setup';
import type { EdgeMaterial, Shop } from '../model/shop/shop';
import { isAbout, withTrial, type Tile, type Trial } from './trial';

/** What moves together when an operation cuts otherwise, each against its limit where it has one. */
export interface Measure {
  name: string;
  unit: string;
  value: number;
  limit?: number;
  /** Less is worse: an edge's life. */
  more?: true;
}

/** An operation as it is planned or tried: what the machine stands at, and what that does. */
export interface CutState {
  speed: number;
  feed: number;
  depth: number;
  passes: number;
  /** Of the tool: without a nose nothing is said of one. */
  nose?: number;
  edge: EdgeMaterial;
  /** How far the work stands out in its set-up, mm, where that may be decided. */
  stickOut?: number;
  pieceMinutes: number;
  /** Whether the depth of its passes may be decided. */
  takesDepth: boolean;
  measures: Measure[];
  warnings: string[];
}

/** An operation tried otherwise, or why it cannot be. */
export type Tried = { ok: true; state: CutState } | { ok: false; because: string };

function stateOf(plan: Plan, key: string): CutState | undefined {
  const planned = plan.setups.find(({ operations }) => operations.some((operation) => operation.key === key));
  const operation = planned?.operations.find((one) => one.key === key);
  if (!planned || !operation) return undefined;
  const { setup } = planned;
  const { material, cutting, edges } = setup.run.shop;
  const loads = operation.passes.flatMap(({ load }) => load ?? []);
  const most = (pick: (load: (typeof loads)[number]) => number | undefined) =>
    loads.reduce<number | undefined>((sum, load) => {
      const value = pick(load);
      return value === undefined ? sum : Math.max(sum ?? 0, value);
    }, undefined);
  const bends = loads.findLast((load) => load.bends)?.bends?.value;
  const size = operation.checks.find(({ measures }) => measures === 'outside')?.size;
  const ra = most((load) => load.roughness?.value);
  const table = material.speed[operation.tool.edge] * (cutting.speedFactor[operation.kind] ?? 1);
  const measure = (name: string, unit: string, value: number | undefined, limit?: number): Measure[] =>
    value === undefined
      ? []
      : [{ name, unit, value, ...(limit === undefined || !Number.isFinite(limit) ? {} : { limit }) }];
  return {
    speed: operation.speed.value,
    feed: operation.feed.value,
    depth: Math.max(0, ...operation.passes.map(({ depth }) => depth)),
    passes: operation.passes.length,
    ...(operation.tool.nose === undefined ? {} : { nose: operation.tool.nose }),
    edge: operation.tool.edge,
    // Centres and a mandrel say themselves how far it does.
    ...(isBetweenCentres(setup) || setup.holding.inside !== undefined ? {} : { stickOut: setup.stickOut.value }),
    pieceMinutes: plan.times.piece.value,
    takesDepth: kindOf(operation).takesDepth === true,
    measures: [
      ...measure('time', 'min', operation.cutting.value + operation.hand.value),
      ...measure(
        'power',
        'kW',
        most((load) => load.power.value),
        motorOf(setup),
      ),
      ...measure(
        'main force',
        'N',
        most((load) => load.force?.value),
        gripAt(operation.on, Math.min(operation.from, operation.to), setup),
      ),
      ...measure(
        'torque',
        'N·m',
        most((load) => load.torque?.value),
        torqueAt(most((load) => load.thrust?.value) ?? 0, setup),
      ),
      ...measure('roughness Ra', 'µm', ra, operation.roughness),
      ...measure(
        'too large by',
        'mm',
        bends === undefined ? undefined : 2 * bends,
        size && (size.upper - size.lower) / 3,
      ),
      ...(operation.achieved.value > 0 && operation.cutting.value > 0
        ? [
            {
              name: 'an edge lasts',
              unit: 'min',
              value: lifeAt(operation.achieved.value, table, edges[operation.tool.edge]),
              limit: edges[operation.tool.edge].life,
              more: true as const,
            },
          ]
        : []),
    ],
    warnings: operation.warnings,
  };
}

const NOTHING = 'the plan has no such operation, or it is not held so';

/** An operation as it would cut otherwise: the whole run is planned so. */
export function tryCut(file: RunFile, shop: Shop, tile: Tile, trial: Trial, shown?: Skeleton): Tried {
  const overrules = withTrial(file.overrules ?? [], tile, trial);
  const plan = planFile(withEndKept({ ...file, overrules }, shown), shop, 'wanted', {
    ...(shown ? { first: shown } : {}),
    until: 'sound',
  });
  if (!plan.ok) return { ok: false, because: plan.problems[0]?.message ?? 'it cannot be planned' };
  const about = isAbout(tile, { tool: '', stickOut: 0, ...trial });
  const not = plan.value.overrules.find(
    ({ overrule, state }) => (state === 'cannot' || state === 'idle') && about(overrule),
  );
  if (not) return { ok: false, because: not.breaks.map(({ because }) => because).join(' ') || NOTHING };
  const state = stateOf(plan.value, tile.key);
  return state ? { ok: true, state } : { ok: false, because: NOTHING };
}
