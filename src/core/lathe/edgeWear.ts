import type { EdgeMaterial } from '../model/shop/material';
import { lifeOf } from '../plan/cost/edgeLife';
import type { Plan } from '../plan/plan';
import type { LatheEvent } from './events';

/** What a run says of its edges of a kind: how many lives of the plan they cut for, and how many of them were worn. */
export interface EdgeWear {
  lives: number;
  worn: number;
}

export type EdgeWears = Partial<Record<EdgeMaterial, EdgeWear>>;

/** Of each operation by its key: its tool, and what share of an edge's planned life it takes of a piece. */
function sharesOf({ run, setups }: Plan): Map<string, { tool: string; edge: EdgeMaterial; share: number }> {
  return new Map(
    setups
      .flatMap(({ operations }) => operations)
      .flatMap((operation) => {
        const life = lifeOf(run, operation);
        const { id, edge } = operation.tool;
        return life === undefined
          ? []
          : [[operation.key, { tool: id, edge, share: operation.cutting.value / life }] as const];
      }),
  );
}

/**
 * How long the edges of a run lasted, in lives as they are planned (trade: At the lathe): what every edge has cut, the one that is in and those
 * that broke too, beside how many were changed or ground because they were worn.
 * @param events in order, without what was struck out (`inOrder`)
 */
export function edgeWear(plan: Plan, events: readonly LatheEvent[]): EdgeWears {
  const shares = sharesOf(plan);
  const kindOf = new Map([...shares.values()].map(({ tool, edge }) => [tool, edge]));
  const wears: EdgeWears = {};
  for (const event of events) {
    const done = event.kind === 'done' && event.operation !== undefined ? shares.get(event.operation) : undefined;
    const worn = event.kind === 'edge' && event.what !== 'broken' ? kindOf.get(event.tool) : undefined;
    const kind = done?.edge ?? worn;
    if (kind === undefined) continue;
    const wear = (wears[kind] ??= { lives: 0, worn: 0 });
    wear.lives += done?.share ?? 0;
    wear.worn += worn === undefined ? 0 : 1;
  }
  return wears;
}

/**
 * What runs say together: how many times as long an edge of a kind lasts as planned, from how many that were worn. What was cut by edges
 * that are not worn yet counts for the time that they lasted (the usual estimate of a mean life from some that are not over).
 * @returns nothing of a kind of which none was worn
 */
export function learnedEdges(
  said: readonly (EdgeWears | undefined)[],
): { kind: EdgeMaterial; factor: number; worn: number }[] {
  const kinds = [...new Set(said.flatMap((wears) => Object.keys(wears ?? {})))] as EdgeMaterial[];
  return kinds.flatMap((kind) => {
    const sum = (of: keyof EdgeWear) => said.reduce((total, wears) => total + (wears?.[kind]?.[of] ?? 0), 0);
    const worn = sum('worn');
    return worn > 0 ? [{ kind, factor: sum('lives') / worn, worn }] : [];
  });
}
