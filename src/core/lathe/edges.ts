import type { LatheEvent } from './events';

/** How long the edges of a tool lasted: of each that was changed, ground or broken, the pieces that it made. */
export interface EdgesOfTool {
  tool: string;
  /** Pieces of each edge in turn, and how it ended. */
  edges: readonly { pieces: number; ended: 'changed' | 'ground' | 'broken' }[];
  /** Pieces of the edge that is in now. */
  now: number;
  /** Pieces an edge, of those that were not broken; undefined where there is none. */
  mean: number | undefined;
}

/**
 * Pieces per edge, tool by tool (trade: At the lathe): those whose steps with that tool were done between one edge and the next.
 * @param events in order, without what was struck out (`inOrder`)
 * @param toolOf the tool of an operation by its key
 */
export function edgesIn(
  events: readonly LatheEvent[],
  toolOf: (operation: string) => string | undefined,
): EdgesOfTool[] {
  const made = new Map<string, Set<number>>();
  const ended = new Map<string, EdgesOfTool['edges'][number][]>();
  for (const event of events) {
    if (event.kind === 'done' && event.piece !== undefined && event.operation !== undefined) {
      const tool = toolOf(event.operation);
      if (tool !== undefined) made.set(tool, (made.get(tool) ?? new Set()).add(event.piece));
    } else if (event.kind === 'edge') {
      const { tool, what } = event;
      ended.set(tool, [...(ended.get(tool) ?? []), { pieces: made.get(tool)?.size ?? 0, ended: what }]);
      made.set(tool, new Set());
    }
  }
  return [...ended].map(([tool, edges]) => {
    const worn = edges.filter((edge) => edge.ended !== 'broken');
    const mean = worn.length > 0 ? worn.reduce((sum, { pieces }) => sum + pieces, 0) / worn.length : undefined;
    return { tool, edges, now: made.get(tool)?.size ?? 0, mean };
  });
}
