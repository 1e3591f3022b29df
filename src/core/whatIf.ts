import type { RunFile } from './formats/runFile';
import { lifeAt } from './money/edgeLife';
import { gripAt, gripTorque } from './cutting/grip';
import { motorOf } from './cutting/limitsOn';
import { isCut, isTool, type CutWish, type Overrule } from './overrule';
import { planFile, type Plan } from './plan';
import { kindOf } from './route/operations';
import type { Shop } from './shop/shop';

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
  pieceMinutes: number;
  /** Whether the depth of its passes may be decided. */
  takesDepth: boolean;
  measures: Measure[];
  warnings: string[];
}

/** An operation tried otherwise, or why it cannot be. */
export type Tried = { ok: true; state: CutState } | { ok: false; because: string };

/** The overrules of a run with an operation, by its key, cutting so, in place of what was decided of that before. */
export const withCut = (overrules: readonly Overrule[], key: string, wish: CutWish, tool?: string): Overrule[] => [
  ...overrules.filter((own) => !((isCut(own) || (tool !== undefined && isTool(own))) && own.operation === key)),
  ...(tool === undefined ? [] : [{ operation: key, tool }]),
  ...(Object.keys(wish).length > 0 ? [{ operation: key, cut: wish }] : []),
];

function stateOf(plan: Plan, key: string): CutState | undefined {
  const planned = plan.setups.find(({ operations }) => operations.some((own) => own.key === key));
  const own = planned?.operations.find((one) => one.key === key);
  if (!planned || !own) return undefined;
  const { setup } = planned;
  const { material, cutting, edges } = setup.run.shop;
  const loads = own.passes.flatMap(({ load }) => load ?? []);
  const most = (pick: (load: (typeof loads)[number]) => number | undefined) =>
    loads.reduce<number | undefined>((sum, load) => {
      const value = pick(load);
      return value === undefined ? sum : Math.max(sum ?? 0, value);
    }, undefined);
  const bends = loads.findLast((load) => load.bends)?.bends?.value;
  const size = own.checks.find(({ measures }) => measures === 'outside')?.size;
  const ra = most((load) => load.roughness?.value);
  const table = material.speed[own.tool.edge] * (cutting.speedFactor[own.kind] ?? 1);
  const measure = (name: string, unit: string, value: number | undefined, limit?: number): Measure[] =>
    value === undefined
      ? []
      : [{ name, unit, value, ...(limit === undefined || !Number.isFinite(limit) ? {} : { limit }) }];
  return {
    speed: own.speed.value,
    feed: own.feed.value,
    depth: Math.max(0, ...own.passes.map(({ depth }) => depth)),
    passes: own.passes.length,
    pieceMinutes: plan.times.piece.value,
    takesDepth: kindOf(own).takesDepth === true,
    measures: [
      ...measure('time', 'min', own.cutting.value + own.hand.value),
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
        gripAt(own.on, setup),
      ),
      ...measure(
        'torque',
        'N·m',
        most((load) => load.torque?.value),
        gripTorque(setup),
      ),
      ...measure('roughness Ra', 'µm', ra, own.roughness),
      ...measure(
        'too large by',
        'mm',
        bends === undefined ? undefined : 2 * bends,
        size && (size.upper - size.lower) / 3,
      ),
      ...(own.achieved.value > 0 && own.cutting.value > 0
        ? [
            {
              name: 'an edge lasts',
              unit: 'min',
              value: lifeAt(own.achieved.value, table, edges[own.tool.edge]),
              limit: edges[own.tool.edge].life,
              more: true as const,
            },
          ]
        : []),
    ],
    warnings: own.warnings,
  };
}

/**
 * An operation, by its key, as it would cut with another speed, feed, depth or tool: the whole run is planned so.
 * @param tool id of another tool; undefined for the planned one
 */
export function tryCut(file: RunFile, shop: Shop, key: string, wish: CutWish, tool?: string): Tried {
  const overrules = withCut(file.overrules ?? [], key, wish, tool);
  const plan = planFile({ ...file, overrules }, shop, 'wanted');
  if (!plan.ok) return { ok: false, because: plan.problems[0]?.message ?? 'it cannot be planned' };
  const cannot = plan.value.overrules.find(
    ({ overrule, state }) => state === 'cannot' && (isCut(overrule) || isTool(overrule)) && overrule.operation === key,
  );
  if (cannot) return { ok: false, because: cannot.breaks.map(({ because }) => because).join(' ') };
  const state = stateOf(plan.value, key);
  return state ? { ok: true, state } : { ok: false, because: 'the plan then has no such operation' };
}
