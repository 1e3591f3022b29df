import { bad, good, type Result } from '../../model/result';
import { isOrder, isSigned as signs, type OrderOverrule } from '../../model/overrule';
import type { Reason } from '../../model/words';
import { closure, closureOf, type Closure } from '../holding/closure';
import type { Operation } from '../../model/plan/operation';
import { rules as allRules } from './rules';
import type { Rule } from './rules/rule';
import type { Setup } from '../../model/plan/setup';
import type { Break, TakenOverrule } from '../../model/plan/taken';

/** What must come before what, by index, and the rules that say so. */
export interface Precedence {
  /** For each operation the ones that come before it, directly or not, one bit each. */
  before: bigint[];
  /** Why each operation is where it is, and there at all. */
  reasons: Reason[][];
  /** Softer rules that contradict stronger ones here and were let go. */
  broken: Reason[];
  overruled: TakenOverrule[];
}

interface Edge {
  from: number;
  to: number;
  rule: Rule;
  because: string;
}

/** What every rule says of every pair. */
function edgesOf(operations: Operation[], setup: Setup, rules: readonly Rule[]): Edge[] {
  const edges: Edge[] = [];
  const every = operations.map((_, index) => index);
  const indicesOf = (kinds: Rule['first']) =>
    kinds ? every.filter((index) => kinds.includes(operations[index]?.kind ?? '')) : every;
  // Written out: this asks every rule of every pair, in every set-up of every way.
  for (const rule of rules) {
    if (!rule.before) continue;
    const thens = indicesOf(rule.then);
    for (const from of indicesOf(rule.first))
      for (const to of thens) {
        if (from === to) continue;
        const because = rule.before(operations[from] as Operation, operations[to] as Operation, setup);
        if (because !== undefined) edges.push({ from, to, rule, because });
      }
  }
  return edges;
}

interface Wish {
  index: number;
  overrule: OrderOverrule;
  from: number;
  to: number;
}

/** The overrules that are about two operations of a set-up. */
function wishesOf(operations: Operation[], { run }: Setup): Wish[] {
  const place = (key: string) => operations.findIndex((operation) => operation.key === key);
  return run.overrules.flatMap((overrule, index) => {
    if (!isOrder(overrule)) return [];
    const [from, to] = [place(overrule.first), place(overrule.then)];
    return from < 0 || to < 0 || from === to ? [] : [{ index, overrule, from, to }];
  });
}

/** Whether one step of an order has its share in another that contradicts it: a circle would lead through both. */
const leadsThrough = (
  order: Closure,
  step: { from: number; to: number },
  against: { from: number; to: number },
): boolean =>
  (against.to === step.from || order.precedes(against.to, step.from)) &&
  (step.to === against.from || order.precedes(step.to, against.from));

const breakOf = ({ rule, because }: Edge): Break => ({
  rule: rule.id,
  because,
  strength: rule.strength,
});

const noted = (breaks: Break[], edge: Edge) => {
  if (!breaks.some(({ rule, because }) => rule === edge.rule.id && because === edge.because))
    breaks.push(breakOf(edge));
};

/**
 * Asks every rule of every pair, and then whoever overruled them. Hard rules stand, but for a signed overrule; one that
 * is not signed stands before everything softer. What is softer and contradicts what stands is let go and told.
 * @returns the order, or the operations that hard rules send round in a circle
 */
export function precedenceOf(
  operations: Operation[],
  setup: Setup,
  rules: readonly Rule[] = allRules,
): Result<Precedence> {
  const reasons = operations.map((operation) =>
    rules.flatMap((rule): Reason[] => {
      const because = rule.asksFor?.(operation, setup);
      return because ? [{ rule: rule.id, because }] : [];
    }),
  );
  const edges = edgesOf(operations, setup, rules);
  const overruled: TakenOverrule[] = [];
  const kept: (Wish & { breaks: Break[] })[] = [];
  const wishes = wishesOf(operations, setup);
  const hard = edges.filter(({ rule }) => rule.strength === 'H');
  // Where nothing contradicts anything, as nearly always, all of it stands at once; else one after the other.
  const order = closureOf(operations.length, [...edges, ...wishes]) ?? closure(operations.length);

  const ask = (asked: readonly Wish[]) => {
    for (const wish of asked) {
      const breaks: Break[] = [];
      const state = order.precedes(wish.to, wish.from) ? 'waits' : 'kept';
      overruled.push({ index: wish.index, state, breaks });
      if (state === 'waits') for (const edge of hard) if (leadsThrough(order, edge, wish)) noted(breaks, edge);
      if (state === 'waits') continue;
      order.add(wish.from, wish.to);
      kept.push({ ...wish, breaks });
      reasons[wish.to]?.push({ rule: 'OVERRULE', because: `${operations[wish.from]?.name} first: so decided.` });
    }
  };
  const broken: Reason[] = [];
  const circle: Edge[] = [];
  const stand = (standing: readonly Edge[]) => {
    for (const edge of standing) {
      const { from, to, rule, because } = edge;
      if (!order.precedes(to, from)) {
        order.add(from, to);
        const mine = reasons[to];
        if (mine && !mine.some((reason) => reason.rule === rule.id)) mine.push({ rule: rule.id, because });
        continue;
      }
      const against = kept.filter((wish) => leadsThrough(order, wish, edge));
      for (const { breaks } of against) noted(breaks, edge);
      if (against.length > 0) continue;
      if (rule.strength === 'H') circle.push(edge);
      else
        broken.push({
          rule: rule.id,
          because: `${operations[from]?.name} before ${operations[to]?.name}: let go, a stronger rule says otherwise.`,
        });
    }
  };
  const isSigned = ({ overrule }: Wish) => signs(overrule);
  ask(wishes.filter(isSigned));
  stand(hard);
  ask(wishes.filter((wish) => !isSigned(wish)));
  for (const strength of ['S', 'C']) stand(edges.filter(({ rule }) => rule.strength === strength));

  if (circle.length > 0)
    return bad(
      ...circle.map(({ from, to, rule, because }) => ({
        path: operations[to]?.feature === 'face' ? 'part' : (operations[to]?.feature ?? 'part'),
        message: `hard rules go round in a circle here: ${rule.id} wants ${operations[from]?.name} before ${operations[to]?.name} (${because}), and others want it after`,
      })),
    );
  // What nothing comes before has its place by what comes after it.
  reasons.forEach((mine, index) => {
    const first =
      mine.length === 0 ? edges.find(({ from, to }) => from === index && order.precedes(from, to)) : undefined;
    if (first) mine.push({ rule: first.rule.id, because: `Before ${operations[first.to]?.name}: ${first.because}` });
  });
  return good({ before: operations.map((_, index) => order.mask(index)), reasons, broken, overruled });
}
