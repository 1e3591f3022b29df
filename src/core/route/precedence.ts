import type { Reason } from '../words';
import type { Operation } from './operation';
import { rules } from './rules';
import type { Rule } from './rules/rule';
import type { Setup } from './setup';

/** What must come before what, by index, and the rules that say so. */
export interface Precedence {
  /** `after[i]` has the indices that come before operation i. */
  before: Set<number>[];
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

/** Whether `to` already comes before `from`, so that the edge would close a circle. */
function closesCircle(before: Set<number>[], { from, to }: Edge): boolean {
  const seen = new Set<number>();
  const waiting = [from];
  for (let at = waiting.pop(); at !== undefined; at = waiting.pop()) {
    if (at === to) return true;
    if (seen.has(at)) continue;
    seen.add(at);
    waiting.push(...(before[at] ?? []));
  }
  return false;
}

/**
 * Asks every rule of every pair. Hard rules stand; a softer one that contradicts what stands is let go and told.
 */
export function precedenceOf(operations: Operation[], setup: Setup): Precedence {
  const before = operations.map(() => new Set<number>());
  const reasons = operations.map((operation) =>
    rules.flatMap((rule): Reason[] => {
      const because = rule.asksFor?.(operation, setup);
      return because ? [{ rule: rule.id, because }] : [];
    }),
  );
  const edges = rules
    .flatMap((rule) =>
      operations.flatMap((a, from) =>
        operations.flatMap((b, to): Edge[] => {
          const because = from === to ? undefined : rule.before?.(a, b, setup);
          return because ? [{ from, to, rule, because }] : [];
        }),
      ),
    )
    .sort((a, b) => STRONGEST_FIRST.indexOf(a.rule.strength) - STRONGEST_FIRST.indexOf(b.rule.strength));
  const broken: Reason[] = [];
  for (const edge of edges) {
    const { from, to, rule, because } = edge;
    if (closesCircle(before, edge)) {
      if (rule.strength === 'H') throw new Error(`the hard rule ${rule.id} contradicts another`);
      broken.push({ rule: rule.id, because: `${operations[from]?.name} before ${operations[to]?.name}: let go, a stronger rule says otherwise.` });
      continue;
    }
    before[to]?.add(from);
    const mine = reasons[to];
    if (mine && !mine.some((reason) => reason.rule === rule.id)) mine.push({ rule: rule.id, because });
  }
  return { before, reasons, broken };
}
