import type { Reason } from '../words';
import { closure } from './closure';
import type { Operation } from './operation';
import { rules } from './rules';
import type { Rule } from './rules/rule';
import type { Setup } from './setup';

/** What must come before what, by index, and the rules that say so. */
export interface Precedence {
  /** For each operation the ones that come before it, directly or not, one bit each. */
  before: bigint[];
  /** Why each operation is where it is, and there at all. */
  reasons: Reason[][];
  /** Softer rules that contradict stronger ones here and were let go. */
  broken: Reason[];
}

interface Edge {
  from: number;
  to: number;
  rule: Rule;
  because: string;
}

const STRONGEST_FIRST = ['H', 'S', 'C'];

/** What every rule says of every pair. */
function edgesOf(operations: Operation[], setup: Setup): Edge[] {
  const edges: Edge[] = [];
  for (const rule of rules)
    for (const [from, before] of operations.entries())
      for (const [to, after] of operations.entries()) {
        const because = from === to ? undefined : rule.before?.(before, after, setup);
        if (because !== undefined) edges.push({ from, to, rule, because });
      }
  return edges;
}

/**
 * Asks every rule of every pair. Hard rules stand; a softer one that contradicts what stands is let go and told.
 */
export function precedenceOf(operations: Operation[], setup: Setup): Precedence {
  const order = closure(operations.length);
  const reasons = operations.map((operation) =>
    rules.flatMap((rule): Reason[] => {
      const because = rule.asksFor?.(operation, setup);
      return because ? [{ rule: rule.id, because }] : [];
    }),
  );
  const edges = edgesOf(operations, setup).sort(
    (a, b) => STRONGEST_FIRST.indexOf(a.rule.strength) - STRONGEST_FIRST.indexOf(b.rule.strength),
  );
  const broken: Reason[] = [];
  for (const edge of edges) {
    const { from, to, rule, because } = edge;
    if (order.precedes(to, from)) {
      if (rule.strength === 'H') throw new Error(`the hard rule ${rule.id} contradicts another`);
      broken.push({
        rule: rule.id,
        because: `${operations[from]?.name} before ${operations[to]?.name}: let go, a stronger rule says otherwise.`,
      });
      continue;
    }
    order.add(from, to);
    const mine = reasons[to];
    if (mine && !mine.some((reason) => reason.rule === rule.id)) mine.push({ rule: rule.id, because });
  }
  return { before: operations.map((_, index) => order.mask(index)), reasons, broken };
}
