import { serveOf, type Allocation, type StopProblem } from './problem';
import { noCaps, setupStops, type Bounded, type Caps } from './setupStops';

/** A place of one of the set-ups. */
export interface PlaceRef {
  setup: number;
  place: number;
}

/** Places whose errors stand in one drawn length. mm, of full spreads */
export interface Chain {
  members: readonly PlaceRef[];
  /** The place at which it is measured when it is measured and cut to. */
  fixer: PlaceRef;
  /** The root of the sum of the squares of the spreads is at most this. */
  most: number;
  /** What stands in it beside, squared: the stop that the work is set against. */
  fixed: number;
}

export interface Chosen {
  allocations: Allocation[];
  minutes: number;
  /** The least within the limits of every chain; else it is at most `gap` minutes off. */
  proven: boolean;
  gap: number;
}

/** So many sets of facilities are looked at before what was found stands with its gap (start): counted, so that it is the same everywhere. */
const EFFORT = 400;
/** And so many in any case for each set-up that is solved. */
const LEAST = 20;

interface Node {
  caps: Caps[];
  allocations: Bounded[];
  minutes: number;
  /** Nothing within its caps is less. */
  least: number;
}

/** Whether a length comes out within its limits. */
export function holds(chain: Chain, problems: readonly StopProblem[], allocations: readonly Allocation[]): boolean {
  const serveAt = ({ setup, place }: PlaceRef) =>
    serveOf(problems[setup] as StopProblem, allocations[setup] as Allocation, place);
  if (serveAt(chain.fixer).measured) return true;
  const sum = chain.members.reduce((all, member) => all + serveAt(member).spread ** 2, chain.fixed);
  return sum <= chain.most ** 2 + 1e-9;
}

const isSame = (a: PlaceRef, b: PlaceRef): boolean => a.setup === b.setup && a.place === b.place;

/** The least that anything spreads which may serve a place, mm. */
function leastSpread({ places, facilities }: StopProblem, place: number): number {
  const own = places[place]?.own.map(({ spread }) => spread) ?? [];
  return Math.min(...own, ...facilities.flatMap(({ serves }) => serves[place]?.spread ?? []));
}

/** How much each place of a chain may spread at most when every other spreads as little as it can, mm. */
function roomIn({ members, most, fixed }: Chain, problems: readonly StopProblem[]): { ref: PlaceRef; most: number }[] {
  const squares = members.map(({ setup, place }) => leastSpread(problems[setup] as StopProblem, place) ** 2);
  const all = squares.reduce((sum, square) => sum + square, fixed);
  return members.map((ref, index) => ({
    ref,
    most: Math.sqrt(Math.max(0, most ** 2 - all + (squares[index] as number))),
  }));
}

type Change = { ref: PlaceRef; spread?: number; unmeasured?: number; measured?: true };

/** Caps made closer at some places. */
function closer(caps: readonly Caps[], changes: readonly Change[]): Caps[] {
  return caps.map((cap, index) => {
    const here = changes.filter(({ ref }) => ref.setup === index);
    if (here.length === 0) return cap;
    const next = { spread: [...cap.spread], unmeasured: [...cap.unmeasured], measured: [...cap.measured] };
    for (const {
      ref: { place },
      spread = Infinity,
      unmeasured = Infinity,
      measured,
    } of here) {
      next.spread[place] = Math.min(next.spread[place] as number, spread);
      next.unmeasured[place] = Math.min(next.unmeasured[place] as number, unmeasured);
      if (measured) next.measured[place] = true;
    }
    return next;
  });
}

/** What each chain says of the place that it is measured at, whatever else stands in it: so close, or measured. */
const firstCaps = (problems: readonly StopProblem[], chains: readonly Chain[]): Caps[] =>
  closer(
    problems.map(noCaps),
    chains.flatMap((chain) =>
      roomIn(chain, problems).flatMap(({ ref, most }) => (isSame(ref, chain.fixer) ? [{ ref, unmeasured: most }] : [])),
    ),
  );

/** Caps within which a chain holds, whatever else: each of its places has an even share, or its last is measured. */
function evenly({ members, fixer, most, fixed }: Chain, problems: readonly StopProblem[]): Change[] {
  const share = Math.sqrt(Math.max(0, most ** 2 - fixed) / members.length);
  const isReached = members.every(
    ({ setup, place }) => leastSpread(problems[setup] as StopProblem, place) <= share + 1e-9,
  );
  return isReached ? members.map((ref) => ({ ref, spread: share })) : [{ ref: fixer, measured: true }];
}

/** The stops of a run, looked for within an effort. */
class Choice {
  private readonly known = new Map<string, Bounded | undefined>();

  /** @param left sets of facilities that may still be looked at */
  constructor(
    private readonly problems: readonly StopProblem[],
    private readonly chains: readonly Chain[],
    private left: number,
  ) {}

  private solved(index: number, caps: Caps): Bounded | undefined {
    const { spread, unmeasured, measured } = caps;
    const key = `${index} ${spread.join()} ${unmeasured.join()} ${measured.join()}`;
    const known = this.known.get(key);
    if (known || this.known.has(key)) return known;
    const found = setupStops(this.problems[index] as StopProblem, caps, Math.max(LEAST, this.left));
    this.left -= found?.looked ?? 1;
    this.known.set(key, found);
    return found;
  }

