import { WAYS, takesWay, type Way } from '../model/way';
import type { RunFile } from '../read/runFile';
import { drawnSmall, type SetupDrawn } from '../plan/drawnSmall';
import { planFile, type Plan } from '../plan/plan';
import type { Result } from '../model/result';
import type { Shop } from '../model/shop/shop';
import { sayMinutes } from '../model/units/show';

/** One way through a run: from which stock, which end first; with its figures, or why it cannot be. */
export interface Sequence {
  way: Way;
  firstEnd: 'front' | 'back';
  /** What of the run's file makes it so. */
  change: Pick<RunFile, 'way' | 'firstEnd'>;
  figures?: {
    pieceMinutes: number;
    setupMinutes: number;
    batchMinutes: number;
    bars: number;
    operations: number;
    /** Whether running the plan move by move bears it out. */
    proved: boolean;
    /** Features that no operation makes this way. */
    unmade: number;
    /** What the second side is held by. */
    holding: Plan['setups'][number]['setup']['holding'];
    drawn: SetupDrawn[];
  };
  problem?: string;
}

/** The sequences of a run compared, and which of them its plan is. */
export interface Compared {
  sequences: Sequence[];
  /** Place of the plan's own among them; undefined when there is no plan. */
  chosen: number | undefined;
  /** Why that one, in words. */
  because: string;
}

const ENDS = ['front', 'back'] as const;

function figuresOf(plan: Result<Plan>): Pick<Sequence, 'figures' | 'problem'> {
  const last = plan.ok ? plan.value.setups.at(-1) : undefined;
  if (!plan.ok || !last)
    return { problem: (plan.ok ? undefined : plan.problems[0]?.message) ?? 'it cannot be planned' };
  const { times, stock, setups, doubts } = plan.value;
  return {
    figures: {
      pieceMinutes: times.piece.value,
      setupMinutes: times.setup.value,
      batchMinutes: times.batch.value,
      bars: stock.bars.value,
      operations: setups.reduce((total, { operations }) => total + operations.length, 0),
      proved: plan.value.proof.passed,
      unmade: doubts.filter(({ rule }) => rule === 'NO-OPERATION').length,
      holding: last.setup.holding,
      drawn: drawnSmall(setups),
    },
  };
}

/** Why the plan is this one: the run says so, nothing else can be, or how it stands to the quickest. */
function becauseOf(file: RunFile, sequences: readonly Sequence[], sequence: Sequence | undefined): string {
  if (!sequence?.figures) return 'None of them can be planned.';
  const { batchMinutes } = sequence.figures;
  // What its proof does not bear out is no better, however quick.
  const others = sequences.filter(
    (other) => other !== sequence && other.figures && (other.figures.proved || !sequence.figures?.proved),
  );
  if (others.length === 0)
    return sequences.some((other) => other !== sequence && other.figures)
      ? 'It is the only one that its proof bears out.'
      : 'It is the only one that can be.';
  const quickest = Math.min(...others.map(({ figures }) => figures?.batchMinutes ?? Infinity));
  const named = [
    ...(file.way && file.way !== 'choose' ? ['the stock'] : []),
    ...(file.firstEnd && file.firstEnd !== 'choose' ? ['the end'] : []),
  ];
  const said = named.length > 0 ? ` The run names ${named.join(' and ')}.` : '';
  if (quickest >= batchMinutes - 0.005)
    return quickest < batchMinutes + 0.05
      ? `None is quicker over the batch; another is as quick.${said}`
      : `It is the quickest over the batch, by ${sayMinutes(quickest - batchMinutes)} to the next.${said}`;
  return `Another is quicker over the batch by ${sayMinutes(batchMinutes - quickest)}.${said || ' Left open, the front first is taken where the part can be held so.'}`;
}

/** Plans a run both ways, each end first, one after the other, and compares them. */
export function* sequencesOf(file: RunFile, shop: Shop): Generator<Sequence, Compared> {
  const sequences: Sequence[] = [];
  for (const way of WAYS.filter((candidate) => takesWay(file.stock, candidate)))
    for (const firstEnd of ENDS) {
      const change = { way, firstEnd };
      const planned = { way, firstEnd, change, ...figuresOf(planFile({ ...file, ...change }, shop, 'wanted')) };
      sequences.push(planned);
      yield planned;
    }
  const plan = planFile(file, shop, 'wanted');
  const at = plan.ok
    ? sequences.findIndex(({ way, firstEnd }) => way === plan.value.way && firstEnd === plan.value.setups[0]?.setup.end)
    : -1;
  return { sequences, chosen: at < 0 ? undefined : at, because: becauseOf(file, sequences, sequences[at]) };
}

/** All of them at once. */
export function compareSequences(file: RunFile, shop: Shop): Compared {
  const each = sequencesOf(file, shop);
  for (;;) {
    const { done, value } = each.next();
    if (done) return value;
  }
}