  private nodeOf(caps: Caps[]): Node | undefined {
    const allocations = caps.map((cap, index) => this.solved(index, cap)).filter((found) => found !== undefined);
    if (allocations.length < caps.length) return undefined;
    const sum = (of: (allocation: Bounded) => number) => allocations.reduce((all, each) => all + of(each), 0);
    return { caps, allocations, minutes: sum(({ minutes }) => minutes), least: sum(({ least }) => least) };
  }

  private broken({ allocations }: Node): Chain[] {
    return this.chains.filter((chain) => !holds(chain, this.problems, allocations));
  }

  /** An allocation in which every length holds, soon: what does not is shared out evenly, and else measured. */
  private sound(node: Node | undefined): Node | undefined {
    for (let round = 0; node; round += 1) {
      const broken = this.broken(node);
      if (broken.length === 0) return node;
      const changes = broken.flatMap((chain) =>
        round < 2 ? evenly(chain, this.problems) : [{ ref: chain.fixer, measured: true as const }],
      );
      const next = this.nodeOf(closer(node.caps, changes));
      node =
        next ??
        this.nodeOf(
          closer(
            node.caps,
            broken.map(({ fixer }) => ({ ref: fixer, measured: true as const })),
          ),
        );
    }
    return undefined;
  }

  /**
   * What makes a length hold that does not: it is measured; or it is not, and each of its places has the room that the others
   * leave it; and where that was said before, one of them spreads less than it does now.
   */
  private remedies(chain: Chain, { caps, allocations }: Node): Change[][] {
    const room = roomIn(chain, this.problems);
    const isSaid = room.every(({ ref, most }) => (caps[ref.setup]?.spread[ref.place] ?? Infinity) <= most + 1e-9);
    if (!isSaid) return [[{ ref: chain.fixer, measured: true }], room.map(({ ref, most }) => ({ ref, spread: most }))];
    return chain.members.map((ref) => {
      const serve = serveOf(this.problems[ref.setup] as StopProblem, allocations[ref.setup] as Allocation, ref.place);
      return [{ ref, spread: serve.spread - 1e-6 }];
    });
  }

  /** Straight down: of what makes each length hold the cheapest. */
  private dive(node: Node | undefined): Node | undefined {
    while (node && this.left > 0) {
      const [chain] = this.broken(node);
      if (!chain) return node;
      const { caps }: Node = node;
      const children = this.remedies(chain, node).flatMap((changes) => this.nodeOf(closer(caps, changes)) ?? []);
      node = children.sort((a, b) => a.minutes - b.minutes)[0];
    }
    return undefined;
  }

  /** Every length measured at its last place, and nothing else asked. */
  private measured(): Node | undefined {
    const all = this.chains.map(({ fixer }) => ({ ref: fixer, measured: true as const }));
    return this.nodeOf(closer(this.problems.map(noCaps), all));
  }

  find(): Chosen | undefined {
    const root = this.nodeOf(firstCaps(this.problems, this.chains));
    const found = [this.sound(root), this.dive(root)];
    // Closer caps may leave a place to a facility that so few looks do not find: what measures every length is always there.
    let best = (found.some((node) => node) ? found : [this.measured()])
      .filter((node) => node !== undefined)
      .sort((a, b) => a.minutes - b.minutes)[0];
    const open: Node[] = root ? [root] : [];
    const chosen = (least: number): Chosen | undefined => {
      if (!best) return undefined;
      const gap = Math.max(0, best.minutes - least);
      return { allocations: best.allocations, minutes: best.minutes, proven: gap < 1e-6, gap: gap < 1e-6 ? 0 : gap };
    };
    while (open.length > 0) {
      const node = open[0] as Node;
      // Nothing that is left is less than what holds already.
      if (best && node.least >= best.minutes - 1e-9) break;
      if (this.left <= 0) return chosen(node.least);
      open.shift();
      const [chain] = this.broken(node);
      if (!chain) {
        if (!best || node.minutes < best.minutes) best = node;
        if (node.least >= node.minutes - 1e-9) break;
        // It holds, and is not proven the least within its caps: nothing more is found by closer ones.
        return chosen(node.least);
      }
      for (const changes of this.remedies(chain, node)) {
        const child = this.nodeOf(closer(node.caps, changes));
        if (child && (!best || child.least < best.minutes - 1e-9)) open.push(child);
      }
      open.sort((a, b) => a.least - b.least);
    }
    return chosen(Infinity);
  }
}

/**
 * By what every place of all set-ups is come to, for the least minutes over the batch, so that every length holds. The set-ups
 * are chosen each by itself; where a chain of theirs does not hold, one of its places must spread less or its last be measured,
 * and each of those is tried, the least first. The gap is stated where the effort ends before that.
 */
export const chooseStops = (
  problems: readonly StopProblem[],
  chains: readonly Chain[],
  effort = EFFORT,
): Chosen | undefined => new Choice(problems, chains, effort).find();
